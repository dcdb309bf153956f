<script lang="ts">
  import type { Schemas } from '../api/client'
  import { Choices, mostBeside, said } from './choices.svelte'
  import { today } from './day.svelte'

  interface Props {
    title: string
    /** What lies beside the day when it is opened. */
    first?: (choice: Schemas['ChoiceAnswer']) => boolean
  }
  const { title, first = () => false }: Props = $props()

  // Each choice is a plan of its own: they are asked for when somebody wants to see them.
  let isOpen = $state(false)
  let wanted = $state('')
  const choices = new Choices()
  choices.follow(
    () => isOpen,
    (choice) => first(choice),
  )

  const groups = $derived([...new Set(choices.offered.map((one) => one.group))])
  const columns = $derived(choices.beside.flatMap((id) => choices.offered.find((one) => one.id === id) ?? []))
  const asItIs = $derived(choices.outcomes.get(''))
  const rows = $derived(
    (asItIs?.answer?.figures ?? []).map((figure, at) => ({
      ...figure,
      others: columns.map((one) => choices.outcomes.get(one.id)?.answer?.figures[at]),
    })),
  )
  // What is nothing everywhere says nothing.
  const shown = $derived(rows.filter((row) => [row, ...row.others].some((one) => one && !/^0( min)?$/.test(one.value))))

  function add(event: SubmitEvent) {
    event.preventDefault()
    if (wanted) choices.add(wanted)
    wanted = ''
  }
</script>

<details bind:open={isOpen} class="screen-only">
  <summary>{title}</summary>
  <p class="small">
    Each is planned as the whole day would be. Nothing is changed until you make it so, and that is taken back the same
    way.
  </p>
  {#if choices.failure}<p class="note" role="alert">{choices.failure.title}</p>{/if}
  <form onsubmit={add} aria-label="A choice beside the others">
    <select class="field" aria-label="Choice" bind:value={wanted} disabled={choices.offered.length === 0}>
      <option value="">What could be different…</option>
      {#each groups as group (group)}
        <optgroup label={group}>
          {#each choices.offered.filter((one) => one.group === group && !choices.beside.includes(one.id)) as one (one.id)}
            <option value={one.id}>{one.name}</option>
          {/each}
        </optgroup>
      {/each}
    </select>
    <button class="press" disabled={!wanted}>Lay it beside</button>
    {#if columns.length === mostBeside}<span class="small">{mostBeside} at most: the first makes room.</span>{/if}
  </form>
  {#if asItIs?.answer}
    <div class="wide">
      <table>
        <thead>
          <tr>
            <td></td>
            <th scope="col">As it is</th>
            {#each columns as one (one.id)}
              <th scope="col">{one.name}</th>
            {/each}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row" class="small">The pick-ups</th>
            <td>{asItIs.answer.served}</td>
            {#each columns as one (one.id)}
              {@const outcome = choices.outcomes.get(one.id)}
              <td>
                {#if outcome?.answer}{outcome.answer.served}
                {:else if outcome?.failure}<b>{outcome.failure.title}</b>
                {:else}<span class="small" role="status">Planning…</span>{/if}
              </td>
            {/each}
          </tr>
          {#each shown as row (row.name)}
            <tr>
              <th scope="row" class="small">{row.name}</th>
              <td>{row.value}</td>
              {#each row.others as other, at (columns[at]?.id)}
                <td class:same={other?.is === 'same'}>
                  {#if other}{other.value}
                    {#if other.is === 'better' || other.is === 'worse'}<span
                        class="is"
                        class:worse={other.is === 'worse'}>{other.is}</span
                      >{/if}
                  {/if}
                </td>
              {/each}
            </tr>
          {/each}
          {#if columns.length > 0}
            <tr>
              <td></td>
              <td><p class="small">Ovens planned for: {today.plan?.arrangement.schoolName.toLowerCase()}.</p></td>
              {#each columns as one (one.id)}
                <td>
                  {#if one.words}<p class="small">{one.words}</p>{/if}
                  <div class="mt-1 flex flex-wrap gap-2">
                    <button
                      class="press"
                      aria-label="Show it: {one.name}"
                      onclick={() => today.tryOut(said(one.change))}>Show it</button
                    >
                    <button
                      class="press press-main"
                      aria-label="Make it so: {one.name}"
                      onclick={() => today.take(said(one.change), [])}>Make it so</button
                    >
                    <button class="press" aria-label="Take away: {one.name}" onclick={() => choices.remove(one.id)}
                      >Take away</button
                    >
                  </div>
                </td>
              {/each}
            </tr>
          {/if}
        </tbody>
      </table>
    </div>
  {:else if asItIs?.failure}<p class="note" role="alert">{asItIs.failure.title}</p>
  {:else}<p class="small" role="status">Planning the day as it is…</p>{/if}
</details>

<style>
  summary {
    cursor: pointer;
    font-weight: 700;
  }

  form {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
    margin-top: 0.4rem;
  }

  select {
    max-width: 100%;
  }

  .wide {
    overflow-x: auto;
  }

  table {
    margin-top: 0.5rem;
    border-collapse: collapse;
  }

  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.25rem 1rem 0.25rem 0;
    border-top: 1px solid var(--color-line);
    min-width: 8rem;
    max-width: 15rem;
  }

  thead th,
  thead td {
    border-top: none;
    font-weight: 700;
  }

  td:not(.same) {
    font-weight: 600;
  }

  td p,
  tbody th {
    font-weight: 400;
  }

  tbody th {
    white-space: nowrap;
  }

  .is {
    margin-left: 0.3rem;
    font-size: 13px;
    border-bottom: 2px solid currentColor;
  }

  /* Good and bad are words and shapes; colour stays heat. */
  .is.worse {
    border-bottom-style: dashed;
    font-weight: 700;
  }
</style>
