<script lang="ts">
  import { api, type Schemas } from '../api/client'
  import { kilograms } from './amounts'
  import { Asked } from './asked.svelte'

  interface Props {
    /** What is told of: doughs, or what is made first and fillings. */
    kinds: Schemas['AheadBatchAnswer']['kind'][]
    title: string
  }
  const { kinds, title }: Props = $props()

  // Each day is planned: they are asked for when somebody wants to see them.
  let isOpen = $state(false)
  let days = $state(3)
  const asked = new Asked<Schemas['AheadAnswer'][]>()
  asked.follow(['orders', 'bakery', 'recipes', 'ingredients', 'stock'], () => {
    const query = { days }
    return isOpen ? (signal) => api.GET('/api/ahead', { params: { query }, signal }) : undefined
  })
  const all = $derived(asked.current ?? [])
  const planned = $derived(all.filter((day) => day.isPlanned))
  const beyond = $derived(all.filter((day) => !day.isPlanned))
  const of = (day: Schemas['AheadAnswer']) => day.batches.filter((batch) => kinds.includes(batch.kind))
  const names = $derived([...new Set(planned.flatMap((day) => of(day).map((batch) => batch.name)))].sort())
  const part = (percent: number | null) => (percent === null ? '' : ` (${percent} %)`)
  const isTooMuch = (load: Schemas['LoadAnswer']) =>
    (load.ofHandsPercent ?? 0) > 100 || (load.ofOvensPercent ?? 0) > 100
</script>

<details bind:open={isOpen} class="screen-only mt-3">
  <summary>{title}</summary>
  <p class="small">
    Planned one around the other:
    <select class="field" aria-label="How many days ahead" bind:value={days}>
      {#each [1, 2, 3, 4, 5, 6, 7] as count (count)}<option value={count}
          >{count} {count === 1 ? 'day' : 'days'} ahead</option
        >{/each}
    </select>
  </p>
  {#if asked.failure}<p class="note" role="alert">{asked.failure.title}</p>
  {:else if !asked.current}<p class="small" role="status">Planning the days ahead…</p>
  {:else if planned.length === 0}<p>No day so near has orders.</p>
  {:else}
    <div class="wide">
      <table>
        <thead>
          <tr>
            <td></td>
            {#each planned as day (day.day)}
              <th scope="col">{day.name}<span class="small block font-normal">{day.pies} pies</span></th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each names as name (name)}
            <tr>
              <th scope="row">{name}</th>
              {#each planned as day (day.day)}
                <td>
                  {#each of(day).filter((batch) => batch.name === name) as batch (batch.number)}
                    <span class="block"
                      ><b class="weight">{kilograms(batch.kilograms)}</b>
                      {batch.start.day}
                      {batch.start.clock}{batch.kind === 'filling'
                        ? batch.of > 1
                          ? `, ${batch.of} times`
                          : ''
                        : ''}</span
                    >
                  {/each}
                </td>
              {/each}
            </tr>
          {/each}
          <tr>
            <th scope="row">Load</th>
            {#each planned as day (day.day)}
              <td class="small">
                {#if day.stumbles}<b>{day.stumbles}</b>{/if}
                {day.load.hands}{part(day.load.ofHandsPercent)}. {day.load.ovens}{part(day.load.ofOvensPercent)}.
              </td>
            {/each}
          </tr>
        </tbody>
      </table>
    </div>
  {/if}
  {#if beyond.length > 0}
    <h3 class="mt-3 font-bold">Beyond that, not planned yet</h3>
    <ul>
      {#each beyond as day (day.day)}
        <li>
          <a class="link" href="#/orders/{day.day}">{day.name}</a>, {day.pies} pies:
          {day.load.hands}{part(day.load.ofHandsPercent)}; {day.load.ovens.toLowerCase()}{part(
            day.load.ofOvensPercent,
          )}.{#if isTooMuch(day.load)}
            <b>More than there is.</b>{/if}
        </li>
      {/each}
    </ul>
    <p class="small">
      Reckoned, not planned: work on pies and doughs as their recipes say, against hands and shelves from the last
      pick-up before to the day's own last.
    </p>
  {/if}
</details>

<style>
  summary {
    cursor: pointer;
    font-weight: 700;
  }

  .wide {
    overflow-x: auto;
  }

  table {
    border-collapse: collapse;
    margin-top: 0.5rem;
  }

  th,
  td {
    text-align: left;
    vertical-align: baseline;
    padding: 0.25rem 1.2rem 0.25rem 0;
    border-top: 1px solid var(--color-line);
    min-width: 9rem;
    max-width: 16rem;
  }

  thead th,
  thead td {
    border-top: none;
  }

  tbody th {
    font-weight: 400;
  }

  li {
    border-top: 1px solid var(--color-line);
    padding: 0.25rem 0;
  }
</style>
