<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { money } from '../../parts/money'
  import PieCut from '../../parts/PieCut.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import Beside from './Beside.svelte'
  import RunCost from './RunCost.svelte'
  import CostOverTime from './CostOverTime.svelte'
  import WhatToCharge from './WhatToCharge.svelte'

  interface Props {
    params?: { product?: string; pan?: string }
  }
  const { params }: Props = $props()
  let since = $state('')
  let on = $state('')
  let slices = $state(8)
  const asked = new Asked<Schemas['ProductCostAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => {
    const path = { product: params?.product ?? '', pan: params?.pan ?? '' }
    const query = { slices, ...(since ? { since } : {}), ...(on ? { on } : {}) }
    return (signal) => api.GET('/api/costs/{product}/{pan}', { params: { path, query }, signal })
  })
  const answer = $derived(asked.current)
  const spoken = $derived(
    answer
      ? `${answer.name}: ${answer.cost === null ? answer.between : money(answer.cost)} ${answer.currency} a pie`
      : '',
  )
</script>

<svelte:head><title>{answer ? `${answer.name}, cost` : 'Cost'} · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small">
    <a class="link" href="#/costs">All costs</a>,
    <a class="link" href="#/recipes/{answer.product}/{answer.pan}">the recipe</a>,
    <a class="link" href="#/labels/{answer.product}/{answer.pan}">its label</a>
  </p>
  <Sentence {spoken}>
    {answer.name} in
    <ChoiceWord
      label="In which pan"
      value={answer.pan}
      options={answer.pans.map((pan) => ({ value: pan.id, words: pan.name }))}
      onchange={(pan) => push(`/costs/${params?.product}/${pan}`)}
    />
    {#if answer.cost === null}costs {answer.onName ? `on ${answer.onName} ` : ''}{answer.between}
      {answer.currency}: not everything has a price.
    {:else}costs {answer.onName ? `on ${answer.onName} ` : ''}{money(answer.cost)}
      {answer.currency}{#if answer.sharePercent !== null && answer.sellingPrice !== null},
        {answer.sharePercent} % of the {money(answer.sellingPrice)} it sells for.{:else}; no price to sell it for is
        set.{/if}{/if}
  </Sentence>
  {#each answer.missing as missing (missing)}<p class="note mt-2">{missing}.</p>{/each}
  <div class="mt-3 grid items-start gap-6 lg:grid-cols-[27rem_1fr]">
    <PieCut
      size={430}
      isNamed
      slices={answer.drivers.map((one) => ({ percent: one.sharePercent ?? 0, name: one.name }))}
      label="The cost cut by ingredient; the table beside it says the same"
    />
    <table class="w-full">
      <caption class="sr-only">Cost by ingredient</caption>
      <thead>
        <tr class="small text-left">
          <th scope="col">Bought for one pie</th>
          <th scope="col" class="figure">Cost</th>
          <th scope="col" class="figure">Share</th>
          <th scope="col" class="figure">10 % dearer: pie</th>
          {#if answer.sharePercent !== null}<th scope="col" class="figure">share of price then</th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each answer.drivers as one (one.ingredient)}
          <tr class="border-line border-t">
            <th scope="row" class="py-0.5 text-left font-normal"
              >{one.name} <span class="small">{one.bought}{one.price ? `, ${one.price}` : ''}</span></th
            >
            <td class="figure weight">{one.cost === null ? 'no price' : money(one.cost)}</td>
            <td class="figure">{one.sharePercent === null ? '' : `${one.sharePercent.toFixed(1)} %`}</td>
            <td class="figure">{one.more === null ? '' : `+${one.more.toFixed(3)}`}</td>
            {#if answer.sharePercent !== null}<td class="figure"
                >{one.foodCostPercentThen === null ? '' : `${one.foodCostPercentThen.toFixed(1)} %`}</td
              >{/if}
          </tr>
        {/each}
      </tbody>
      <tfoot>
        <tr class="border-t-2 border-(--color-base-content)">
          <th scope="row" class="text-left">{answer.cost === null ? 'What is known' : 'Together'}</th>
          <td class="figure weight">{money(answer.knownCost)}</td>
          <td colspan="3"></td>
        </tr>
      </tfoot>
    </table>
  </div>
  <WhatToCharge {answer} slices={answer.slices} onslices={(wanted) => (slices = Number.isNaN(wanted) ? 8 : wanted)} />
  <RunCost product={answer.product} pan={answer.pan} />
  <Beside product={answer.product} pan={answer.pan} />
  <section class="mt-6" aria-label="Over time">
    <div class="flex flex-wrap items-end gap-4">
      <h2 class="font-headline text-lg font-semibold">This recipe at the prices of each day</h2>
      <label
        ><span class="small block">Since</span><input
          class="field"
          type="date"
          value={answer.since}
          onchange={(event) => (since = event.currentTarget.value)}
        /></label
      >
      <label
        ><span class="small block">Reckoned on</span><input
          class="field"
          type="date"
          value={answer.today}
          onchange={(event) => (on = event.currentTarget.value)}
        /></label
      >
    </div>
    <CostOverTime {answer} />
  </section>
{/if}

<style>
  .figure {
    padding: 0.15rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }
</style>
