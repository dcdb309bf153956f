<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import Field from '../../parts/Field.svelte'
  import { SentKey } from '../../parts/key'
  import KindField from '../../parts/KindField.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import WeekDays from '../../parts/WeekDays.svelte'
  import { clockTime } from '../../parts/word.svelte'

  interface Props {
    /** The order to change; without one, a new order is added. */
    order?: Schemas['StandingOrderAnswer']
    /** The day that is looked at: a new order begins with it. */
    day: string
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { order, day, ondone, oncancel }: Props = $props()

  const products = bakery.current?.products ?? []
  const keys = new SentKey()
  // What was opened is what is changed: news from elsewhere must not slip in under it.
  const first = untrack(() => order)
  let version = first?.version ?? 0
  let draft = $state<Schemas['StandingOrderDraft']>(
    first
      ? { ...first.draft }
      : {
          product: products[0]?.id ?? '',
          pan: products[0]?.referencePan ?? '',
          count: null,
          days: [],
          at: '09:00',
          for: '',
          from: untrack(() => day),
          until: null,
          mayBeLateMin: null,
        },
  )
  let failure = $state<Failure>()
  let isSending = $state(false)
  let theirs = $state<Schemas['StandingOrderAnswer']>()

  const product = $derived(products.find((one) => one.id === draft.product))
  // Another product has other pans.
  $effect(() => {
    if (product && !product.pans.some((one) => one.id === draft.pan)) draft.pan = product.referencePan
  })
  const days = $derived((draft.days ?? []).map((one) => one ?? ''))
  const inWords = (one: Schemas['StandingOrderAnswer']) =>
    `${one.draft.count} ${one.productName}, ${one.panName}, ${one.words} ${one.draft.at}`
  const differences = $derived(
    theirs
      ? [
          { field: 'Pies', theirs: String(theirs.draft.count), mine: String(draft.count ?? '') },
          { field: 'Product', theirs: theirs.productName, mine: product?.name ?? '' },
          { field: 'Pan', theirs: theirs.draft.pan ?? '', mine: draft.pan ?? '' },
          { field: 'Days', theirs: (theirs.draft.days ?? []).join(', '), mine: days.join(', ') },
          { field: 'At', theirs: theirs.draft.at ?? '', mine: draft.at ?? '' },
          { field: 'For', theirs: theirs.draft.for ?? '', mine: draft.for ?? '' },
          {
            field: 'May be late, min',
            theirs: String(theirs.draft.mayBeLateMin ?? 0),
            mine: String(draft.mayBeLateMin ?? 0),
          },
          { field: 'From', theirs: theirs.draft.from ?? '', mine: draft.from ?? '' },
          { field: 'Until', theirs: theirs.draft.until ?? '', mine: draft.until ?? '' },
        ].filter((row) => row.theirs !== row.mine)
      : [],
  )

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (isSending) return
    isSending = true
    const at = draft.at ?? ''
    const body = { ...draft, at: clockTime.read(at) ?? at, until: draft.until === '' ? null : draft.until }
    const outcome = first
      ? await ask(
          api.PUT('/api/standing-orders/{id}', {
            params: { path: { id: first.id }, header: { 'If-Match': `"${version}"` } },
            body,
          }),
        )
      : await ask(api.POST('/api/standing-orders', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }))
    isSending = false
    failure = outcome.failure
    const present = outcome.failure?.present
    theirs = present && 'draft' in present ? present : undefined
    if (outcome.data) ondone(inWords(outcome.data))
  }
</script>

<form class="my-2 flex flex-wrap items-start gap-3 py-1" onsubmit={save} novalidate>
  <NumberField label="Pies each time" field="count" {failure} bind:value={draft.count} size={6} step={1} />
  <KindField
    label="Product"
    field="product"
    {failure}
    options={products.map((one) => ({ value: one.id, words: one.name }))}
    bind:value={draft.product}
  />
  <KindField
    label="Pan"
    field="pan"
    {failure}
    options={(product?.pans ?? []).map((one) => ({ value: one.id, words: one.name }))}
    bind:value={draft.pan}
  />
  <div>
    <span class="small block">Every week on</span>
    <WeekDays
      label="Days of the pick-up"
      {days}
      fault={failure?.fields.days?.join(' ')}
      onturn={(turned) => (draft.days = turned)}
    />
  </div>
  <TextField label="At" field="at" {failure} bind:value={draft.at} size={6} placeholder="09:00" inputmode="numeric" />
  <Field label="From" field="from" {failure}>
    {#snippet children(ties)}<input class="field" type="date" bind:value={draft.from} {...ties} />{/snippet}
  </Field>
  <Field label="Until (empty: goes on)" field="until" {failure}>
    {#snippet children(ties)}<input class="field" type="date" bind:value={draft.until} {...ties} />{/snippet}
  </Field>
  <div class="grow"><TextField label="For" field="for" {failure} bind:value={draft.for} /></div>
  <NumberField
    label="May be late by, min"
    field="mayBeLateMin"
    {failure}
    bind:value={draft.mayBeLateMin}
    size={6}
    step={15}
  />
  <div class="flex gap-2 pt-5">
    <button class="press press-main" type="submit">{first ? 'Save' : 'Add'}</button>
    <button class="press" type="button" onclick={oncancel}>Cancel</button>
  </div>
  {#if first}<p class="small w-full">
      What was picked up before today stays as it was. A single day is changed in the list of that day.
    </p>{/if}
  {#if theirs}
    <DraftConflict
      what="this order"
      rows={differences}
      onkeep={() => theirs && ondone(`theirs kept, ${inWords(theirs)}`)}
      onsave={() => {
        version = theirs?.version ?? version
        void save()
      }}
    />
  {:else if failure && !Object.keys(failure.fields).some((field) => field in draft)}
    <p class="w-full font-bold" role="alert">{Object.values(failure.fields).flat().join(' ') || failure.title}</p>
  {/if}
</form>
