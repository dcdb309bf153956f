<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { colourOf } from '../../parts/heat'
  import LateNote from '../../parts/LateNote.svelte'
  import Mark from '../../parts/Mark.svelte'
  import StepNotes from '../../parts/StepNotes.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['BenchAnswer']>(
    (day, query) => (signal) => api.GET('/api/bench/{day}', { params: { path: { day }, query }, signal }),
  )
  const answer = $derived(asked.current)
  const first = $derived(answer?.tasks[0])

  asked.followDay(() => params?.day)
</script>

<svelte:head><title>Bench · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <LateNote />
  <h1 class="sentence">
    {#if !first}
      Nothing is to be done at the bench for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {duration(answer.minutes)} of hands at the bench for <DayWord day={today.day} name={answer.dayName} />, in {answer
        .tasks.length} pieces of work; the first at {first.start.day}
      {first.start.clock}.
    {/if}
  </h1>
  {#if first}
    <p class="small">
      Weights are for one pie unless they say for all.
      <button class="link" onclick={() => window.print()}>Print the bench sheet</button>
    </p>
    <ol class="mt-3">
      {#each answer.tasks as task, at (task.id)}
        {#if at === 0 || answer.tasks[at - 1]?.start.day !== task.start.day}<li class="day">
            <h2>{task.start.day}</h2>
          </li>{/if}
        <li class="task together">
          <span class="clock">{task.start.clock}</span>
          <span class="heat" style:background={colourOf(task.celsius)} title="{task.celsius} °C"></span>
          <span>
            <strong>{task.name}</strong>
            <span class="small">{duration(task.minutes)}, until {task.end.clock}</span>
            <span class="block"
              ><Mark product={task.product} size={18} />
              <b>{task.pies}</b>
              {task.product}, {task.pan}, for {task.pickUp.clock}</span
            >
            {#if task.oneGo}<span class="small block">{task.oneGo}</span>{/if}
            <StepNotes readyWhen={task.readyWhen} caution={task.caution} />
            {#if task.keeps}<span class="small block">It is {task.keeps}.</span>{/if}
          </span>
          <ul class="weights">
            {#each task.weights as weight, index (index)}<li>{weight}</li>{/each}
          </ul>
        </li>
      {/each}
    </ol>
  {/if}
{/if}

<style>
  .day {
    margin-top: 0.8rem;
  }

  .task {
    display: grid;
    grid-template-columns: 3.6rem 14px minmax(14rem, 1fr) minmax(16rem, 1fr);
    gap: 0.2rem 0.9rem;
    border-top: 1px solid var(--color-line);
    padding: 0.5rem 0;
  }

  .clock {
    font-size: 1.15rem;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }

  .heat {
    width: 14px;
    height: 14px;
    margin-top: 6px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  .weights {
    font-variant-numeric: tabular-nums;
  }

  @media (max-width: 800px) {
    .task {
      grid-template-columns: 3.6rem 14px 1fr;
    }

    .weights {
      grid-column: 3;
    }
  }
</style>
