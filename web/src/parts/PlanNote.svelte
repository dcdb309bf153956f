<script lang="ts">
  import type { Schemas } from '../api/client'
  import { duration } from './amounts'
  import { today } from './day.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()
  const gain = $derived(today.better ? plan.hotMin - today.better.hotMin : 0)
</script>

<p class="small mt-1">
  {today.isPlanning ? 'Planning…' : plan.note}
  {#each plan.beside as words (words)}{` ${words}`}{/each}
  {#if plan.arrangement.words && !today.isAsking}<strong>Arranged for this day: {plan.arrangement.words}.</strong>{/if}
</p>
{#if today.isSettling && !today.isPlanning}
  <p class="small screen-only" role="status">
    <b
      >{plan.troubles.length > 0
        ? 'A first plan. What does not work out in it may be mended yet: planning goes on.'
        : 'This plan holds; a better one is being looked for.'}</b
    >
    {#if today.percent !== undefined}<span class="whitespace-nowrap">{today.percent} % done.</span>{/if}
    <button class="link" onclick={() => today.stopSettling()}>Leave it as it is</button>
  </p>
{:else if today.better}
  <p class="note screen-only mt-2" role="status">
    A better plan is ready{gain > 0 ? `: ovens hot for ${duration(gain)} less` : ''}.
    <button class="press press-main" onclick={() => today.showBetter()}>Show it</button>
    <button class="press" onclick={() => (today.better = undefined)}>Stay with this one</button>
  </p>
{/if}
