<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    answer: Schemas['LabelAnswer']
    ondone: (words: string) => void
  }
  const { answer, ondone }: Props = $props()
  let draft = $state(untrack(() => ({ ...answer.stated })))
  let failure = $state<Failure>()
  const isElsewhere = $derived(
    failure !== undefined &&
      !Object.keys(failure.fields).some((field) => ['netGrams', 'keepsDays', 'storage'].includes(field)),
  )

  async function save(event: SubmitEvent) {
    event.preventDefault()
    const outcome = await ask(
      api.PUT('/api/labels/{product}/{pan}', {
        params: {
          path: { product: answer.product, pan: answer.pan },
          header: { 'If-Match': `"${answer.version}"` },
        },
        body: $state.snapshot(draft),
      }),
    )
    failure = outcome.failure
    if (!outcome.failure) ondone('Saved.')
  }
</script>

<form onsubmit={save} novalidate aria-label="What is stated of it">
  <h2>What you state of it</h2>
  <div class="mt-1 flex flex-wrap items-end gap-x-4">
    <NumberField
      label="A baked one weighs, g"
      field="netGrams"
      {failure}
      bind:value={draft.netGrams}
      size={8}
      step={1}
    />
    <NumberField
      label="Good for days after it was made"
      field="keepsDays"
      {failure}
      bind:value={draft.keepsDays}
      size={5}
      step={1}
    />
    <TextField label="How it is kept" field="storage" {failure} bind:value={draft.storage} size={26} />
    <label class="flex items-center gap-2 pb-2"
      ><input type="checkbox" bind:checked={draft.isUseBy} /> It may harm after that: a use-by date</label
    >
  </div>
  <p class="small">By its recipe {answer.recipeGrams} g go in; some of that bakes away, so weigh one.</p>
  {#if isElsewhere}<FailureNote {failure} />{/if}
  <button class="press mt-2">Save what is stated</button>
</form>
