<script lang="ts">
  import { untrack } from 'svelte'
  import { bakery } from '../../parts/bakery.svelte'
  import { duration } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import OvenDrawing from './OvenDrawing.svelte'
  import TaskList from './TaskList.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const plan = $derived(today.plan)

  $effect(() => {
    const day = params?.day
    untrack(() => bakery.load().then(() => today.show(day)))
  })
</script>

<svelte:head><title>Plan · Lumpet</title></svelte:head>

<FailureNote failure={today.failure} />
{#if plan}
  <h1 class="sentence">
    {#each plan.sentence as part, index (index)}{#if part.control === 'day'}<DayWord
          day={today.day}
          place="plan"
          name={plan.dayName}
        />{:else if part.control === 'orders'}<a class="word" href="#/orders/{today.day}">{part.text}</a
        >{:else}{part.text}{/if}{/each}
  </h1>
  <p class="small mt-1" aria-live="polite">
    {today.isPlanning ? 'Planning…' : plan.note}
    {#if plan.hands}
      {duration(plan.hands.workMin)} of work; most hands at once: {plan.hands.atOnce}, at {plan.hands.at.day}
      {plan.hands.at.clock} (counted, not limited).
    {/if}
  </p>

  {#if plan.troubles.length > 0}
    <div class="note mt-3" role="alert">
      <h2>{plan.troubles.length === 1 ? 'One thing does' : `${plan.troubles.length} things do`} not work out</h2>
      <ul>
        {#each plan.troubles as trouble (trouble.text)}
          <li class="mt-1"><strong>{trouble.text}</strong> {trouble.mend}</li>
        {/each}
      </ul>
    </div>
  {/if}

  {#if plan.pies === 0}
    <p class="mt-4">
      Once there are orders, this shows every step from first dough to last box.
      <a class="link" href="#/orders/{today.day}">Type the first order</a>
    </p>
  {/if}
  {#if plan.ovens}<OvenDrawing ovens={plan.ovens} now={plan.now} />{/if}
  {#if plan.tasks.length > 0}
    <TaskList tasks={plan.tasks} shifts={plan.shifts} />
    <p class="small mt-6">
      The ovens' question and answer as files:
      <a class="link" href="/api/plan/{plan.day}/bake-problem.json" download="bake-problem.json">bake problem</a>,
      <a class="link" href="/api/plan/{plan.day}/bake-plan.json" download="bake-plan.json">bake plan</a>. Plan {plan.fingerprint}.
    </p>
  {/if}
{:else if !today.failure}
  <p class="sentence" role="status">Planning the day…</p>
{/if}
