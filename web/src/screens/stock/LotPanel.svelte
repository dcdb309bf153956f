<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import Field from '../../parts/Field.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'
  import KindField from '../../parts/KindField.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { happened, places } from './places'

  interface Props {
    lot: string
    onchanged: (words: string) => void
    onclose: () => void
  }
  const { lot, onchanged, onclose }: Props = $props()
  const asked = new Asked<Schemas['LotAnswer']>()
  asked.follow(['stock'], () => {
    const id = lot
    return (signal) => api.GET('/api/stock-lots/{id}', { params: { path: { id } }, signal })
  })
  const answer = $derived(asked.current?.id === lot ? asked.current : undefined)

  const kinds = [
    { value: 'used', words: 'Used' },
    { value: 'counted', words: 'Counted: there is' },
    { value: 'wasted', words: 'Thrown away' },
    { value: 'adjusted', words: 'Put right by' },
    { value: 'opened', words: 'Opened a pack' },
    { value: 'moved', words: 'Moved' },
  ]
  const offered = $derived(kinds.filter((one) => one.value !== 'opened' || !answer?.isOpen))

  const keys = new SentKey()
  let kind = $state('used')
  let amount = $state<number | null>(null)
  let packs = $state<number | null>(null)
  let reason = $state('')
  let useBy = $state('')
  let place = $state<string | null>('room')
  let shelf = $state('')
  let isDescribing = $state(false)
  let described = $state({ code: '', useBy: '', shelf: '', note: '' })
  let failure = $state<Failure>()
  let isSending = $state(false)

  $effect(() => {
    // Another lot is asked about anew.
    void lot
    kind = 'used'
    amount = packs = null
    reason = useBy = ''
    isDescribing = false
    failure = undefined
  })

  function choose(value: string | null) {
    kind = value ?? 'used'
    if (kind === 'moved' && answer) [place, shelf] = [answer.place, answer.shelf]
  }

  async function enter(event: SubmitEvent) {
    event.preventDefault()
    if (isSending || !answer) return
    isSending = true
    const isOpening = kind === 'opened'
    const body: Schemas['LotChangeDraft'] = {
      kind,
      packs: isOpening || answer.pack ? packs : null,
      kilograms: isOpening || answer.isByPiece ? null : amount,
      pieces: isOpening || !answer.isByPiece ? null : amount,
      reason,
      useBy: isOpening ? useBy || null : null,
      place: kind === 'moved' ? place : null,
      shelf: kind === 'moved' ? shelf : null,
    }
    const outcome = await ask(
      api.POST('/api/stock-lots/{id}/changes', {
        params: { path: { id: answer.id }, header: { 'Idempotency-Key': keys.of(body) } },
        body,
      }),
    )
    isSending = false
    failure = outcome.failure
    if (!outcome.data) return
    keys.taken()
    amount = packs = null
    reason = ''
    onchanged(`${happened[kind]}: ${answer.name}.`)
  }

  function describe() {
    if (!answer) return
    described = { code: answer.code, useBy: answer.statedUseBy ?? '', shelf: answer.shelf, note: answer.note }
    isDescribing = true
    failure = undefined
  }

  async function saveDescription(event: SubmitEvent) {
    event.preventDefault()
    if (!answer) return
    const outcome = await ask(
      api.PUT('/api/stock-lots/{id}', {
        params: { path: { id: answer.id }, header: { 'If-Match': `"${answer.version}"` } },
        body: { ...$state.snapshot(described), useBy: described.useBy || null },
      }),
    )
    failure = outcome.failure
    if (outcome.failure) return
    isDescribing = false
    onchanged(`Described anew: ${answer.name}.`)
  }
</script>

