<script lang="ts">
  import { untrack } from 'svelte'
  import { router } from 'svelte-spa-router'
  import { duration } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import PickUps from '../../parts/PickUps.svelte'
  import PlanNote from '../../parts/PlanNote.svelte'
  import Choices from '../../parts/Choices.svelte'
  import TryChange from '../../parts/TryChange.svelte'
  import PlanSentence from '../../parts/PlanSentence.svelte'
  import DayAxis from './DayAxis.svelte'
  import Published from './Published.svelte'
  import TaskList from './TaskList.svelte'
  import Troubles from './Troubles.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const plan = $derived(today.plan)
  // The minute that the ribbon was pressed at: "?at=420".
  const at = $derived(Number(new URLSearchParams(router.querystring ?? '').get('at') ?? NaN))

  let list = $state<TaskList>()

  $effect(() => {
    const day = params?.day
    untrack(() => today.show(day))
  })
</script>

<svelte:head><title>Plan · Lumpet</title></svelte:head>

<FailureNote failure={today.failure} />
{#if plan}
  <PlanSentence {plan} />
  <PlanNote {plan} />
  {#if !today.isAsking}<Published {plan} />{/if}
  {#if plan.hands}
    <p class="small">
      {duration(plan.hands.workMin)} of work; most hands at once: {plan.hands.atOnce}, at {plan.hands.at.day}
      {plan.hands.at.clock}; {plan.hands.there || 'nobody has said how many are there, so they limit nothing'}.
    </p>
  {/if}
  {#each plan.axis.rooms.filter((room) => room.full) as room (room.place)}
    <p class="small">{room.full}</p>
  {/each}

  {#if plan.troubles.length > 0}
    <Troubles troubles={plan.troubles} ways={plan.waysOut} />
  {/if}

  {#if plan.pies === 0}
    <p class="mt-4">
      Once there are orders, this shows every step from first dough to last box.
      <a class="link" href="#/orders/{today.day}">Type the first order</a>
    </p>
  {/if}
  {#if plan.waves.length > 0}
    <PickUps waves={plan.waves} />
    <TryChange {plan} />
    <Choices title="Choices beside each other" />
  {/if}
  {#if plan.tasks.length > 0}
    <DayAxis {plan} onopen={(id) => list?.lead(id)} />
    <TaskList bind:this={list} {plan} {at} />
    <p class="small screen-only mt-6">
      For other programs: <a class="link" href="/api/plan/{plan.day}/calendar.ics" download="plan-{plan.day}.ics"
        >the plan as a calendar</a
      >. Plan {plan.fingerprint}.
    </p>
    <p class="print-only small">Plan {plan.fingerprint}.</p>
  {/if}
{:else if !today.failure}
  <p class="sentence" role="status">Planning the day…</p>
{/if}
