<script lang="ts">
  import { push, replace } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import KindField from '../../parts/KindField.svelte'
  import LinesField from '../../parts/LinesField.svelte'
  import { live } from '../../parts/live.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import Shelving from '../../parts/Shelving.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { words } from '../../parts/words.svelte'
  import { emptyIngredient } from '../ingredients/empty'
  import ChainField from './ChainField.svelte'
  import KeepWords from './KeepWords.svelte'
  import KeepsField from './KeepsField.svelte'

  interface Props {
    params?: { id?: string }
  }
  const { params }: Props = $props()
  type Draft = Schemas['IngredientDraft']
  type Ingredient = Schemas['IngredientAnswer']

  let one = $state.raw<Ingredient>()
  let draft = $state<Draft>()
  let version = $state(0)
  let failure = $state<Failure>()
  let said = $state('')
  let isSending = $state(false)
  let theirs = $state.raw<Ingredient>()

  const find = async (id: string) => {
    const { data, failure: refused } = await ask(api.GET('/api/ingredients'))
    failure = refused
    return data?.ingredients.find((ingredient) => ingredient.id === id)
  }

  async function load(id: string | undefined) {
    const wanted = id && id !== 'new' ? await find(id) : undefined
    if (id && id !== 'new' && !wanted) {
      failure ??= { title: 'There is no such thing made here.', status: 404, fields: {} }
      return
    }
    one = wanted
    version = wanted?.version ?? 0
    // What it carries follows from what goes in, so nothing is left to be stated.
    draft = structuredClone(wanted?.own ?? { ...emptyIngredient, allergens: [], madeOf: '', keptPercent: null })
  }
  $effect(() => {
    void load(params?.id)
  })

  /** The usual way of a kind; what was written of another is replaced by it. */
  async function take(kind: string | null) {
    if (!draft || !kind) return
    const { data, failure: refused } = await ask(api.POST('/api/writing/making', { body: { kind } }))
    failure = refused
    if (data) draft.making = data
  }

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (!draft || isSending) return
    isSending = true
    said = ''
    const outcome = one
      ? await ask(
          api.PUT('/api/ingredients/{id}', {
            params: { path: { id: one.id }, header: { 'If-Match': `"${version}"` } },
            body: draft,
          }),
        )
      : await ask(api.POST('/api/ingredients', { body: draft }))
    isSending = false
    failure = outcome.failure
    theirs = failure?.status === 412 && one ? await find(one.id) : undefined
    if (theirs) failure = outcome.failure
    if (outcome.failure) return
    live.saved('ingredients')
    const name = draft.name
    if (one) await load(one.id)
    else await replace('/preparations')
    said = `${name} is saved.`
  }

  /** Kilograms or pieces: the figures of one say nothing of the other. */
  function count(by: string | null) {
    const making = draft?.making
    if (!draft || !making) return
    const isByPiece = by === 'piece'
    Object.assign(making, {
      batchLeastKg: null,
      batchMostKg: isByPiece ? null : 5,
      trayKg: isByPiece ? null : 2.5,
      batchLeastPieces: null,
      batchMostPieces: isByPiece ? 48 : null,
      trayPieces: isByPiece ? 24 : null,
    })
  }

  /** What one of it weighs, among its own figures; not there for nothing. */
  const weightOfOne = $derived(draft?.pieces?.find((piece) => piece?.piece === 'one')?.grams ?? null)
  function weigh(grams: number | null) {
    if (!draft) return
    const others = (draft.pieces ?? []).filter((piece) => piece?.piece !== 'one')
    draft.pieces = grams === null ? others : [...others, { piece: 'one', grams, source: 'weighed here' }]
  }
  const counted = $derived(Object.keys(failure?.fields ?? {}).length)
</script>

