<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { colourOf } from '../../parts/temperature'

  interface Props {
    tasks: Schemas['TaskAnswer'][]
    shifts: Schemas['ShiftAnswer'][]
  }
  const { tasks, shifts }: Props = $props()

  let withWaits = $state(false)
  const shown = $derived(tasks.filter((task) => withWaits || task.kind !== 'wait'))
  const groups = $derived.by(() => {
    const named = shifts.map((shift) => ({
      name: `${shift.name}, ${shift.start.day} ${shift.start.clock} to ${shift.end.clock}`,
      tasks: shown.filter((task) => task.start.min >= shift.start.min && task.start.min < shift.end.min),
    }))
    const inside = new Set(named.flatMap((group) => group.tasks))
    const outside = shown.filter((task) => !inside.has(task))
    return [...named, { name: 'Outside the shifts', tasks: outside }].filter((group) => group.tasks.length > 0)
  })
</script>

<section class="mt-6" aria-label="Tasks by the clock">
  {#each groups as group, index (group.name)}
    <div class="mt-5 flex items-baseline gap-4">
      <h2>{group.name}</h2>
      {#if index === 0}
        <button class="link ml-auto" aria-pressed={withWaits} onclick={() => (withWaits = !withWaits)}>
          {withWaits ? 'Hide rests, chilling and cooling' : 'Show rests, chilling and cooling'}
        </button>
      {/if}
    </div>
    <ol>
      {#each group.tasks as task (task.id)}
        <li class:wait={task.kind === 'wait'}>
          <span class="clock">{task.start.clock}</span>
          <span class="until">to {task.end.clock}</span>
          <span class="heat" style:background={colourOf(task.celsius)} title="{task.celsius} °C"></span>
          <span class="what">
            <strong>{task.name}</strong>
            <span>{task.pies > 0 ? `${task.pies} ` : ''}{task.about}</span>
            {#if task.readyWhen}<span class="small block">Ready when: {task.readyWhen}</span>{/if}
            {#if task.caution}<span class="small block"><b>Caution:</b> {task.caution}</span>{/if}
          </span>
          <span class="small text-right whitespace-nowrap">{task.station}, {duration(task.minutes)}</span>
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
  }

  .clock {
    font-size: 1.15rem;
    font-weight: 700;
  }

  .until {
    color: var(--color-soft);
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

  .wait strong {
    font-weight: 500;
  }
</style>
