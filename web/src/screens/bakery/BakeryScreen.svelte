<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { live } from '../../parts/live.svelte'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { words } from '../../parts/words.svelte'
  import AllergenChoice from '../ingredients/AllergenChoice.svelte'
  import KindField from '../../parts/KindField.svelte'
  import OvenFields from './OvenFields.svelte'
  import PanFields from './PanFields.svelte'
  import RoomFields from './RoomFields.svelte'
  import ShiftFields from './ShiftFields.svelte'

  let description = $state<Schemas['BakeryDescription']>()
  let failure = $state<Failure>()
  let said = $state('')
  let isSending = $state(false)
  let theirs = $state.raw<Schemas['BakeryDescription']>()
  const draft = $derived(description?.draft)
  /** Faults that belong to no single field. */
  const rest = $derived(
    failure && {
      ...failure,
      fields: Object.fromEntries(
        Object.entries(failure.fields).filter(([field]) => ['shifts', 'ovens', 'pans'].includes(field)),
      ),
    },
  )

  async function load() {
    const outcome = await ask(api.GET('/api/bakery/description'))
    failure = outcome.failure
    if (!outcome.data) return
    description = outcome.data
    // A new bakery is most likely where this browser is.
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone
    if (outcome.data.version === 0 && outcome.data.zones.includes(here)) description.draft.zone = here
  }

  $effect(() => void load())

  /** What a pan may be bought as, where it goes with the pie. */
  let packaging = $state.raw<{ id: string; name: string }[]>([])
  $effect(() => {
    void ask(api.GET('/api/ingredients')).then(({ data }) => {
      packaging = (data?.ingredients ?? []).filter((one) => one.role === 'packaging' && !one.isRetired)
    })
  })

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (!description || isSending) return
    isSending = true
    said = ''
    const isNew = description.version === 0
    const outcome = await ask(
      api.PUT('/api/bakery/description', {
        params: { header: { 'If-Match': `"${description.version}"` } },
        body: description.draft,
      }),
    )
    isSending = false
    failure = outcome.failure
    theirs = failure?.status === 412 ? (await ask(api.GET('/api/bakery/description'))).data : undefined
    if (!outcome.data) {
      said = 'Not saved: see what is named above and at the fields.'
      return
    }
    description = outcome.data
    live.saved('bakery')
    said = isNew ? 'Saved. Next: a dough, then a recipe.' : 'Saved.'
  }
</script>

<svelte:head><title>Bakery · Lumpet</title></svelte:head>
{#if draft && description}
  <h1 class="sentence">
    {#if description.version === 0}Describe your bakery: who is there when, which ovens, which pans.
    {:else}{draft.name} has {draft.ovens?.length}
      {draft.ovens?.length === 1 ? 'oven' : 'ovens'} and {draft.shifts?.length}
      {draft.shifts?.length === 1 ? 'shift' : 'shifts'}.{/if}
  </h1>
  <p class="small">
    The figures of a new bakery are common practice; measure your own: how many degrees an oven gains in a minute
    decides when it must be lit.
  </p>
  <form class="mt-4" onsubmit={save} novalidate>
    <fieldset class="fields">
      <legend><h2>The house</h2></legend>
      <TextField label="Name" field="name" {failure} bind:value={draft.name} size={34} />
      <TextField label="Time zone" field="zone" {failure} bind:value={draft.zone} size={24} list="zones" />
      <datalist id="zones"
        >{#each description.zones as zone (zone)}<option value={zone}></option>{/each}</datalist
      >
      <TextField label="Currency" field="currency" {failure} bind:value={draft.currency} size={5} />
      <KindField
        label="A cup and a spoon mean"
        field="cups"
        {failure}
        options={words.current.cups}
        bind:value={draft.cups}
      />
      <NumberField
        label="Boxes ready before a pick-up, min"
        field="spareMin"
        {failure}
        bind:value={draft.spareMin}
        size={6}
      />
      <NumberField
        label="An oven may differ by, °C"
        field="toleranceC"
        {failure}
        bind:value={draft.toleranceC}
        size={6}
      />
      <NumberField
        label="A tray from oven to oven, min"
        field="transferMin"
        {failure}
        bind:value={draft.transferMin}
        size={6}
      />
      <NumberField
        label="The door costs for each tray in, °C"
        field="openCPerTray"
        {failure}
        bind:value={draft.openCPerTray}
        size={6}
      />
      <NumberField
        label="An hour of hands costs"
        field="handsHourPrice"
        {failure}
        bind:value={draft.handsHourPrice}
        size={7}
      />
    </fieldset>

    <fieldset class="fields">
      <legend><h2>Mixer</h2></legend>
      <TextField label="Name" field="mixerName" {failure} bind:value={draft.mixerName} size={24} />
      <NumberField
        label="Smallest batch, kg"
        field="smallestBatchKg"
        {failure}
        bind:value={draft.smallestBatchKg}
        size={8}
      />
      <NumberField
        label="Largest batch, kg"
        field="largestBatchKg"
        {failure}
        bind:value={draft.largestBatchKg}
        size={8}
      />
    </fieldset>

    <ShiftFields bind:draft={description.draft} {failure} />
    <OvenFields bind:draft={description.draft} {failure} />
    {#if draft.room}<RoomFields bind:room={draft.room} {failure} />{/if}
    <fieldset class="fields">
      <legend><h2>What this kitchen handles</h2></legend>
      <p class="small w-full">
        Your own statement of what may be left in traces anywhere. It stands on every recipe and sheet; local codes
        decide what a label must say.
      </p>
      <AllergenChoice
        label="Handled here"
        allergens={words.current.allergens}
        bind:value={() => draft.handles ?? null, (value) => (draft.handles = value)}
        canBeUnknown
      />
    </fieldset>

    <PanFields bind:draft={description.draft} {failure} {packaging} />

    <div class="mt-6 flex flex-wrap items-center gap-3">
      <button class="press press-main" type="submit">Save the bakery</button>
      <button class="press" type="button" onclick={load}>Back to what is saved</button>
      <span role="status">{said}</span>
      {#if said && !failure}
        <a class="link" href="#/doughs">Doughs</a>
        <a class="link" href="#/write">Write a recipe</a>
      {/if}
    </div>
    {#if theirs}
      <DraftConflict
        what="the bakery"
        rows={differences(theirs.draft, description.draft)}
        onkeep={() => {
          description = theirs
          theirs = failure = undefined
          said = ''
        }}
        onsave={() => {
          if (description && theirs) description.version = theirs.version
          void save()
        }}
      />
    {:else}<FailureNote failure={rest} />{/if}
  </form>
{:else}<FailureNote {failure} />{/if}
