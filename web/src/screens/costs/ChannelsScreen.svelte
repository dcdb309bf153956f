<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  type Draft = Schemas['ChannelDraft']
  const asked = new Asked<Schemas['ChannelsAnswer']>()
  asked.follow([], () => (signal) => api.GET('/api/channels', { signal }))

  let drafts = $state<Draft[]>([])
  let version = $state(0)
  let failure = $state<Failure>()
  let said = $state('')
  let isSending = $state(false)

  $effect(() => {
    const answer = asked.current
    if (answer) untrack(() => read(answer))
  })

  function read(answer: Schemas['ChannelsAnswer']) {
    drafts = answer.channels.map((one) => ({ ...one }))
    version = answer.version
  }

  async function save(event: SubmitEvent) {
    event.preventDefault()
    isSending = true
    const outcome = await ask(
      api.PUT('/api/channels', {
        params: { header: { 'If-Match': `"${version}"` } },
        body: { channels: $state.snapshot(drafts) },
      }),
    )
    isSending = false
    failure = outcome.failure
    said = outcome.failure ? '' : 'Saved.'
    if (outcome.failure) return
    live.saved('bakery')
    await asked.refresh()
  }

  const add = () =>
    (drafts = [
      ...drafts,
      { name: '', foodCostPercent: 30, taxPercent: 0, showsTax: true, feePercent: 0, step: 0.5, under: 0 },
    ])
</script>

<svelte:head><title>Where pies are sold · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if asked.current}
  <p class="small"><a class="link" href="#/costs">All costs</a></p>
  <h1 class="sentence">Where pies are sold, and what ingredients may take of the price</h1>
  <p class="small mt-2">
    The first says what the list of costs is measured by. Local law says what tax is due; none is meant until you say
    which.
  </p>
  <form class="mt-3" onsubmit={save} aria-label="Channels">
    {#each drafts as draft, at (at)}
      <fieldset class="border-line flex flex-wrap items-start gap-x-4 border-t py-2">
        <legend class="sr-only">{draft.name || 'A new one'}</legend>
        <TextField label="Name" field="channels[{at}].name" {failure} bind:value={draft.name} size={18} />
        <NumberField
          label="Ingredients take, %"
          field="channels[{at}].foodCostPercent"
          {failure}
          bind:value={draft.foodCostPercent}
        />
        <NumberField label="Tax, %" field="channels[{at}].taxPercent" {failure} bind:value={draft.taxPercent} />
        <label class="flex items-center gap-2 pt-7"
          ><input type="checkbox" bind:checked={draft.showsTax} /> shown with it</label
        >
        <NumberField
          label="Seller keeps, %"
          field="channels[{at}].feePercent"
          {failure}
          bind:value={draft.feePercent}
        />
        <NumberField label="Prices in steps of" field="channels[{at}].step" {failure} bind:value={draft.step} />
        <NumberField label="and below by" field="channels[{at}].under" {failure} bind:value={draft.under} />
        {#if drafts.length > 1}
          <button
            type="button"
            class="link pt-7"
            aria-label="Remove {draft.name || 'the new one'}"
            onclick={() => (drafts = drafts.filter((_, other) => other !== at))}>Remove</button
          >
        {/if}
      </fieldset>
    {/each}
    <FailureNote
      failure={failure && Object.keys(failure.fields).some((field) => field.includes('[')) ? undefined : failure}
    />
    <div class="mt-2 flex flex-wrap gap-3">
      <button class="press press-main" disabled={isSending}>Save</button>
      <button type="button" class="press" onclick={add}>Another</button>
    </div>
    <p class="mt-2" role="status">{said}</p>
  </form>
{/if}
