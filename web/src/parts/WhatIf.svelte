<script module lang="ts">
  const schools: Record<string, string> = {
    fewestHotHours: 'planned for the fewest hot hours',
    freshest: 'planned for the freshest pies',
    steadiest: 'planned for the steadiest work',
  }
</script>

<script lang="ts">
  import type { Schemas } from '../api/client'
  import { duration } from './amounts'
  import { today } from './day.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()

  const named = (id: string) => plan.arrangement.ovens.find((oven) => oven.id === id)?.name ?? id
  const asked = $derived([
    ...today.moves.map((move) => `the ${move.from} pick-up at ${move.to}`),
    ...(today.change.more ?? []).map((more) => {
      const size = plan.arrangement.sizes.find((one) => one.product === more.product && one.pan === more.pan)
      return `${more.count} more ${size?.name ?? more.product} for ${more.pickUp}`
    }),
    ...(today.change.ovensOut
      ? today.change.ovensOut.length > 0
        ? [`without ${today.change.ovensOut.map(named).join(' and ')}`]
        : ['with every oven']
      : []),
    ...(today.change.longerBakes ?? []).map((bake) => {
      const name = plan.arrangement.bakes.find((one) => one.product === bake.product)?.name ?? bake.product
      return bake.minutes > 0 ? `${name} baked ${bake.minutes} min longer` : `${name} baked as usual`
    }),
    ...(today.change.moreHands === undefined
      ? []
      : [
          today.change.moreHands === 0
            ? 'with the hands of the week'
            : `with ${today.change.moreHands} more ${today.change.moreHands === 1 ? 'pair' : 'pairs'} of hands in every shift`,
        ]),
    ...(today.change.earlierMin === undefined
      ? []
      : [today.change.earlierMin === 0 ? 'begun as usual' : `begun ${duration(today.change.earlierMin)} earlier`]),
    ...(today.change.betweenHands === undefined
      ? []
      : [
          today.change.betweenHands === 0
            ? 'with nobody between the shifts'
            : `with ${today.change.betweenHands} ${today.change.betweenHands === 1 ? 'pair' : 'pairs'} of hands between the shifts`,
        ]),
    ...(today.change.leftOut
      ? plan.arrangement.lots.some((lot) => lot.isLeftOut)
        ? plan.arrangement.lots.filter((lot) => lot.isLeftOut).map((lot) => `without ${lot.name}`)
        : ['with all that is ordered']
      : []),
    ...(today.change.schools
      ? plan.arrangement.schools.length > 0
        ? plan.arrangement.schools
        : ['every recipe made as it is written']
      : []),
    ...(today.change.school ? [schools[today.change.school] ?? today.change.school] : []),
  ])
</script>

{#if today.isAsking}
  <div class="note asked" role="status">
    <span><strong>Only asked:</strong> {asked.join(', ')}. Nothing is changed yet.</span>
    <button class="press press-main" onclick={() => today.keep()}>Make it so</button>
    <button class="press" onclick={() => today.leave()}>Leave it</button>
    {#if plan.differences.length > 0}
      <ul aria-label="What would be different">
        {#each plan.differences as one (one.name)}
          <li>
            <span class="small">{one.name}</span>
            <span>{one.before} <span class="to" aria-label="becomes">→</span> <strong>{one.after}</strong></span>
            {#if one.is !== 'other'}<span class="is" class:worse={one.is === 'worse'}>{one.is}</span>{/if}
          </li>
        {/each}
      </ul>
    {:else if !today.isPlanning}<span class="small">No figure of the plan would be different.</span>{/if}
  </div>
{/if}

<style>
  .asked {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem 0.8rem;
    margin-top: 0.5rem;
  }

  ul {
    flex-basis: 100%;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 0.3rem 1.5rem;
  }

  li {
    display: grid;
    grid-template-columns: 1fr auto;
    column-gap: 0.6rem;
    border-top: 1px solid var(--color-line);
    padding-top: 0.2rem;
  }

  li .small {
    grid-column: 1 / -1;
  }

  .is {
    font-size: 13px;
    border-bottom: 2px solid currentColor;
    align-self: center;
  }

  /* Good and bad are words and shapes; colour stays heat. */
  .is.worse {
    border-bottom-style: dashed;
    font-weight: 700;
  }
</style>
