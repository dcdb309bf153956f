<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import { today } from '../../parts/day.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()

  // Each school is a plan of its own: they are asked for when somebody wants to see them.
  let isOpen = $state(false)
  const asked = new Asked<Schemas['OvenSchoolAnswer'][]>()
  asked.follow(['orders', 'bakery', 'recipes', 'ingredients', 'stock'], () => {
    const day = plan.day
    return isOpen ? (signal) => api.GET('/api/plan/{day}/ways', { params: { path: { day } }, signal }) : undefined
  })
  const ways = $derived(asked.current ?? [])
  const wanted = $derived(today.change.school ?? plan.arrangement.school)
</script>

<details bind:open={isOpen} class="screen-only">
  <summary>Three ways to plan these ovens</summary>
  {#if ways.length > 0}
    <table>
      <thead>
        <tr>
          <td></td>
          {#each ways as way (way.school)}
            <th scope="col" class:wanted={wanted === way.school}>{way.name}</th>
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each ways[0]?.figures ?? [] as figure, row (figure.name)}
          <tr>
            <th scope="row" class="small">{figure.name}</th>
            {#each ways as way (way.school)}
              <td class:wanted={wanted === way.school}>{way.figures[row]?.value}</td>
            {/each}
          </tr>
        {/each}
        <tr>
          <td></td>
          {#each ways as way (way.school)}
            <td class:wanted={wanted === way.school}>
              <p class="small">{way.words}</p>
              {#if wanted === way.school}<b>{way.isTaken ? 'As it is' : 'Asked about'}</b>
              {:else}<button
                  class="press mt-1"
                  aria-label="Show it: {way.name}"
                  onclick={() => today.tryOut({ school: way.school })}>Show it</button
                >{/if}
            </td>
          {/each}
        </tr>
      </tbody>
    </table>
  {:else if asked.isAsking}<p class="small" role="status">Planning the day three times…</p>
  {:else if asked.failure}<p class="note" role="alert">{asked.failure.title}</p>{/if}
</details>

<style>
  summary {
    cursor: pointer;
    font-weight: 700;
  }

  table {
    margin-top: 0.5rem;
    border-collapse: collapse;
  }

  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.25rem 0.8rem 0.25rem 0;
    border-top: 1px solid var(--color-line);
    max-width: 13rem;
  }

  thead th,
  thead td {
    border-top: none;
    font-weight: 700;
  }

  thead th.wanted {
    border-bottom: 3px solid var(--color-base-content);
  }

  td.wanted {
    font-weight: 600;
  }

  td p {
    font-weight: 400;
  }

  tbody th {
    white-space: nowrap;
  }
</style>
