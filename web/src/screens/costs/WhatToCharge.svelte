<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { money } from '../../parts/money'

  interface Props {
    answer: Schemas['ProductCostAnswer']
    slices: number
    onslices: (slices: number) => void
  }
  const { answer, slices, onslices }: Props = $props()
  const isShown = (channel: Schemas['ChannelPriceAnswer']) => channel.showsTax && channel.aimed.tax > 0
</script>

<section class="mt-6" aria-label="What to charge">
  <div class="flex flex-wrap items-end gap-4">
    <h2 class="font-headline text-lg font-semibold">What to charge</h2>
    <label
      ><span class="small block">Slices of a pie</span><input
        class="field w-24"
        type="number"
        min="1"
        max="100"
        value={slices}
        onchange={(event) => onslices(event.currentTarget.valueAsNumber)}
      /></label
    >
    <a class="link" href="#/costs/channels">Where pies are sold, and what is aimed at</a>
  </div>
  <div class="overflow-x-auto">
    <table class="mt-2 w-full">
      <caption class="sr-only">Prices by channel</caption>
      <thead>
        <tr class="small text-left">
          <th scope="col">Sold</th>
          <th scope="col" class="figure">Aim</th>
          <th scope="col" class="figure">Charge</th>
          <th scope="col" class="figure">A slice</th>
          <th scope="col" class="figure">Before tax</th>
          <th scope="col" class="figure">Seller keeps</th>
          <th scope="col" class="figure">Left beside ingredients</th>
          <th scope="col" class="figure">Share then</th>
          <th scope="col" class="figure">Left at the price set</th>
        </tr>
      </thead>
      <tbody>
        {#each answer.channels as channel (channel.id)}
          <tr class="border-line border-t">
            <th scope="row" class="py-1 text-left font-normal"
              >{channel.name}{#if isShown(channel)}<span class="small pl-1">tax in</span>{/if}</th
            >
            <td class="figure">{channel.aimPercent} %</td>
            <td class="figure weight">{money(channel.aimed.shown)}</td>
            <td class="figure">{money(channel.slice.shown)}</td>
            <td class="figure">{money(channel.aimed.net)}</td>
            <td class="figure">{money(channel.aimed.fee)}</td>
            <td class="figure weight">{money(channel.aimed.earned)}</td>
            <td class="figure"
              >{channel.aimed.sharePercent === null ? '' : `${channel.aimed.sharePercent.toFixed(1)} %`}</td
            >
            <td class="figure"
              >{channel.present === null
                ? 'none is set'
                : `${money(channel.present.earned)}${channel.present.earned < 0 ? ', a loss' : ''}`}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if answer.channels.length === 0}<p class="small">While a price is missing nothing can be said.</p>{/if}
  <p class="small mt-1">
    The least price that keeps ingredients to the aim, up to the next point at which prices stand there. What is left
    pays hands, ovens and rent. The price that is set is without tax; local law says what tax is due.
  </p>
</section>

<style>
  .figure {
    padding: 0.15rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }

  thead .figure {
    white-space: normal;
  }
</style>
