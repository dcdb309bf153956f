<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import KindField from '../../parts/KindField.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { places } from './places'

  interface Props {
    purchase: Schemas['PurchaseAnswer']
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { purchase, ondone, oncancel }: Props = $props()
  let lines = $state(
    untrack(() =>
      purchase.lines.map((line) => ({
        ingredient: line.ingredient,
        packUnits: line.packUnits,
        packs: line.packs as number | null,
        code: '',
        useBy: '',
        place: line.place as string | null,
        shelf: line.shelf,
      })),
    ),
  )
  let failure = $state<Failure>()
  let isSending = $state(false)

  async function save(event: SubmitEvent) {
    event.preventDefault()
    if (isSending) return
    isSending = true
    const outcome = await ask(
      api.POST('/api/purchases/{id}/received', {
        params: { path: { id: purchase.id } },
        body: { lines: $state.snapshot(lines).map((line) => ({ ...line, useBy: line.useBy || null })) },
      }),
    )
    isSending = false
    failure = outcome.failure
    if (!outcome.failure) ondone(`On the shelves: what ${purchase.supplier} brought.`)
  }
</script>

<form class="note my-2" onsubmit={save} novalidate aria-label="What has come from {purchase.supplier}">
  {#each purchase.lines as line, at (`${line.ingredient} ${line.packUnits}`)}
    {@const draft = lines[at]}
    {#if draft}
      <fieldset class="flex flex-wrap items-start gap-x-4">
        <legend class="pt-1"><strong>{line.name}</strong>, {line.packs} × {line.pack} ordered</legend>
        <NumberField label="Packs" field="lines[{at}].packs" {failure} bind:value={draft.packs} size={5} />
        <TextField label="Lot number" field="lines[{at}].code" {failure} bind:value={draft.code} size={12} />
        <Field label="Use by" field="lines[{at}].useBy" {failure}>
          {#snippet children(tied)}<input class="field" type="date" bind:value={draft.useBy} {...tied} />{/snippet}
        </Field>
        <KindField
          label="Lies"
          field="lines[{at}].place"
          {failure}
          options={Object.entries(places).map(([value, place]) => ({ value, words: place.at }))}
          bind:value={draft.place}
        />
        <TextField label="Shelf" field="lines[{at}].shelf" {failure} bind:value={draft.shelf} size={14} />
      </fieldset>
    {/if}
  {/each}
  {#if failure && !Object.keys(failure.fields).some((field) => field.includes('['))}<FailureNote {failure} />{/if}
  <div class="mt-2 flex gap-3">
    <button class="press press-main" disabled={isSending}>Put on the shelves</button>
    <button type="button" class="press" onclick={oncancel}>Cancel</button>
  </div>
</form>
