<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'

  interface Props {
    whole: Schemas['WholeAnswer'][]
    count: number
    onchoose: (pies: number) => void
  }
  const { whole, count, onchoose }: Props = $props()
  const signed = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : '±'}${Math.abs(value)} %`
</script>

<section class="mt-6">
  <h2>What comes whole</h2>
  <p class="small">
    Weigh it beaten or open; or take the nearest whole; or make as many pies as need whole ones, within a twentieth of
    one.
  </p>
  <table class="w-full">
    <thead class="small">
      <tr>
        <th class="text-left font-normal" scope="col">for {count}</th>
        <th class="px-3 text-right font-normal" scope="col">exactly</th>
        <th class="px-3 text-right font-normal" scope="col">weigh</th>
        <th class="px-3 text-right font-normal" scope="col">nearest whole</th>
        <th class="text-right font-normal" scope="col">comes out whole at</th>
      </tr>
    </thead>
    <tbody>
      {#each whole as one, index (index)}
        <tr class="border-line border-t">
          <th scope="row" class="py-1 text-left font-normal"
            >{one.name}{one.piece === one.name ? '' : `, by the ${one.piece}`}</th
          >
          <td class="px-3 text-right">{one.exact}</td>
          <td class="px-3 text-right whitespace-nowrap">{grams(one.grams)}</td>
          <td class="px-3 text-right whitespace-nowrap"
            >{one.nearest} <span class="small">{signed(one.movedPercent)}</span></td
          >
          <td class="text-right whitespace-nowrap">
            {#if one.wholeAt === null}<span class="small">none near</span>
            {:else}
              {#if one.wholeAt.pies === count}this count{:else}<button
                  class="link"
                  onclick={() => one.wholeAt && onchoose(one.wholeAt.pies)}>{one.wholeAt.pies} pies</button
                >{/if}: {one.wholeAt.pieces}
              <span class="small">{signed(one.wholeAt.movedPercent)}</span>
            {/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
