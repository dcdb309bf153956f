<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'

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
    await bakery.load()
    said = isNew ? 'Saved. Next: a dough, then a recipe.' : 'Saved.'
  }

  const days = [
    { value: 0, words: 'on the day of the pick-ups' },
    { value: -1, words: 'the day before' },
    { value: -2, words: 'two days before' },
  ]
  const hours = (minutes: number | null) =>
    minutes ? `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60}` : ''}` : ''
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
    <fieldset class="row">
      <legend><h2>The house</h2></legend>
      <Field label="Name" field="name" {failure}>
        {#snippet children(ties)}<input class="field w-72" bind:value={draft.name} maxlength="80" {...ties} />{/snippet}
      </Field>
      <Field label="Time zone" field="zone" {failure}>
        {#snippet children(ties)}<input class="field w-52" list="zones" bind:value={draft.zone} {...ties} />{/snippet}
      </Field>
      <datalist id="zones"
        >{#each description.zones as zone (zone)}<option value={zone}></option>{/each}</datalist
      >
      <Field label="Currency" field="currency" {failure}>
        {#snippet children(ties)}<input
            class="field w-20"
            bind:value={draft.currency}
            maxlength="3"
            {...ties}
          />{/snippet}
      </Field>
      <Field label="Boxes ready before a pick-up, min" field="spareMin" {failure}>
        {#snippet children(ties)}<input
            class="field w-24"
            type="number"
            bind:value={draft.spareMin}
            {...ties}
          />{/snippet}
      </Field>
      <Field label="An oven may differ by, °C" field="toleranceC" {failure}>
        {#snippet children(ties)}<input
            class="field w-24"
            type="number"
            bind:value={draft.toleranceC}
            {...ties}
          />{/snippet}
      </Field>
      <Field label="A tray from oven to oven, min" field="transferMin" {failure}>
        {#snippet children(ties)}<input
            class="field w-24"
            type="number"
            bind:value={draft.transferMin}
            {...ties}
          />{/snippet}
      </Field>
    </fieldset>

    <fieldset class="row">
      <legend><h2>Mixer</h2></legend>
      <Field label="Name" field="mixerName" {failure}>
        {#snippet children(ties)}<input class="field w-52" bind:value={draft.mixerName} {...ties} />{/snippet}
      </Field>
      <Field label="Smallest batch, kg" field="smallestBatchKg" {failure}>
        {#snippet children(ties)}<input
            class="field w-28"
            type="number"
            step="any"
            bind:value={draft.smallestBatchKg}
            {...ties}
          />{/snippet}
      </Field>
      <Field label="Largest batch, kg" field="largestBatchKg" {failure}>
        {#snippet children(ties)}<input
            class="field w-28"
            type="number"
            step="any"
            bind:value={draft.largestBatchKg}
            {...ties}
          />{/snippet}
      </Field>
    </fieldset>

    <section aria-label="Shifts">
      <h2>Shifts</h2>
      {#each draft.shifts ?? [] as shift, at (at)}
        {#if shift}
          <fieldset class="row">
            <legend class="sr-only">Shift {at + 1}</legend>
            <Field label="Name" field="shifts[{at}].name" {failure}>
              {#snippet children(ties)}<input class="field w-40" bind:value={shift.name} {...ties} />{/snippet}
            </Field>
            <Field label="When" field="shifts[{at}].dayOffset" {failure}>
              {#snippet children(ties)}<select class="field" bind:value={shift.dayOffset} {...ties}
                  >{#each days as day (day.value)}<option value={day.value}>{day.words}</option>{/each}</select
                >{/snippet}
            </Field>
            <Field label="From" field="shifts[{at}].start" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  inputmode="numeric"
                  placeholder="04:30"
                  bind:value={shift.start}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="For, min ({hours(shift.lengthMin)})" field="shifts[{at}].lengthMin" {failure}>
              {#snippet children(ties)}<input
                  class="field w-28"
                  type="number"
                  step="15"
                  bind:value={shift.lengthMin}
                  {...ties}
                />{/snippet}
            </Field>
            <button
              class="link"
              type="button"
              aria-label="Take out shift {at + 1}"
              onclick={() => draft.shifts?.splice(at, 1)}>Take out</button
            >
          </fieldset>
        {/if}
      {/each}
      <button
        class="press"
        type="button"
        onclick={() => draft.shifts?.push({ name: '', dayOffset: 0, start: '04:00', lengthMin: 360 })}
        >Another shift</button
      >
    </section>

    <section class="mt-5" aria-label="Ovens">
      <h2>Ovens</h2>
      {#each draft.ovens ?? [] as oven, at (at)}
        {#if oven}
          <fieldset class="row">
            <legend class="sr-only">Oven {at + 1}</legend>
            <Field label="Name" field="ovens[{at}].name" {failure}>
              {#snippet children(ties)}<input class="field w-40" bind:value={oven.name} {...ties} />{/snippet}
            </Field>
            <Field label="Shelves" field="ovens[{at}].shelves" {failure}>
              {#snippet children(ties)}<input
                  class="field w-20"
                  type="number"
                  bind:value={oven.shelves}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Lowest, °C" field="ovens[{at}].minC" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  bind:value={oven.minC}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Highest, °C" field="ovens[{at}].maxC" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  bind:value={oven.maxC}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Gains, °C a min" field="ovens[{at}].heatCPerMin" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  bind:value={oven.heatCPerMin}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Loses, °C a min" field="ovens[{at}].coolCPerMin" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  bind:value={oven.coolCPerMin}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Dial differs by, °C (fan: −20)" field="ovens[{at}].dialOffsetC" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  bind:value={oven.dialOffsetC}
                  {...ties}
                />{/snippet}
            </Field>
            <button
              class="link"
              type="button"
              aria-label="Take out oven {at + 1}"
              onclick={() => draft.ovens?.splice(at, 1)}>Take out</button
            >
          </fieldset>
        {/if}
      {/each}
      <button
        class="press"
        type="button"
        onclick={() =>
          draft.ovens?.push({
            name: '',
            shelves: 4,
            minC: 60,
            maxC: 280,
            heatCPerMin: 8,
            coolCPerMin: 4,
            dialOffsetC: 0,
          })}>Another oven</button
      >
    </section>

    <section class="mt-5" aria-label="Pans">
      <h2>Pans</h2>
      <p class="small">Inner measures. The short name is what an order line says after the @.</p>
      {#each draft.pans ?? [] as pan, at (at)}
        {#if pan}
          <fieldset class="row">
            <legend class="sr-only">Pan {at + 1}</legend>
            <Field label="Short name" field="pans[{at}].id" {failure}>
              {#snippet children(ties)}<input class="field w-24" bind:value={pan.id} {...ties} />{/snippet}
            </Field>
            <Field label="Name" field="pans[{at}].name" {failure}>
              {#snippet children(ties)}<input class="field w-36" bind:value={pan.name} {...ties} />{/snippet}
            </Field>
            <Field label="Across the top, cm" field="pans[{at}].topCm" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  step="any"
                  bind:value={pan.topCm}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Across the floor, cm" field="pans[{at}].bottomCm" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  step="any"
                  bind:value={pan.bottomCm}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Deep, cm" field="pans[{at}].depthCm" {failure}>
              {#snippet children(ties)}<input
                  class="field w-24"
                  type="number"
                  step="any"
                  bind:value={pan.depthCm}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="Rim, cm" field="pans[{at}].rimCm" {failure}>
              {#snippet children(ties)}<input
                  class="field w-20"
                  type="number"
                  step="any"
                  bind:value={pan.rimCm}
                  {...ties}
                />{/snippet}
            </Field>
            <Field label="On a tray" field="pans[{at}].perTray" {failure}>
              {#snippet children(ties)}<input
                  class="field w-20"
                  type="number"
                  bind:value={pan.perTray}
                  {...ties}
                />{/snippet}
            </Field>
            <button
              class="link"
              type="button"
              aria-label="Take out pan {at + 1}"
              onclick={() => draft.pans?.splice(at, 1)}>Take out</button
            >
          </fieldset>
        {/if}
      {/each}
      <button
        class="press"
        type="button"
        onclick={() =>
          draft.pans?.push({ id: '', name: '', topCm: 26, bottomCm: 22, depthCm: 4, rimCm: 1, perTray: 2 })}
        >Another pan</button
      >
    </section>

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
        theirs={theirs.draft}
        mine={description.draft}
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

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: flex-start;
    padding: 0.6rem 0;
    border-top: 1px solid var(--color-line);
  }

  legend {
    padding-right: 0.6rem;
  }

  .row > .link {
    margin-top: 1.7rem;
  }
</style>
