<script lang="ts">
  import { untrack } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    order: Schemas['SupplierOrderAnswer']
    ondone: (words: string) => void
    oncancel: () => void
  }
  const { order, ondone, oncancel }: Props = $props()
  const week = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday']
  let draft = $state(untrack(() => ({ ...order.terms, days: [...(order.terms.days ?? [])] })))
  let failure = $state<Failure>()

  // What no field of its own says.
  const isElsewhere = $derived(
    failure !== undefined &&
      !Object.keys(failure.fields).some((field) => ['leadDays', 'until', 'minimum'].includes(field)),
  )

  async function save(event: SubmitEvent) {
    event.preventDefault()
    const outcome = await ask(
      api.PUT('/api/suppliers/{supplier}/terms', {
        params: { path: { supplier: order.supplier }, header: { 'If-Match': `"${order.termsVersion}"` } },
        body: $state.snapshot(draft),
      }),
    )
    failure = outcome.failure
    if (!outcome.failure) ondone(`Saved: when ${order.supplier} delivers.`)
  }
</script>

<form class="note my-2" onsubmit={save} novalidate aria-label="When {order.supplier} delivers">
  <fieldset class="flex flex-wrap gap-x-4">
    <legend class="small">Delivers on</legend>
    {#each week as day (day)}
      <label class="flex items-center gap-1">
        <input type="checkbox" value={day} bind:group={draft.days} />
        {day.slice(0, 1).toUpperCase() + day.slice(1)}
      </label>
    {/each}
  </fieldset>
  <div class="mt-1 flex flex-wrap gap-x-4">
    <NumberField label="Days before it is ordered" field="leadDays" {failure} bind:value={draft.leadDays} size={5} />
    <TextField label="until" field="until" {failure} bind:value={draft.until} size={7} />
    <NumberField label="At least" field="minimum" {failure} bind:value={draft.minimum} size={8} step="any" />
  </div>
  {#if isElsewhere}<FailureNote {failure} />{/if}
  <div class="mt-2 flex gap-3">
    <button class="press press-main">Save</button>
    <button type="button" class="press" onclick={oncancel}>Cancel</button>
  </div>
</form>