<aside class="note panel" aria-label="A lot">
  <FailureNote failure={asked.failure} />
  {#if answer}
    <div class="flex items-baseline justify-between gap-3">
      <h2>{answer.name}</h2>
      <button class="link" onclick={onclose}>Close</button>
    </div>
    <p class="weight">{answer.left}</p>
    <p>
      {[
        answer.code ? `lot ${answer.code}` : 'no lot number',
        places[answer.place]?.at,
        answer.shelf,
        answer.isOpen ? 'open' : answer.pack ? `in packs of ${answer.pack}` : '',
      ]
        .filter(Boolean)
        .join(', ')}
    </p>
    {#if answer.useBy}<p class:font-bold={answer.freshness !== 'good'}>{answer.useBy}</p>{/if}
    <p class="small">
      {answer.isMade ? 'made' : answer.isOpen ? 'opened' : 'came'}
      {answer.since}{answer.supplier ? `, from ${answer.supplier}` : ''}
    </p>
    {#if answer.note}<p class="small">“{answer.note}”</p>{/if}
    <p class="mt-1 flex flex-wrap gap-x-4">
      <a class="link" href="#/trace/lots/{answer.id}">Trace it</a>
      <button class="link" onclick={describe}>Describe it anew</button>
    </p>

    {#if isDescribing}
      <form class="mt-2" onsubmit={saveDescription} novalidate aria-label="Describe the lot anew">
        <div class="flex flex-wrap gap-x-4 gap-y-1">
          <TextField label="Lot number" field="code" {failure} bind:value={described.code} size={14} />
          <Field label="Use by" field="useBy" {failure}>
            {#snippet children(tied)}<input
                class="field"
                type="date"
                bind:value={described.useBy}
                {...tied}
              />{/snippet}
          </Field>
          <TextField label="Shelf" field="shelf" {failure} bind:value={described.shelf} size={16} />
          <TextField label="Note" field="note" {failure} bind:value={described.note} size={18} />
        </div>
        <div class="mt-2 flex gap-3">
          <button class="press press-main">Save</button>
          <button type="button" class="press" onclick={() => (isDescribing = false)}>Cancel</button>
        </div>
        {#if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
      </form>
    {:else if !answer.isUsedUp}
      <form class="mt-2" onsubmit={enter} novalidate aria-label="What happens to it">
        <div class="flex flex-wrap items-start gap-x-3 gap-y-1">
          <KindField label="What happens" field="kind" {failure} options={offered} bind:value={() => kind, choose} />
          {#if answer.pack}
            <NumberField label="Packs" field="packs" {failure} bind:value={packs} size={5} />
          {/if}
          {#if kind !== 'opened'}
            <NumberField
              label={answer.isByPiece ? 'Pieces' : 'Kilograms'}
              field={answer.isByPiece ? 'pieces' : 'kilograms'}
              {failure}
              bind:value={amount}
              size={8}
              step="any"
            />
          {/if}
          {#if kind === 'opened'}
            <Field label="Use by, once open" field="useBy" {failure}>
              {#snippet children(tied)}<input class="field" type="date" bind:value={useBy} {...tied} />{/snippet}
            </Field>
          {:else if kind === 'moved'}
            <KindField
              label="To"
              field="place"
              {failure}
              options={Object.entries(places).map(([value, one]) => ({ value, words: one.at }))}
              bind:value={place}
            />
            <TextField label="Shelf" field="shelf" {failure} bind:value={shelf} size={14} />
          {:else}
            <TextField label="Why" field="reason" {failure} bind:value={reason} size={18} />
          {/if}
        </div>
        {#if kind === 'moved'}<p class="small">Without an amount all of it is moved.</p>{/if}
        {#if kind === 'adjusted'}<p class="small">Below zero where there is less than the books say.</p>{/if}
        <button class="press press-main mt-2" disabled={isSending}>Enter</button>
        {#if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
      </form>
    {/if}

    <h3 class="mt-3 font-bold">What happened</h3>
    <ol class="entries">
      {#each [...answer.entries].reverse() as entry (entry.number)}
        <li class:back={entry.isTakenBack}>
          <span class="small whitespace-nowrap">{entry.at}</span>
          <span>
            {happened[entry.kind]}
            {#if entry.reason}<span class="small">{entry.reason}</span>{/if}
            {#each entry.others as other (other.lot)}
              <a class="link" href="#/trace/lots/{other.lot}">{other.name}{other.code ? ` ${other.code}` : ''}</a>
            {/each}
          </span>
          <span class="text-right whitespace-nowrap">{entry.change}</span>
          <span class="small text-right whitespace-nowrap">{entry.left}</span>
        </li>
      {/each}
    </ol>
    <p class="small mt-1">The last column is what was left.</p>
  {/if}
</aside>

<style>
  /* Where it does not fit beside the shelves it stays in sight below them. */
  .panel {
    position: sticky;
    bottom: 0.5rem;
    max-height: 55vh;
    overflow-y: auto;
    box-shadow: 0 0 0 0.5rem var(--color-base-100);
  }

  @media (min-width: 64rem) {
    .panel {
      top: 0.75rem;
      bottom: auto;
      max-height: calc(100vh - 1.5rem);
      box-shadow: none;
    }
  }

  .entries li {
    display: grid;
    grid-template-columns: auto 1fr auto auto;
    gap: 0 0.6rem;
    align-items: baseline;
    padding: 0.2rem 0;
    border-top: 1px solid var(--color-line);
  }

  .back {
    text-decoration: line-through;
  }
</style>
