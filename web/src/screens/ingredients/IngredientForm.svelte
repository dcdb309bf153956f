<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import Shelving from '../../parts/Shelving.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { words } from '../../parts/words.svelte'
  import AllergenChoice from './AllergenChoice.svelte'
  import LinesField from '../../parts/LinesField.svelte'
  import { emptyIngredient } from './empty'
  import OwnFigures from './OwnFigures.svelte'

  interface Props {
    answer: Schemas['IngredientsAnswer']
    /** What is changed; a new one without it. */
    ingredient?: Schemas['IngredientAnswer']
    ondone: (words: string) => void
  }
  const { answer, ingredient, ondone }: Props = $props()
  const first = untrack(() => ingredient)

  let version = first?.version ?? 0
  let theirs = $state.raw<Schemas['IngredientAnswer']>()
  let draft = $state<Schemas['IngredientDraft']>(structuredClone($state.snapshot(first?.own ?? emptyIngredient)))
  let price = $state<Schemas['PriceDraft']>({ supplier: '', packAmount: null, packUnit: 'kg', paid: null })
  let failure = $state<Failure>()

  const isPriced = $derived((price.supplier ?? '').trim() !== '' || price.packAmount !== null || price.paid !== null)
  const body = $derived({ ...draft, price: isPriced ? price : null })
  const roleWords = (role: string) => words.current.roles.find((one) => one.value === role)?.words ?? role
  const carriedWords = (list: string[] | null | undefined) =>
    list ? list.toSorted().join(', ') || 'none' : 'not stated'

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    const outcome = first
      ? await ask(
          api.PUT('/api/ingredients/{id}', {
            params: { path: { id: first.id }, header: { 'If-Match': `"${version}"` } },
            body,
          }),
        )
      : await ask(api.POST('/api/ingredients', { body }))
    failure = outcome.failure
    theirs =
      failure?.status === 412
        ? (await ask(api.GET('/api/ingredients'))).data?.ingredients.find((one) => one.id === first?.id)
        : undefined
    if (!outcome.failure) ondone(`${draft.name} is saved.`)
  }
</script>

<form class="py-2" onsubmit={save} novalidate>
  <div class="flex flex-wrap gap-x-4 gap-y-1">
    <TextField label="Name" field="name" {failure} bind:value={draft.name} size={30} />
    <TextField
      label="Other words for it, by commas"
      field="otherNames"
      {failure}
      bind:value={draft.otherNames}
      size={30}
    />
    <Field label="What it does" field="role" {failure}>
      {#snippet children(ties)}<select class="field" bind:value={draft.role} {...ties}>
          <option value={null}>{first ? `as it ships: ${roleWords(first.role)}` : 'as its name tells'}</option>
          {#each words.current.roles as role (role.value)}<option value={role.value}>{role.words}</option>{/each}
        </select>{/snippet}
    </Field>
  </div>
  <AllergenChoice label="Carries" allergens={answer.allergens} bind:value={draft.allergens} canBeUnknown />
  {#if failure?.fields.allergens}<p class="font-bold" role="alert">{failure.fields.allergens.join(' ')}</p>{/if}
  <details class="mt-1">
    <summary class="link inline-block py-1">May contain in traces</summary>
    <AllergenChoice label="May contain" allergens={answer.allergens} bind:value={draft.mayContain} canBeUnknown />
  </details>
  <OwnFigures bind:draft {first} {failure} />
  <details class="mt-1" open={!!first?.isMadeHere}>
    <summary class="link inline-block py-1">Made here</summary>
    <p class="small">
      Where you make it yourself: what goes in. It carries what its parts carry, and costs what they cost.
    </p>
    <LinesField
      label="Made of, one ingredient a line"
      field="madeOf"
      {failure}
      bind:value={() => draft.madeOf ?? null, (value) => (draft.madeOf = value)}
      rows={4}
      placeholder="200 g Hazelnuts, toasted"
    />
    <NumberField
      label="Boiled down to, %"
      field="reducedPercent"
      {failure}
      bind:value={draft.reducedPercent}
      size={6}
    />
    <NumberField label="Of that is left, %" field="keptPercent" {failure} bind:value={draft.keptPercent} size={6} />
  </details>
  <div class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
    <TextField
      label="New price from"
      field="price.supplier"
      {failure}
      bind:value={price.supplier}
      size={24}
      placeholder="supplier"
    />
    <NumberField label="A pack holds" field="price.packAmount" {failure} bind:value={price.packAmount} size={8} />
    <Field label="of" field="price.packUnit" {failure}>
      {#snippet children(ties)}<select class="field" bind:value={price.packUnit} {...ties}
          ><option value="kg">kg</option><option value="piece">pieces</option></select
        >{/snippet}
    </Field>
    <NumberField label="and costs" field="price.paid" {failure} bind:value={price.paid} size={8} />
  </div>
  <div class="mt-2 flex flex-wrap items-center gap-4">
    <button class="press press-main" type="submit">Save</button>
    {#if first}
      <Shelving
        kind="ingredients"
        id={first.id}
        name={first.name}
        isRetired={first.isRetired}
        ongone={() => ondone(`${first.name} is removed.`)}
        onretired={() => ondone(first.isRetired ? `${first.name} is offered again.` : `${first.name} is retired.`)}
      />
    {/if}
  </div>
  {#if theirs}
    <DraftConflict
      what="this ingredient"
      rows={differences(
        { ...theirs.own, allergens: null, carries: carriedWords(theirs.allergens) },
        { ...draft, allergens: null, carries: carriedWords(draft.allergens) },
      )}
      onkeep={() => ondone(`${theirs?.name} stays as it was saved.`)}
      onsave={() => {
        version = theirs?.version ?? version
        void save()
      }}
    />
  {:else if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
</form>
