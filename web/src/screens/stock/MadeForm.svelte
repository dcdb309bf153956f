<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import Field from '../../parts/Field.svelte'
  import { SentKey } from '../../parts/key'
  import KindField from '../../parts/KindField.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    answer: Schemas['StockAnswer']
    /** What is to be changed; without it something is added. */
    entry?: Schemas['MadeEntryAnswer']
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { answer, entry, ondone, oncancel }: Props = $props()

  const pies = 'pies:'
  const places: Record<string, string> = {
    room: 'at room temperature',
    cold: 'in the fridge',
    frozen: 'in the freezer',
  }
  const products = bakery.current?.products ?? []
  const keys = new SentKey()
  // What was opened is what is changed.
  const first = untrack(() => entry)
  const choices = untrack(() => [
    ...answer.made.map((one) => ({ value: one.id, words: one.name })),
    ...products.map((one) => ({ value: pies + one.id, words: `Pies: ${one.name}` })),
  ])
  let what = $state(
    first ? (first.draft.product ? pies + first.draft.product : (first.draft.made ?? '')) : (choices[0]?.value ?? ''),
  )
  let draft = $state<Schemas['MadeAlreadyDraft']>(
    first
      ? { ...first.draft }
      : {
          made: null,
          kilograms: null,
          pieces: null,
          product: null,
          pan: null,
          pies: null,
          after: null,
          place: 'cold',
          madeAt: untrack(() => answer.now),
          note: '',
        },
  )
  let failure = $state<Failure>()
  let isSending = $state(false)

  const product = $derived(what.startsWith(pies) ? products.find((one) => pies + one.id === what) : undefined)
  const made = $derived(answer.made.find((one) => one.id === what))
  const stages = $derived(answer.stages.find((one) => one.product === product?.id)?.steps ?? [])
  const kept = $derived(product ? ['cold', 'room'] : (made?.places ?? []))

  // Another thing keeps elsewhere, other pies have other pans and steps.
  $effect(() => {
    if (kept.length > 0 && !kept.includes(draft.place ?? ''))
      draft.place = kept.includes('cold') ? 'cold' : (kept[0] ?? null)
    if (product && !product.pans.some((one) => one.id === draft.pan)) draft.pan = product.referencePan
    if (product && !stages.some((one) => one.id === draft.after)) draft.after = stages.at(-1)?.id ?? null
  })

  async function save(event: SubmitEvent) {
    event.preventDefault()
    if (isSending) return
    isSending = true
    const common = { place: draft.place, madeAt: draft.madeAt?.slice(0, 16) ?? '', note: draft.note ?? '' }
    const none = { made: null, kilograms: null, pieces: null, product: null, pan: null, pies: null, after: null }
    const body = product
      ? { ...none, ...common, product: product.id, pan: draft.pan, pies: draft.pies, after: draft.after }
      : {
          ...none,
          ...common,
          made: what,
          [made?.isByPiece ? 'pieces' : 'kilograms']: made?.isByPiece ? draft.pieces : draft.kilograms,
        }
    const outcome = first
      ? await ask(
          api.PUT('/api/made-already/{id}', {
            params: { path: { id: first.id }, header: { 'If-Match': `"${first.version}"` } },
            body,
          }),
        )
      : await ask(api.POST('/api/made-already', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }))
    isSending = false
    failure = outcome.failure
    if (outcome.data) {
      keys.taken()
      ondone(choices.find((one) => one.value === what)?.words ?? what)
    }
  }
</script>

<form class="my-2 flex flex-wrap items-start gap-3 py-1" onsubmit={save} novalidate>
  <KindField
    label="What is made already"
    field={product ? 'product' : 'made'}
    {failure}
    options={choices}
    bind:value={what}
  />
  {#if product}
    <NumberField label="Pies" field="pies" {failure} bind:value={draft.pies} size={6} step={1} />
    <KindField
      label="Pan"
      field="pan"
      {failure}
      options={product.pans.map((one) => ({ value: one.id, words: one.name }))}
      bind:value={draft.pan}
    />
    <KindField
      label="Done as far as"
      field="after"
      {failure}
      options={stages.map((one, at) => ({
        value: one.id,
        words: at === stages.length - 1 ? `${one.name}: ready` : one.name,
      }))}
      bind:value={draft.after}
    />
  {:else if made?.isByPiece}
    <NumberField label="Pieces" field="pieces" {failure} bind:value={draft.pieces} size={6} step={1} />
  {:else}
    <NumberField label="Kilograms" field="kilograms" {failure} bind:value={draft.kilograms} size={7} step={0.1} />
  {/if}
  <KindField
    label="Where"
    field="place"
    {failure}
    options={kept.map((one) => ({ value: one, words: places[one] ?? one }))}
    bind:value={draft.place}
  />
  <Field label={product ? 'Since when' : 'Made'} field="madeAt" {failure}>
    {#snippet children(ties)}<input class="field" type="datetime-local" bind:value={draft.madeAt} {...ties} />{/snippet}
  </Field>
  <div class="grow"><TextField label="Note" field="note" {failure} bind:value={draft.note} /></div>
  <div class="flex gap-2 pt-5">
    <button class="press press-main" type="submit">{first ? 'Save' : 'Note it'}</button>
    <button class="press" type="button" onclick={oncancel}>Cancel</button>
  </div>
  {#if failure && !Object.keys(failure.fields).some((field) => field in draft)}
    <p class="w-full font-bold" role="alert">{Object.values(failure.fields).flat().join(' ') || failure.title}</p>
  {/if}
</form>