<svelte:head><title>Preparations · Lumpet</title></svelte:head>
<p class="small"><a class="link" href="#/preparations">All preparations</a></p>
{#if draft}
  {@const written = draft}
  <h1 class="sentence">
    {#if one && draft.making}<KeepWords name={one.name} making={draft.making} />
    {:else if one}{one.name}: nobody has said yet how it is made.
    {:else}Something new that is made here before it goes into pies.{/if}
  </h1>
  <form class="mt-3" onsubmit={save} novalidate>
    <TextField label="Name" field="name" {failure} bind:value={written.name} size={34} />
    <div class="mt-2">
      <LinesField
        label="What goes in: amount, ingredient or another thing made here, then how it is prepared"
        field="madeOf"
        {failure}
        bind:value={() => written.madeOf ?? null, (value) => (written.madeOf = value)}
        rows={Math.max(5, (written.madeOf ?? '').split('\n').length + 1)}
        placeholder="1000 g Quinces, pared and cored"
      />
    </div>
    <div class="says">
      It is
      <NumberField
        label="boiled down to, %"
        field="reducedPercent"
        {failure}
        bind:value={written.reducedPercent}
        size={6}
      />
      <span class="small">empty where nothing boils away;</span> and of that
      <NumberField label="% is left" field="keptPercent" {failure} bind:value={written.keptPercent} size={6} />
      <span class="small">empty where nothing stays behind</span>
    </div>

    <h2 class="mt-5">How it is made</h2>
    <div class="says">
      <KindField
        label="It is"
        field="making.kind"
        {failure}
        options={words.current.preparations.filter((kind) => kind.value !== 'dough')}
        bind:value={
          () => written.making?.kind ?? null,
          (value) => {
            if (written.making) written.making.kind = value
            else void take(value)
          }
        }
      />
      {#if written.making}
        <button class="press self-end" type="button" onclick={() => take(written.making?.kind ?? null)}
          >Take the usual way for this</button
        >
      {/if}
    </div>
    {#if written.making}
      {@const making = written.making}
      {@const isByPiece = making.batchMostPieces != null || making.trayPieces != null}
      <ChainField steps={(making.steps ??= [])} by={isByPiece ? 'piece' : 'kg'} {failure} />
      <div class="says mt-3">
        <KindField
          label="Counted"
          field="making.counted"
          {failure}
          options={[
            { value: 'kg', words: 'by the kilogram' },
            { value: 'piece', words: 'by the piece' },
          ]}
          bind:value={() => (isByPiece ? 'piece' : 'kg'), count}
        />
        {#if isByPiece}
          <NumberField label="One weighs, g" field="pieces" {failure} bind:value={() => weightOfOne, weigh} size={7} />
          <NumberField
            label="At least, pieces at once"
            field="making.batchLeastPieces"
            {failure}
            bind:value={making.batchLeastPieces}
            size={7}
          />
          <NumberField
            label="At most, pieces at once"
            field="making.batchMostPieces"
            {failure}
            bind:value={making.batchMostPieces}
            size={7}
          />
        {:else}
          <NumberField
            label="At least, kg made at once"
            field="making.batchLeastKg"
            {failure}
            bind:value={making.batchLeastKg}
            size={7}
          />
          <NumberField
            label="At most, kg made at once"
            field="making.batchMostKg"
            {failure}
            bind:value={making.batchMostKg}
            size={7}
          />
        {/if}
        <TextField
          label="Whole ones in each of (eggs, tins; empty: no matter)"
          field="making.wholeOf"
          {failure}
          bind:value={
            () => making.wholeOf ?? '', (name) => (making.wholeOf = (name ?? '').trim() === '' ? null : (name ?? null))
          }
          size={22}
          placeholder="Egg, whole"
        />
        {#if making.steps.some((step) => (step?.stages?.length ?? 0) > 0)}
          {#if isByPiece}
            <NumberField
              label="On a tray, pieces"
              field="making.trayPieces"
              {failure}
              bind:value={making.trayPieces}
              size={7}
            />
          {:else}
            <NumberField
              label="On a tray, kg weighed in"
              field="making.trayKg"
              {failure}
              bind:value={making.trayKg}
              size={7}
            />
          {/if}
        {/if}
      </div>
      <KeepsField {making} {failure} />
    {/if}
    <div class="mt-5 flex flex-wrap items-center gap-3">
      <button class="press press-main" type="submit">Save</button>
      <a class="press" href="#/preparations">Leave it</a>
      {#if one}
        <Shelving
          kind="ingredients"
          id={one.id}
          name={one.name}
          isRetired={one.isRetired}
          ongone={() => push('/preparations')}
          onretired={() => push('/preparations')}
        />
      {/if}
      <span role="status">{said}</span>
      {#if counted > 0}<strong role="alert"
          >Not saved: {counted} {counted === 1 ? 'field' : 'fields'} to look at.</strong
        >{/if}
    </div>
    {#if theirs}
      <DraftConflict
        what="this preparation"
        rows={differences(theirs.own, draft)}
        onkeep={() => ((theirs = undefined), load(params?.id))}
        onsave={() => {
          version = theirs?.version ?? version
          void save()
        }}
      />
    {:else if failure && counted === 0}<FailureNote {failure} />{/if}
  </form>
{:else}<FailureNote {failure} />{/if}

<style>
  .says {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: flex-end;
  }
</style>
