<script lang="ts">
  import { untrack } from 'svelte'
  import { SvelteSet } from 'svelte/reactivity'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    ingredient: Schemas['IngredientAnswer']
    allergens: string[]
    ondone: (words: string) => void
  }
  const { ingredient, allergens, ondone }: Props = $props()
  const first = untrack(() => ingredient)

  let version = first.version
  let theirs = $state.raw<Schemas['IngredientAnswer']>()
  let name = $state(first.name)
  const carried = new SvelteSet<string>(first.allergens ?? [])
  let isFree = $state(first.allergens?.length === 0)
  let supplier = $state('')
  let packAmount = $state<number | null>(null)
  let packUnit = $state('kg')
  let paid = $state<number | null>(null)
  let failure = $state<Failure>()

  const isPriced = $derived(supplier.trim() !== '' || packAmount !== null || paid !== null)
  /** Nobody has said anything as long as neither an allergen nor "none" is ticked. */
  const stated = $derived(carried.size > 0 || isFree ? [...carried] : null)

  const carriedWords = (list: string[] | null) => (list === null ? 'not stated' : list.toSorted().join(', ') || 'none')

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    const outcome = await ask(
      api.PUT('/api/ingredients/{id}', {
        params: { path: { id: first.id }, header: { 'If-Match': `"${version}"` } },
        body: { name, allergens: stated, price: isPriced ? { supplier, packAmount, packUnit, paid } : null },
      }),
    )
    failure = outcome.failure
    theirs =
      failure?.status === 412
        ? (await ask(api.GET('/api/ingredients'))).data?.ingredients.find((one) => one.id === first.id)
        : undefined
    if (!outcome.failure) ondone(`${name} is saved.`)
  }

  function toggle(allergen: string) {
    if (carried.has(allergen)) carried.delete(allergen)
    else carried.add(allergen)
    if (carried.size > 0) isFree = false
  }
</script>

<form class="py-2" onsubmit={save} novalidate>
  <TextField label="Name" field="name" {failure} bind:value={name} size={34} />
  <fieldset class="mt-2">
    <legend class="small">Carries</legend>
    <div class="flex flex-wrap gap-x-5 gap-y-1">
      {#each allergens as allergen (allergen)}
        <label class="flex min-h-8 items-center gap-1.5"
          ><input type="checkbox" class="size-5" checked={carried.has(allergen)} onchange={() => toggle(allergen)} />
          {allergen}</label
        >
      {/each}
      <label class="flex min-h-8 items-center gap-1.5 font-bold"
        ><input
          type="checkbox"
          class="size-5"
          checked={isFree}
          onchange={(event) => {
            isFree = event.currentTarget.checked
            if (isFree) carried.clear()
          }}
        /> none of these</label
      >
    </div>
    {#if failure?.fields.allergens}<p class="font-bold" role="alert">{failure.fields.allergens.join(' ')}</p>{/if}
  </fieldset>
  <div class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
    <TextField
      label="New price from"
      field="price.supplier"
      {failure}
      bind:value={supplier}
      size={24}
      placeholder="supplier"
    />
    <NumberField label="A pack holds" field="price.packAmount" {failure} bind:value={packAmount} size={8} />
    <Field label="of" field="price.packUnit" {failure}>
      {#snippet children(ties)}<select class="field" bind:value={packUnit} {...ties}
          ><option value="kg">kg</option><option value="piece">pieces</option></select
        >{/snippet}
    </Field>
    <NumberField label="and costs" field="price.paid" {failure} bind:value={paid} size={8} />
  </div>
  <button class="press press-main mt-2" type="submit">Save</button>
  {#if theirs}
    <DraftConflict
      what="this ingredient"
      rows={differences(
        { name: theirs.name, carries: carriedWords(theirs.allergens) },
        { name, carries: carriedWords(stated) },
      )}
      onkeep={() => ondone(`${theirs?.name} stays as it was saved.`)}
      onsave={() => {
        version = theirs?.version ?? version
        void save()
      }}
    />
  {:else if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
</form>
