<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { difference, money } from '../../parts/money'
  import WhatMoves from './WhatMoves.svelte'
  import PieCut from '../../parts/PieCut.svelte'

  let since = $state('')
  const asked = new Asked<Schemas['CostsAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => {
    const query = since ? { since } : {}
    return (signal) => api.GET('/api/costs', { params: { query }, signal })
  })
  const answer = $derived(asked.current)
</script>

<svelte:head><title>Costs · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small">
    <a class="link" href="#/prices">Prices of ingredients</a>,
    <a class="link" href="#/costs/channels">where pies are sold</a>,
    <a class="link" href="#/bill">the bill of a day or a week</a>
  </p>
  <h1 class="sentence">{answer.sentence}</h1>
  <p class="small mt-2">
    Ingredients and packaging of one pie in its usual pan, at today’s prices in {answer.currency}, bought weight through
    yields and what is made here; hands and ovens stand with each product and on the bill. The slice is what they take
    of the price; more than the {answer.aimPercent}
    % aimed at is underlined.
  </p>
  <label class="mt-2 block w-fit"
    ><span class="small block">Compared with</span><input
      class="field"
      type="date"
      value={answer.since}
      onchange={(event) => (since = event.currentTarget.value)}
    /></label
  >
  <table class="mt-3 w-full">
    <caption class="sr-only">Costs by product, the greatest share of the price first</caption>
    <thead>
      <tr class="small text-left">
        <th scope="col" colspan="2">Product</th>
        <th scope="col" class="figure">Cost</th>
        <th scope="col" class="figure">Sells for</th>
        <th scope="col" class="figure">Share</th>
        <th scope="col" class="figure">Since {answer.sinceName}</th>
        <th scope="col" class="why">Why</th>
      </tr>
    </thead>
    <tbody>
      {#each answer.products as row (row.id)}
        <tr class="border-line border-t">
          <td class="w-9 py-1">
            {#if row.sharePercent !== null}
              <PieCut
                size={28}
                slices={[{ percent: Math.min(100, row.sharePercent), name: '' }]}
                label="{row.sharePercent} % of the price"
              />
            {/if}
          </td>
          <th scope="row" class="py-1 text-left font-normal">
            <a class="link" href="#/costs/{row.id}/{row.pan}">{row.name}</a> <span class="small">{row.panName}</span>
          </th>
          <td class="figure weight">{row.cost === null ? row.between : money(row.cost)}</td>
          <td class="figure">{row.sellingPrice === null ? 'not set' : money(row.sellingPrice)}</td>
          <td class="figure weight" class:over={row.isOverAim}
            >{row.sharePercent === null ? '–' : `${row.sharePercent.toFixed(1)} %`}</td
          >
          <td class="figure">{row.more === null ? 'not known' : difference(row.more)}</td>
          <td class="why small"
            >{#if row.missing.length > 0}<b>No price known of {row.missing.join(', ')}.</b>
            {/if}{row.reasons.map((reason) => reason.text).join('; ')}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <WhatMoves />
{/if}

<style>
  .figure {
    padding: 0.25rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }

  .over {
    text-decoration: underline 3px;
    text-underline-offset: 0.2em;
  }

  .why {
    padding: 0.25rem 0 0.25rem 1rem;
    max-width: 30rem;
  }
</style>
