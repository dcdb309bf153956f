<script lang="ts">
  import { tick } from 'svelte'
  import { SvelteSet } from 'svelte/reactivity'
  import type { Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import StepNotes from '../../parts/StepNotes.svelte'
  import { colourOf } from '../../parts/heat'
  import TaskReason from './TaskReason.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
    /** The minute to show first; not a number where none was asked for. */
    at: number
  }
  const { plan, at }: Props = $props()
  type Task = Schemas['PlanAnswer']['tasks'][number]

  let withWaits = $state(false)
  const opened = new SvelteSet<string>()
  const shown = $derived(plan.tasks.filter((task) => withWaits || task.kind !== 'wait'))
  const groups = $derived.by(() => {
    // Where two shifts overlap, work is told in the one that began first.
    const shiftOf = (task: Task) =>
      plan.shifts.findIndex((shift) => task.start.min >= shift.start.min && task.start.min < shift.end.min)
    const named = plan.shifts.map((shift, at) => ({
      name: `${shift.name}, ${shift.start.day} ${shift.start.clock} to ${shift.end.clock}`,
      tasks: shown.filter((task) => shiftOf(task) === at),
    }))
    const outside = shown.filter((task) => shiftOf(task) < 0)
    return [...named, { name: 'Outside the shifts', tasks: outside }].filter((group) => group.tasks.length > 0)
  })

  const rowOf = (id: string) => `task-${id.replaceAll('/', '_')}`

  /** Shows a task, opened, and goes there. */
  export async function lead(id: string) {
    if (plan.tasks.find((task) => task.id === id)?.kind === 'wait') withWaits = true
    opened.add(id)
    await tick()
    const row = document.getElementById(rowOf(id))
    row?.scrollIntoView({ block: 'center' })
    row?.querySelector('button')?.focus()
  }

  $effect(() => {
    if (Number.isNaN(at)) return
    const first = plan.tasks.find((task) => task.kind !== 'wait' && task.end.min > at)
    if (first) document.getElementById(rowOf(first.id))?.scrollIntoView({ block: 'start' })
  })
</script>

<section class="mt-5" aria-label="Tasks by the clock">
  {#each groups as group, index (group.name)}
    <div class="mt-5 flex flex-wrap items-baseline gap-x-5">
      <h2>{group.name}</h2>
      {#if index === 0}
        <span class="small screen-only">Press a task to see why it is when it is.</span>
        <button class="link ml-auto" aria-pressed={withWaits} onclick={() => (withWaits = !withWaits)}>
          {withWaits ? 'Hide rests, chilling and cooling' : 'Show rests, chilling and cooling'}
        </button>
        <button class="link" onclick={() => window.print()}>Print the day</button>
        <a class="link screen-only" href="#/sheets/{plan.day}">Sheets for each person</a>
      {/if}
    </div>
    <ol>
      {#each group.tasks as task (task.id)}
        <li class:wait={task.kind === 'wait'} id={rowOf(task.id)}>
          <span class="clock">{task.start.clock}</span>
          <span class="until">to {task.end.clock}</span>
          <span class="heat" style:background={colourOf(task.celsius)} title="{task.celsius} °C"></span>
          <span class="what">
            <button
              aria-expanded={opened.has(task.id)}
              aria-label="{task.name}: {task.about}, {task.start.clock}. Why then?"
              onclick={() => (opened.has(task.id) ? opened.delete(task.id) : opened.add(task.id))}>{task.name}</button
            >
            <span>{task.pies > 0 ? `${task.pies} ` : ''}{task.about}</span>
            {#if task.oneGo}<span class="small">({task.oneGo})</span>{/if}
            <StepNotes readyWhen={task.readyWhen} caution={task.caution} />
          </span>
          <span class="small text-right whitespace-nowrap">{task.station}, {duration(task.minutes)}</span>
          {#if opened.has(task.id)}<TaskReason day={plan.day} task={task.id} onopen={lead} />{/if}
        </li>
      {/each}
    </ol>
  {/each}
</section>

<style>
  li {
    display: grid;
    grid-template-columns: 3.4rem 4.6rem 14px 1fr auto;
    gap: 0 0.8rem;
    align-items: baseline;
    border-top: 1px solid var(--color-line);
    padding: 0.35rem 0;
    scroll-margin-top: 1rem;
  }

  .clock {
    font-size: 1.15rem;
    font-weight: 700;
  }

  .until {
    color: var(--color-soft);
  }

  .what button {
    font-weight: 700;
    color: var(--color-damson);
    text-align: left;
    cursor: pointer;
  }

  .what button:hover {
    text-decoration: underline;
    text-underline-offset: 3px;
  }

  .heat {
    width: 14px;
    height: 14px;
    align-self: start;
    margin-top: 4px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  .wait .what,
  .wait .clock {
    font-weight: 400;
    color: var(--color-soft);
  }

  .wait .what button {
    font-weight: 500;
  }

  @media print {
    .heat {
      visibility: hidden;
    }
  }
</style>
