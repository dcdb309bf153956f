<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import { money, perUnit } from '../../parts/money'
  import PriceForm from './PriceForm.svelte'
  import PriceHistory from './PriceHistory.svelte'
  import PriceList from './PriceList.svelte'
  import SupplierService from './SupplierService.svelte'

  type Row = Schemas['PriceRowAnswer']
  const asked = new Asked<Schemas['PricesAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => (signal) => api.GET('/api/prices', { signal }))
  const answer = $derived(asked.current)

  let q = $state('')
  let opened = $state<string>()
  let way = $state<'list' | 'service'>()
  let said = $state('')

  const shown = $derived(
    (answer?.ingredients ?? [])
      .filter((one) => one.inForce !== null || one.usedIn > 0 || q.trim() !== '')
      .filter((one) =>
        [one.name, one.inForce?.supplier ?? '', ...one.others.map((row) => row.supplier)].some((text) =>
          text.toLowerCase().includes(q.trim().toLowerCase()),
        ),
      )
      .toSorted((one, other) => Number(one.lacking === null) - Number(other.lacking === null)),
  )
  const lacking = $derived((answer?.ingredients ?? []).filter((one) => one.lacking !== null && one.usedIn > 0).length)
  const priced = $derived((answer?.ingredients ?? []).filter((one) => one.inForce !== null).length)
  const inWords = (row: Row) => `${money(row.paid)} for ${row.pack}`

  function done(words: string) {
    said = words
    opened = undefined
    way = undefined
    live.saved('ingredients')
  }
</script>

<svelte:head><title>Prices · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small"><a class="link" href="#/costs">Costs</a>, <a class="link" href="#/ingredients">ingredients</a></p>
  <h1 class="sentence">
    {priced} ingredients have a price, from {answer.suppliers.length}
    {answer.suppliers.length === 1 ? 'supplier' : 'suppliers'}{lacking === 0
      ? '; nothing that goes into a pie lacks one.'
      : `; ${lacking} that ${lacking === 1 ? 'goes' : 'go'} into pies cannot be costed yet.`}
  </h1>
  <p class="small mt-2">
    Prices are added and never changed: what a pie cost in spring stays what it cost. A slip is corrected by another
    price for the same day. Costs follow the supplier from whom a thing is usually bought.
  </p>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label class="grow"
      ><span class="small block">Find an ingredient or a supplier</span><input
        class="field w-full max-w-80"
        type="search"
        bind:value={q}
      /></label
    >
    <button class="press" aria-expanded={way === 'list'} onclick={() => (way = way === 'list' ? undefined : 'list')}
      >Take in a price list</button
    >
    <button
      class="press"
      aria-expanded={way === 'service'}
      onclick={() => (way = way === 'service' ? undefined : 'service')}>Ask a supplier’s service</button
    >
    <a class="press" href="/api/prices/prices.csv" download="prices.csv">Prices as a file</a>
  </div>
  <p class="mt-2" role="status">{said}</p>
  {#if way === 'list'}<PriceList suppliers={answer.suppliers} ingredients={answer.ingredients} ondone={done} />{/if}
  {#if way === 'service'}<SupplierService suppliers={answer.suppliers} ondone={done} />{/if}
  <ul class="mt-3">
    {#each shown as one (one.id)}
      <li class="border-line border-t py-1">
        <div class="grid items-baseline gap-x-5 md:grid-cols-[14rem_8rem_1fr_auto]">
          <strong>{one.name}</strong>
          {#if one.inForce}
            <span class="weight md:text-right"
              >{perUnit(one.inForce.perUnit)} <span class="small">a {one.inForce.unit}</span></span
            >
            <span
              >{inWords(one.inForce)}, {one.inForce.supplier}
              <span class="small">since {one.inForce.validFromName}</span>
              {#if one.lacking}<b>{one.lacking}</b>{/if}
              {#each one.others as row (row.supplier)}
                <span class="small block"
                  >{row.supplier}: {perUnit(row.perUnit)} a {row.unit}, {inWords(row)}, since {row.validFromName}</span
                >
              {/each}
            </span>
          {:else}
            <span class="md:text-right">–</span>
            <b>{one.lacking ?? 'no price is known'}</b>
          {/if}
          <button
            class="link"
            aria-expanded={opened === one.id}
            aria-label="{opened === one.id ? 'Close' : 'Open'} {one.name}"
            onclick={() => (opened = opened === one.id ? undefined : one.id)}
            >{opened === one.id ? 'Close' : 'Open'}</button
          >
        </div>
        {#if opened === one.id}
          <div class="note my-2 grid gap-6 lg:grid-cols-2">
            <PriceForm
              ingredient={one}
              suppliers={answer.suppliers}
              today={answer.today}
              currency={answer.currency}
              ondone={done}
            />
            <PriceHistory ingredient={one.id} ondone={done} />
          </div>
        {/if}
      </li>
    {/each}
  </ul>
  {#if shown.length === 0}<p class="mt-3">None is called that.</p>{/if}
{/if}
