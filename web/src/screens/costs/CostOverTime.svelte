<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { difference, money } from '../../parts/money'

  interface Props {
    answer: Schemas['ProductCostAnswer']
  }
  const { answer }: Props = $props()

  const [width, height, left, bottom, top] = [1200, 190, 56, 26, 22]
  const known = $derived([
    { at: 0, cost: answer.begin },
    ...answer.steps.map((step) => ({ at: step.at, cost: step.cost })),
  ])
  const costs = $derived(known.flatMap((one) => (one.cost === null ? [] : [one.cost])))
  // Some room above and below, so that a step of a cent is no cliff.
  const low = $derived(Math.min(...costs) * 0.97)
  const high = $derived(Math.max(...costs) * 1.03)
  const x = (at: number) => left + at * (width - left - 8)
  const y = (cost: number) => height - bottom - ((cost - low) / (high - low || 1)) * (height - bottom - top)
  const path = $derived(
    known
      .map((one, index) => {
        if (one.cost === null) return ''
        const before = index > 0 ? known[index - 1]?.cost : null
        const to = known[index + 1]?.at ?? 1
        return `${before === null || before === undefined ? 'M' : 'L'} ${x(one.at)} ${y(one.cost)} L ${x(to)} ${y(one.cost)}`
      })
      .join(' '),
  )
  // Names stand only where there is room before the next.
  const named = $derived.by(() => {
    let free = 0
    return answer.steps.map((step) => {
      const words = step.more === null ? '' : difference(step.more)
      const at = x(step.at)
      if (step.cost === null || at < free || words === 'as before')
        return { step, words: '', at, anchor: 'start' as const }
      free = at + words.length * 9 + 14
      return { step, words, at, anchor: at > width - 60 ? ('end' as const) : ('start' as const) }
    })
  })
</script>

{#if costs.length > 0}
  <svg
    viewBox="0 0 {width} {height}"
    role="img"
    aria-label="What it cost since {answer.sinceName}; the steps are listed below"
  >
    <line x1={left} x2={width - 8} y1={height - bottom} y2={height - bottom} />
    {#each [...new Set([Math.min(...costs), Math.max(...costs)])] as mark (mark)}
      <text x={left - 8} y={y(mark)} dy="0.35em" text-anchor="end">{money(mark)}</text>
    {/each}
    <path d={path} />
    {#each named as one, index (index)}
      {#if one.step.cost !== null}
        <circle cx={one.at} cy={y(one.step.cost)} r="4" />
        <text x={one.at} y={Math.max(14, y(one.step.cost) - 9)} text-anchor={one.anchor}>{one.words}</text>
      {/if}
    {/each}
    <text x={left} y={height - 6}>{answer.sinceName}</text>
    <text x={width - 8} y={height - 6} text-anchor="end">today</text>
  </svg>
{/if}
<ul class="mt-1">
  {#each answer.steps.toReversed() as step (step.day)}
    <li class="border-line grid gap-x-5 border-t py-1 sm:grid-cols-[7.5rem_5rem_5rem_1fr]">
      <span>{step.dayName}</span>
      <span class="weight text-right">{step.cost === null ? '–' : money(step.cost)}</span>
      <span class="text-right">{step.more === null ? '' : difference(step.more)}</span>
      <span class="small">{step.reasons.map((reason) => reason.text).join('; ')}</span>
    </li>
  {:else}
    <li class="small">No price that goes into it has changed since {answer.sinceName}.</li>
  {/each}
</ul>

<style>
  svg {
    width: 100%;
    height: auto;
  }

  line {
    stroke: #8b7763;
  }

  path {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 2;
  }

  circle {
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 2;
  }

  text {
    font-size: 15px;
    fill: var(--color-base-content);
  }
</style>
