<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { money } from '../../parts/amounts'

  interface Props {
    cost: Schemas['CostAnswer']
    pan: string
  }
  const { cost, pan }: Props = $props()

  const titles = $derived(new Map(cost.parts.map((part) => [part.part, part.title.toLowerCase()])))
  const known = $derived(cost.lines.filter((line) => line.cost !== null))
  const sum = $derived(known.reduce((total, line) => total + (line.cost ?? 0), 0))
  const dearest = $derived([...known].sort((one, other) => (other.cost ?? 0) - (one.cost ?? 0)))
  /** Slices, dearest first, clockwise from the top. */
  const slices = $derived.by(() => {
    let turned = 0
    return dearest.map((line) => {
      const from = turned
      turned += (line.cost ?? 0) / sum
      const at = (share: number) =>
        `${50 + 46 * Math.sin(share * 2 * Math.PI)} ${50 - 46 * Math.cos(share * 2 * Math.PI)}`
      const far = turned - from > 0.5 ? 1 : 0
      return {
        line,
        path: `M 50 50 L ${at(from)} A 46 46 0 ${far} 1 ${at(Math.min(turned, 0.99999))} Z`,
        middle: (from + turned) / 2,
        share: turned - from,
      }
    })
  })
  const inRows = (name: string) =>
    name.split(' ').reduce<string[]>((rows, word) => {
      const last = rows.at(-1)
      return last !== undefined && last.length + word.length < 11
        ? [...rows.slice(0, -1), `${last} ${word}`]
        : [...rows, word]
    }, [])
  /** The larger slices by name, written beside the pie, in rows that find room there. */
  const named = $derived(
    slices
      .filter((slice) => slice.share > 0.07)
      .map((slice) => {
        const turn = slice.middle * 2 * Math.PI
        const words = inRows(slice.line.name.split(',')[0] ?? '')
        const side = Math.sin(turn)
        return {
          name: `${slice.line.part} ${slice.line.name}`,
          words,
          x: 50 + 50 * side,
          y: 53 - 52 * Math.cos(turn) - (words.length - 1) * 5.5,
          anchor: side > 0.25 ? 'start' : side < -0.25 ? 'end' : 'middle',
        }
      }),
  )
</script>

<section class="border-line mt-8 border-t pt-4" aria-label="Cost">
  <h2>Cost of one pie in the {pan} pan</h2>
  {#if !cost.isComplete}
    <p class="note mt-2" role="status">Incomplete: there is no price for {cost.missing.join(', ')}.</p>
  {/if}
  <div class="mt-2 grid gap-8 md:grid-cols-[17rem_1fr]">
    <div>
      <svg
        viewBox="-60 -6 220 112"
        role="img"
        aria-label="A pie cut by share of cost; the largest slice is {dearest[0]?.name ?? 'none'}"
      >
        {#each slices as slice, index (index)}<path d={slice.path} />{/each}
        {#each named as { name, words, x, y, anchor } (name)}
          <text text-anchor={anchor} {y}>
            {#each words as row, at (at)}<tspan {x} dy={at === 0 ? 0 : 11}>{row}</tspan>{/each}
          </text>
        {/each}
      </svg>
      <dl class="mt-2">
        {#each cost.parts as part (part.part)}
          <div class="flex justify-between">
            <dt>{part.title.toLowerCase()}</dt>
            <dd>{part.cost === null ? 'incomplete' : money(part.cost, cost.currency)}</dd>
          </div>
        {/each}
        <div class="border-soft flex justify-between border-t font-bold">
          <dt>in all</dt>
          <dd>{cost.total === null ? 'incomplete' : money(cost.total, cost.currency)}</dd>
        </div>
        {#if cost.sellingPrice !== null}
          <div class="flex justify-between">
            <dt>sells for</dt>
            <dd>{money(cost.sellingPrice, cost.currency)}</dd>
          </div>
        {/if}
        {#if cost.foodCostPercent !== null}
          <div class="flex justify-between">
            <dt>food cost</dt>
            <dd>{cost.foodCostPercent} %</dd>
          </div>
        {/if}
      </dl>
    </div>
    <div class="overflow-x-auto">
      <table class="w-full">
        <thead class="small">
          <tr>
            <th class="text-left font-normal" scope="col">Ingredient</th>
            <th class="px-3 text-right font-normal" scope="col">goes in</th>
            <th class="px-3 text-right font-normal" scope="col">yield</th>
            <th class="px-3 text-left font-normal" scope="col">price paid</th>
            <th class="text-right font-normal" scope="col">costs</th>
          </tr>
        </thead>
        <tbody>
          {#each cost.lines as line, index (index)}
            <tr class="border-line border-t" class:border-soft={index > 0 && cost.lines[index - 1]?.part !== line.part}>
              <th scope="row" class="py-0.5 text-left font-normal"
                >{line.name} <span class="small">{titles.get(line.part)}</span></th
              >
              <td class="px-3 text-right whitespace-nowrap"
                >{line.unit === 'g' ? `${line.amount.toFixed(1)} g` : `${line.amount} piece`}</td
              >
              <td class="px-3 text-right whitespace-nowrap"
                >{line.yieldPercent === null ? '' : `${line.yieldPercent} %`}</td
              >
              <td class="small px-3">{line.price ?? 'no price known'}</td>
              <td class="text-right whitespace-nowrap">{line.cost === null ? '–' : money(line.cost, cost.currency)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="small mt-1">
        Cost = goes in / yield × price paid / pack. Dough counts its trim and what stays in the bowl.
      </p>
    </div>
  </div>
</section>

<style>
  svg {
    width: 100%;
    max-width: 17rem;
  }

  path {
    fill: var(--color-dough);
    stroke: var(--color-base-content);
    stroke-width: 0.7;
    stroke-linejoin: round;
  }

  text {
    fill: var(--color-base-content);
    font-size: 10.5px;
    font-weight: 600;
  }
</style>
