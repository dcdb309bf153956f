<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { difference, money, perUnit } from '../../parts/money'

  interface Props {
    read: Schemas['PriceListAnswer']
  }
  const { read }: Props = $props()
  const news = $derived(read.changes.filter((change) => !change.isNoNews))
  const old = $derived(read.changes.length - news.length)
</script>

<p class="mt-2">
  <b
    >{news.length === 0
      ? 'Nothing in it is new'
      : `${news.length} ${news.length === 1 ? 'price is' : 'prices are'} new`}</b
  >{old > 0 ? `, ${old} as before` : ''}{read.passedOver > 0
    ? `, ${read.passedOver} ${read.passedOver === 1 ? 'row is' : 'rows are'} none of the ingredients`
    : ''}.
</p>
{#if news.length > 0}
  <table class="mt-1 w-full max-w-4xl">
    <caption class="sr-only">What would change</caption>
    <thead>
      <tr class="small text-left">
        <th scope="col">Ingredient</th>
        <th scope="col" class="figure">Until now</th>
        <th scope="col" class="figure">New</th>
        <th scope="col" class="figure">Change</th>
        <th scope="col"></th>
      </tr>
    </thead>
    <tbody>
      {#each news as change (`${change.row} ${change.ingredient}`)}
        <tr class="border-line border-t">
          <th scope="row" class="py-0.5 text-left font-normal"
            >{change.name}{#if change.article !== change.name}<span class="small pl-1">“{change.article}”</span>{/if}
            <span class="small">{money(change.now.paid)} for {change.now.pack}</span></th
          >
          <td class="figure"
            >{change.before ? `${perUnit(change.before.perUnit)} a ${change.before.unit}` : 'not known'}</td
          >
          <td class="figure weight">{perUnit(change.now.perUnit)} a {change.now.unit}</td>
          <td class="figure"
            >{change.changePercent === null
              ? ''
              : `${change.changePercent > 0 ? '+' : ''}${change.changePercent} %`}</td
          >
          <td class="small pl-3"
            >{#if change.isSurprising}<b>Look twice: is this right?</b>
            {/if}{change.isInForce ? '' : 'bought elsewhere: costs stay'}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
{#if read.effects.length > 0}
  <p class="mt-2"><b>What it does to pies</b></p>
  <ul class="flex flex-wrap gap-x-6">
    {#each read.effects as effect (effect.product)}
      <li>
        {effect.name}
        <span class="weight">{effect.now === null ? '' : money(effect.now)}</span>
        <span class="small">{effect.more === null ? 'first cost' : difference(effect.more)}</span>
      </li>
    {/each}
  </ul>
{:else if news.length > 0}
  <p class="small mt-2">No pie costs anything else for it.</p>
{/if}

<style>
  .figure {
    padding: 0.1rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }
</style>
