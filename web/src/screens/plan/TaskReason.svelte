<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import { today } from '../../parts/day.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  interface Props {
    day: string
    task: string
    onopen: (task: string) => void
  }
  const { day, task, onopen }: Props = $props()
  type Neighbour = Schemas['NeighbourAnswer']

  const asked = new Asked<Schemas['ReasonAnswer']>()
  asked.follow([], () => {
    // Another plan, another reason.
    void today.plan
    const params = { path: { day }, query: { task, ...today.query } }
    return (signal) => api.GET('/api/plan/{day}/reason', { params, signal })
  })
  // While another task's reason is on its way, the last one does not stand in for it.
  const reason = $derived(asked.current?.id === task && !asked.failure ? asked.current : undefined)
  const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
</script>

{#snippet neighbours(title: string, list: Neighbour[], clock: (one: Neighbour) => string, none: string)}
  <div>
    <h3 class="small">{title}</h3>
    {#if list.length === 0}<p>{none}</p>{/if}
    <ul>
      {#each list as one (one.id)}
        <li>
          <button class="link" onclick={() => onopen(one.id)}>{clock(one)} {one.name}</button>
          <span class="small">{one.about}{one.gapMin > 0 ? `, ${duration(one.gapMin)} between` : ''}</span>
        </li>
      {/each}
    </ul>
  </div>
{/snippet}

<div class="reason">
  <FailureNote failure={asked.failure} />
  {#if reason}
    <p><strong>{sentence(reason.why)}.</strong></p>
    <p>
      {#if reason.slipMin > 0}It can slip by <strong>{duration(reason.slipMin)}</strong> while nothing else moves; then {reason.slipEnds}.
      {:else if reason.slipMin === 0}It cannot slip: {reason.slipEnds}.
      {:else}It is <strong>{duration(-reason.slipMin)} too late</strong> already: {reason.slipEnds}.{/if}
    </p>
    <div class="sides">
      {@render neighbours(
        'Waits for',
        reason.waitsFor,
        (one) => `until ${one.end.clock}`,
        'Nothing: it can begin when someone is there.',
      )}
      {@render neighbours('Waiting for it', reason.waitedBy, (one) => `from ${one.start.clock}`, 'Only the pick-up.')}
    </div>
  {/if}
</div>

<style>
  .reason {
    grid-column: 3 / -1;
    margin: 0.3rem 0 0.5rem;
    padding: 0.6rem 0.9rem;
    background: var(--color-paper);
    border: 1px solid var(--color-damson);
    border-radius: 8px;
    min-height: 7rem;
  }

  .sides {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
    gap: 0.5rem 2rem;
    margin-top: 0.4rem;
  }

  .sides button {
    min-height: 1.75rem;
  }
</style>
