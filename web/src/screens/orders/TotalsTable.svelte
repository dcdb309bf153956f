<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    answer: Schemas['OrdersAnswer']
  }
  const { answer }: Props = $props()
  const perPickUp = $derived(
    answer.pickUps.map((_, index) => answer.totals.reduce((sum, row) => sum + (row.perPickUp[index] ?? 0), 0)),
  )
</script>

<section aria-label="Totals">
  <h2>To bake</h2>
  <table class="mt-1">
    <thead class="small">
      <tr>
        <th class="pr-4 text-left font-normal" scope="col">Product and pan</th>
        {#each answer.pickUps as clock (clock)}<th class="px-3 text-right font-normal" scope="col">{clock}</th>{/each}
        <th class="pl-3 text-right font-normal" scope="col">all</th>
      </tr>
    </thead>
    <tbody>
      {#each answer.totals as row (`${row.product} ${row.pan}`)}
        <tr class="border-line border-t">
          <th class="py-1 pr-4 text-left font-normal" scope="row">{row.product}, {row.pan}</th>
          {#each row.perPickUp as pies, index (index)}<td class="px-3 text-right">{pies || '–'}</td>{/each}
          <td class="pl-3 text-right font-bold">{row.total}</td>
        </tr>
      {/each}
      <tr class="border-soft border-t">
        <th class="py-1 pr-4 text-left font-normal" scope="row">Pies</th>
        {#each perPickUp as pies, index (index)}<td class="px-3 text-right font-bold">{pies}</td>{/each}
        <td class="pl-3 text-right font-bold">{answer.pies + answer.beyond}</td>
      </tr>
    </tbody>
  </table>
  {#if answer.beyond > 0}<p class="small mt-1">{answer.beyond} of them beyond what is ordered: the margin.</p>{/if}
</section>
