<script lang="ts">
  import { untrack } from 'svelte'
  import { SentKey } from '../../parts/key'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import { clockTime } from '../../parts/word.svelte'
  import DraftConflict from '../../parts/DraftConflict.svelte'

  interface Props {
    day: string
    /** The order to change; without one, a new order is added. */
    order?: Schemas['OrderAnswer']
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { day, order, ondone, oncancel }: Props = $props()

  const products = bakery.current?.products ?? []
  // One key for one order as it is filled in, however often it is sent; filled in otherwise it is another.
  const keys = new SentKey()
  // What was opened is what is changed: news from elsewhere must not slip in under it.
  const first = untrack(() => ({ order, day }))
  let version = first.order?.version ?? 0
  let product = $state(first.order?.product ?? products[0]?.id ?? '')
  let pan = $state(first.order?.pan ?? products[0]?.referencePan ?? '')
  let count = $state<number | null>(first.order?.count ?? null)
  let date = $state(first.order?.pickUp.slice(0, 10) ?? first.day)
  let time = $state(first.order?.pickUp.slice(11) ?? '09:00')
  let name = $state(first.order?.for ?? '')
  let mayBeLate = $state<number | null>(first.order?.mayBeLateMin || null)
  let failure = $state<Failure>()
  let isSending = $state(false)
  let theirs = $state<Schemas['OrderAnswer']>()

  const pans = $derived(products.find((one) => one.id === product)?.pans ?? [])
  // Another product has other pans.
  $effect(() => {
    if (pans.length > 0 && !pans.some((one) => one.id === pan))
      pan = products.find((one) => one.id === product)?.referencePan ?? ''
  })
  const id = $props.id()
  const faultOf = (field: string) => failure?.fields[field]?.join(' ')

  const nameOfProduct = $derived(products.find((one) => one.id === product)?.name ?? product)
  const differences = $derived(
    theirs
      ? [
          { field: 'Pies', theirs: String(theirs.count), mine: String(count ?? '') },
          { field: 'Product', theirs: theirs.productName, mine: nameOfProduct },
          { field: 'Pan', theirs: theirs.pan, mine: pan },
          { field: 'Pick-up', theirs: theirs.pickUp.replace('T', ' '), mine: `${date} ${time}` },
          { field: 'For', theirs: theirs.for, mine: name },
          { field: 'May be late, min', theirs: String(theirs.mayBeLateMin), mine: String(mayBeLate ?? 0) },
        ].filter((row) => row.theirs !== row.mine)
      : [],
  )

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (isSending) return
    isSending = true
    const body = {
      product,
      pan,
      count,
      pickUp: `${date}T${clockTime.read(time) ?? time}`,
      for: name,
      mayBeLateMin: mayBeLate,
    }
    const opened = first.order
    const outcome = opened?.repeats
      ? await ask(
          api.PUT('/api/standing-orders/{id}/days/{day}', {
            params: { path: { id: opened.repeats.id, day: opened.pickUp.slice(0, 10) } },
            body,
          }),
        )
      : opened
        ? await ask(
            api.PUT('/api/orders/{id}', {
              params: { path: { id: opened.id }, header: { 'If-Match': `"${version}"` } },
              body,
            }),
          )
        : await ask(api.POST('/api/orders', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }))
    isSending = false
    failure = outcome.failure
    const present = outcome.failure?.present
    theirs = present && 'pickUp' in present ? present : undefined
    if (outcome.data)
      ondone(`${outcome.data.count} ${outcome.data.productName}, ${outcome.data.panName}, ${outcome.data.clock}`)
  }
</script>

{#snippet fault(field: string)}
  {#if faultOf(field)}<span class="block max-w-64 font-bold" id="{id}-{field}" role="alert">{faultOf(field)}</span>{/if}
{/snippet}

<form class="my-2 flex flex-wrap items-start gap-3 py-1" onsubmit={save} novalidate>
  <label
    ><span class="small block">Pies</span>
    <input
      class="field w-24"
      type="number"
      min="1"
      max="2000"
      bind:value={count}
      aria-invalid={!!faultOf('count')}
      aria-describedby="{id}-count"
    />{@render fault('count')}</label
  >
  <label
    ><span class="small block">Product</span>
    <select class="field" bind:value={product} aria-describedby="{id}-product">
      {#each products as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </select>{@render fault('product')}</label
  >
  <label
    ><span class="small block">Pan</span>
    <select class="field" bind:value={pan} aria-describedby="{id}-pan">
      {#each pans as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
    </select>{@render fault('pan')}</label
  >
  <label
    ><span class="small block">Pick-up day</span>
    <input class="field" type="date" bind:value={date} aria-describedby="{id}-pickUp" />{@render fault('pickUp')}</label
  >
  <label
    ><span class="small block">At</span>
    <input class="field w-24" inputmode="numeric" placeholder="09:00" bind:value={time} /></label
  >
  <label class="grow"
    ><span class="small block">For</span>
    <input class="field w-full" bind:value={name} maxlength="80" aria-describedby="{id}-for" />{@render fault(
      'for',
    )}</label
  >
  <label
    ><span class="small block">May be late by, min</span>
    <input
      class="field w-24"
      type="number"
      min="0"
      max="720"
      step="15"
      placeholder="0"
      bind:value={mayBeLate}
      aria-describedby="{id}-mayBeLateMin"
    />{@render fault('mayBeLateMin')}</label
  >
  <div class="flex gap-2 pt-5">
    <button class="press press-main" type="submit">{first.order ? 'Save' : 'Add'}</button>
    <button class="press" type="button" onclick={oncancel}>Cancel</button>
  </div>
  {#if first.order?.repeats}<p class="small w-full">
      This order repeats, {first.order.repeats.words}. Only this day of it is changed; it is changed for good under
      "Orders that repeat".
    </p>{/if}
  {#if theirs}
    <DraftConflict
      what="this order"
      rows={differences}
      onkeep={() =>
        theirs && ondone(`theirs kept, ${theirs.count} ${theirs.productName}, ${theirs.panName}, ${theirs.clock}`)}
      onsave={() => {
        version = theirs?.version ?? version
        void save()
      }}
    />
  {:else if failure && Object.keys(failure.fields).length === 0}
    <p class="w-full font-bold" role="alert">{failure.title}</p>
  {/if}
</form>
