<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import { SentKey } from '../../parts/key'
  import KindField from '../../parts/KindField.svelte'
  import { live } from '../../parts/live.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { places } from './places'

  interface Props {
    answer: Schemas['ShelvesAnswer']
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { answer, ondone, oncancel }: Props = $props()

  const keys = new SentKey()
  // What is missing is what comes, most likely.
  let ingredient = $state(
    untrack(() => (answer.goods.find((one) => one.name === answer.missing[0]?.name) ?? answer.goods[0])?.id ?? ''),
  )
  const goods = $derived(answer.goods.find((one) => one.id === ingredient))
  let draft = $state<Schemas['StockReceiptDraft']>(empty())
  let failure = $state<Failure>()
  let isSending = $state(false)

  function empty(): Schemas['StockReceiptDraft'] {
    return {
      ingredient: '',
      pack: '',
      packs: 1,
      supplier: '',
      code: '',
      useBy: '',
      place: 'room',
      shelf: '',
      paid: null,
      note: '',
    }
  }

  // It comes as it is usually bought, until somebody says otherwise; it lies where the last of it lay.
  $effect(() => {
    const id = ingredient
    untrack(() => {
      const usual = answer.goods.find((one) => one.id === id)
      if (!usual) return
      draft.pack = usual.pack
      draft.supplier = usual.supplier
      const last = answer.places.flatMap((place) =>
        place.shelves.flatMap((shelf) =>
          shelf.lots.filter((lot) => lot.name === usual.name).map(() => ({ place: place.place, shelf: shelf.name })),
        ),
      )[0]
      if (last) [draft.place, draft.shelf] = [last.place, last.shelf]
    })
  })

  async function setCounted(isCounted: boolean) {
    const outcome = await ask(
      api.PUT('/api/counted-goods/{ingredient}', { params: { path: { ingredient } }, body: { isCounted } }),
    )
    failure = outcome.failure
    if (!outcome.failure) live.saved('stock')
  }

  async function save(event: SubmitEvent) {
    event.preventDefault()
    if (isSending) return
    isSending = true
    const body = { ...$state.snapshot(draft), ingredient, useBy: draft.useBy || null }
    const outcome = await ask(
      api.POST('/api/stock-lots', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }),
    )
    isSending = false
    failure = outcome.failure
    if (!outcome.data) return
    keys.taken()
    ondone(`Received: ${draft.packs} × ${draft.pack} ${goods?.name ?? ''}.`)
  }
</script>

<form class="note mb-3" onsubmit={save} novalidate aria-label="Receive">
  <div class="flex flex-wrap items-start gap-x-4 gap-y-2">
    <Field label="What" field="ingredient" {failure}>
      {#snippet children(tied)}
        <select class="field" bind:value={ingredient} {...tied}>
          {#each answer.goods as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      {/snippet}
    </Field>
    <NumberField label="Packs" field="packs" {failure} bind:value={draft.packs} size={5} />
    <TextField label="of" field="pack" {failure} bind:value={draft.pack} size={16} placeholder="25 kg, tray of 30" />
    <TextField label="Lot number" field="code" {failure} bind:value={draft.code} size={12} />
    <Field label="Use by" field="useBy" {failure}>
      {#snippet children(tied)}<input class="field" type="date" bind:value={draft.useBy} {...tied} />{/snippet}
    </Field>
    <TextField label="From" field="supplier" {failure} bind:value={draft.supplier} size={18} list="receive-suppliers" />
    <datalist id="receive-suppliers">
      {#each answer.suppliers as name (name)}<option value={name}></option>{/each}
    </datalist>
    <KindField
      label="Lies"
      field="place"
      {failure}
      options={Object.entries(places).map(([value, place]) => ({ value, words: place.at }))}
      bind:value={draft.place}
    />
    <TextField label="Shelf" field="shelf" {failure} bind:value={draft.shelf} size={16} />
    <NumberField
      label="Paid a pack, {answer.currency}"
      field="paid"
      {failure}
      bind:value={draft.paid}
      size={8}
      step="any"
    />
    <TextField label="Note" field="note" {failure} bind:value={draft.note} size={20} />
  </div>
  {#if goods}
    <p class="small mt-1">
      {#if goods.isCounted}
        <button type="button" class="link" onclick={() => setCounted(false)}
          >Do not keep {goods.name} on the books</button
        >
      {:else}
        {goods.name} is not kept on the books: no batch takes of it, and it is never missing.
        <button type="button" class="link" onclick={() => setCounted(true)}>Keep {goods.name} on the books</button>
      {/if}
    </p>
  {/if}
  <div class="mt-2 flex flex-wrap gap-3">
    <button class="press press-main" disabled={isSending}>Put on the shelf</button>
    <button type="button" class="press" onclick={oncancel}>Cancel</button>
  </div>
</form>
