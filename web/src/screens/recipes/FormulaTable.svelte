<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'
  import LineEdit from './LineEdit.svelte'

  interface Props {
    title: string
    /** What the first column is. */
    note: string
    lines: Schemas['LineAnswer'][]
    /** By which the written amounts are multiplied for one pie; a dough's formula gives proportions only. */
    factor?: number
    count: number
    foot?: string
    /** Which layer of which recipe this is; its lines can be changed where they stand. A dough has a form of its own. */
    of?: { id: string; layer: number }
  }
  const { title, note, lines, factor, count, foot, of }: Props = $props()
  let edited = $state<number>()
  const sum = (pick: (line: Schemas['LineAnswer']) => number) => lines.reduce((total, line) => total + pick(line), 0)
  const tidy = (value: number) => Math.round(value * 10) / 10
</script>

<section class="mt-6">
  <h2>{title}</h2>
  <div class="overflow-x-auto">
    <table class="w-full">
      <thead class="small">
        <tr>
          <td></td>
          <th class="px-3 text-right font-normal" scope="col">{note}</th>
          <th class="px-3 text-right font-normal" scope="col">a pie</th>
          <th class="text-right font-normal" scope="col">weigh for {count}</th>
          <td class="w-52"></td>
        </tr>
      </thead>
      <tbody>
        {#each lines as line, index (index)}
          {#if of && edited === index}
            <tr class="border-line border-t">
              <td colspan="5" class="px-1 py-1">
                <LineEdit id={of.id} layer={of.layer} at={index} ondone={() => (edited = undefined)} />
              </td>
            </tr>
          {/if}
          <tr class="border-line border-t">
            <th scope="row" class="py-1 text-left font-normal"
              >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
            >
            <td class="px-3 text-right whitespace-nowrap">
              {#if line.written}<span class="small pr-1.5">{line.written} =</span>{/if}{#if of}<button
                  class="word"
                  aria-label="Change {line.name}, {grams(tidy(line.writtenGrams))}"
                  aria-expanded={edited === index}
                  onclick={() => (edited = edited === index ? undefined : index)}
                  >{grams(tidy(line.writtenGrams))}</button
                >{:else}{grams(tidy(line.writtenGrams))}{/if}
            </td>
            <td class="px-3 text-right whitespace-nowrap">{line.perPieGrams.toFixed(1)} g</td>
            <td class="weight text-right">{grams(line.totalGrams)}</td>
            <td class="small pl-3">
              {#if line.toBuyGrams !== null}buy {grams(line.toBuyGrams)}: {line.yieldPercent} % is left{/if}{#if line.pieces}{line.toBuyGrams !==
                null
                  ? ', '
                  : ''}{line.pieces}{/if}
            </td>
          </tr>
        {/each}
        <tr class="border-soft border-t">
          <th scope="row" class="py-1 text-left font-normal">In all</th>
          <td class="px-3 text-right whitespace-nowrap">{grams(tidy(sum((line) => line.writtenGrams)))}</td>
          <td class="px-3 text-right whitespace-nowrap">{tidy(sum((line) => line.perPieGrams)).toFixed(1)} g</td>
          <td class="weight text-right">{grams(tidy(sum((line) => line.totalGrams)))}</td>
          <td class="small pl-3">{factor ? `× ${factor.toFixed(4)} a pie` : ''}</td>
        </tr>
      </tbody>
    </table>
  </div>
  {#if foot}<p class="small">{foot}</p>{/if}
</section>
