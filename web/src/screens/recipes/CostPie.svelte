<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { money } from '../../parts/amounts'

  interface Props {
    cost: Schemas['CostAnswer']
    pan: string
  }
  const { cost, pan }: Props = $props()

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
</script>

<section class="border-line mt-8 border-t pt-4" aria-label="Cost">
  <h2>Cost of one pie in the {pan} pan</h2>
  {#if !cost.isComplete}
    <p class="note mt-2" role="status">Incomplete: there is no price for {cost.missing.join(', ')}.</p>
  {/if}
  <div class="mt-2 grid gap-8 md:grid-cols-[13rem_1fr]">
    <div>
      <svg
        viewBox="0 0 100 100"
        role="img"
        aria-label="A pie cut by share of cost; the largest slice is {dearest[0]?.name ?? 'none'}"
      >
        {#each slices as slice, index (index)}<path d={slice.path} />{/each}
        {#each slices.filter((one) => one.share > 0.09) as slice, index (index)}
          <text x={50 + 30 * Math.sin(slice.middle * 2 * Math.PI)} y={51 - 30 * Math.cos(slice.middle * 2 * Math.PI)}>
            {slice.line.name.split(',')[0]}
          </text>
        {/each}
      </svg>
      <dl class="mt-2">
        {#each cost.parts as part (part.part)}
          <div class="flex justify-between">
            <dt>{part.part}</dt>
            <dd>{part.cost === null ? 'incomplete' : money(part.cost, cost.currency, 3)}</dd>
          </div>
        {/each}
        <div class="border-soft flex justify-between border-t font-bold">
          <dt>in all</dt>
          <dd>{cost.total === null ? 'incomplete' : money(cost.total, cost.currency, 3)}</dd>
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
                >{line.name} <span class="small">{line.part}</span></th
              >
              <td class="px-3 text-right whitespace-nowrap"
                >{line.unit === 'g' ? `${line.amount.toFixed(1)} g` : `${line.amount} piece`}</td
              >
              <td class="px-3 text-right whitespace-nowrap"
                >{line.yieldPercent === null ? '' : `${line.yieldPercent} %`}</td
              >
              <td class="small px-3">{line.price ?? 'no price known'}</td>
              <td class="text-right whitespace-nowrap"
                >{line.cost === null ? '–' : money(line.cost, cost.currency, 3)}</td
              >
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
    max-width: 13rem;
  }

  path {
    fill: #e9dec6;
    stroke: var(--color-base-content);
    stroke-width: 0.7;
    stroke-linejoin: round;
  }

  text {
    text-anchor: middle;
    font-size: 7px;
    font-weight: 600;
  }
</style>
