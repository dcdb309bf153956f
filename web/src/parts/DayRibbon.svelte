<script lang="ts">
  import type { Schemas } from '../api/client'
  import { today } from './day.svelte'
  import { colourOf } from './heat'

  type Moment = Schemas['Moment']

  const plan = $derived(today.plan)
  const from = $derived(plan?.ribbon[0]?.start.min ?? 0)
  const last = $derived(plan?.ribbon.at(-1)?.end.min ?? 1)
  const to = $derived(Math.max(last, ...(plan?.waves.map((wave) => wave.pickUp.min) ?? [0])) + 20)
  let width = $state(1000)

  const at = (minute: number) => ((minute - from) / (to - from)) * 100
  const shorter: Record<string, string> = { 'dough rests': 'rests', 'fillings, line': 'line' }
  /** The name of a phase as far as there is room for it: in full, short, or not at all. */
  const labelOf = (name: string, start: number, end: number) => {
    const room = ((end - start) / (to - from)) * width
    return [name, shorter[name] ?? name].find((words) => words.length * 6.6 + 16 <= room)
  }
  /** Neighbouring stretches of one phase share a label, which ends before the next pick-up's box. */
  const phases = $derived.by(() => {
    const joined: { name: string; start: Moment; end: number; until: string }[] = []
    for (const stretch of plan?.ribbon ?? []) {
      const last = joined.at(-1)
      if (last && last.name === stretch.phase && last.end === stretch.start.min) {
        last.end = stretch.end.min
        last.until = stretch.end.clock
      } else {
        joined.push({ name: stretch.phase, start: stretch.start, end: stretch.end.min, until: stretch.end.clock })
      }
    }
    const boxes = plan?.waves.map((wave) => wave.pickUp.min - 15) ?? []
    return joined.map((phase) => ({
      ...phase,
      end: Math.min(phase.end, ...boxes.filter((box) => box > phase.start.min - 15)),
    }))
  })
  /** Clock times of pick-ups, of which one gives way where two would touch. */
  const clocks = $derived.by(() => {
    const shown: Moment[] = []
    for (const wave of plan?.waves ?? []) {
      const last = shown.at(-1)
      if (!last || at(wave.pickUp.min) - at(last.min) > 4) shown.push(wave.pickUp)
    }
    return shown
  })
  /** A bake leads to the ovens, everything else to the tasks of that time. */
  const placeOfPhase = (name: string, minute: number) =>
    name === 'bake' ? `#/ovens/${today.day}` : `#/plan/${today.day}?at=${minute}`
  const label = $derived(
    plan
      ? `The day from ${plan.ribbon[0]?.start.day} ${plan.ribbon[0]?.start.clock}; pick-ups at ${plan.waves.map((wave) => wave.pickUp.clock).join(', ')}`
      : '',
  )
</script>

{#if plan && plan.ribbon.length > 0}
  <nav class="strip" aria-label={label} bind:clientWidth={width}>
    <div class="bar">
      {#each plan.ribbon as stretch (stretch.start.min)}
        <div
          class="stretch"
          style:left="{at(stretch.start.min)}%"
          style:width="{at(stretch.end.min) - at(stretch.start.min)}%"
          style:background={colourOf(stretch.celsius)}
        ></div>
      {/each}
      {#each phases as phase (phase.start.min)}
        <a
          class="phase"
          href={placeOfPhase(phase.name, phase.start.min)}
          style:left="{at(phase.start.min)}%"
          style:width="{at(phase.end) - at(phase.start.min)}%"
          title="{phase.name}, {phase.start.day} {phase.start.clock} to {phase.until}"
        >
          {#if labelOf(phase.name, phase.start.min, phase.end)}<span class="tag" aria-hidden="true"
              >{labelOf(phase.name, phase.start.min, phase.end)}</span
            >{/if}
          <span class="sr-only">{phase.name}, from {phase.start.day} {phase.start.clock}</span>
        </a>
      {/each}
      {#each plan.waves as wave (wave.pickUp.min)}
        <svg class="box" style:left="{at(wave.pickUp.min)}%" viewBox="0 0 20 18" aria-hidden="true">
          <rect x="2" y="5" width="16" height="12" /><rect x="0.8" y="1.5" width="18.4" height="4" />
        </svg>
      {/each}
      {#if plan.now}<div class="now" style:left="{at(plan.now.min)}%"></div>{/if}
    </div>
    <div class="clocks" aria-hidden="true">
      <span style:left="0">{plan.ribbon[0]?.start.day} {plan.ribbon[0]?.start.clock}</span>
      {#each clocks as clock (clock.min)}
        <span class="pickup" style:left="{at(clock.min)}%">{clock.clock}</span>
      {/each}
    </div>
  </nav>
{/if}

<style>
  .strip {
    margin-top: 0.75rem;
  }

  .bar {
    position: relative;
    height: 22px;
    background: var(--color-base-200);
    border-radius: 3px;
  }

  .stretch {
    position: absolute;
    inset-block: 0;
    outline: 1px solid rgb(42 29 23 / 12%);
    outline-offset: -1px;
  }

  .phase {
    position: absolute;
    inset-block: 0;
  }

  .phase:hover {
    background: rgb(255 253 247 / 35%);
  }

  .tag {
    position: absolute;
    left: 5px;
    top: 3px;
    max-width: calc(100% - 8px);
    font-size: 12px;
    font-weight: 600;
  }

  .box {
    position: absolute;
    top: 1px;
    width: 20px;
    margin-left: -10px;
    pointer-events: none;
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 1.6;
  }

  .now {
    position: absolute;
    top: -4px;
    bottom: -4px;
    width: 2px;
    background: var(--color-base-content);
  }

  .clocks {
    position: relative;
    height: 18px;
    font-size: 12px;
    color: var(--color-soft);
  }

  .clocks span {
    position: absolute;
    white-space: nowrap;
  }

  .pickup {
    transform: translateX(-50%);
    color: var(--color-base-content);
    font-weight: 600;
  }

  @media print {
    .strip {
      display: none;
    }
  }
</style>
