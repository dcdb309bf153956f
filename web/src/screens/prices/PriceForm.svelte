<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'
  import { SentKey } from '../../parts/key'
  import { money } from '../../parts/money'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    ingredient: Schemas['PricedIngredientAnswer']
    suppliers: string[]
    today: string
    currency: string
    ondone: (words: string) => void
  }
  const { ingredient, suppliers, today, currency, ondone }: Props = $props()
  const id = $props.id()

  // As the form was opened: news from elsewhere must not overwrite what is being typed.
  // svelte-ignore state_referenced_locally
  const opened = ingredient.inForce
  let supplier = $state(opened?.supplier ?? '')
  let pack = $state(opened?.pack ?? '')
  let paid = $state<number | null>(null)
  // svelte-ignore state_referenced_locally
  let validFrom = $state(today)
  let isUsual = $state(true)
  let failure = $state<Failure>()
  let isSending = $state(false)
  const keys = new SentKey()

  async function add(event: SubmitEvent) {
    event.preventDefault()
    const body = { ingredient: ingredient.id, supplier, pack, paid, validFrom, isUsual }
    isSending = true
    const outcome = await ask(
      api.POST('/api/prices', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }),
    )
    isSending = false
    failure = outcome.failure
    if (!outcome.failure) ondone(`${ingredient.name}: ${money(paid ?? 0)} for ${pack} from ${supplier}.`)
  }
</script>

<form onsubmit={add} aria-label="A price of {ingredient.name}">
  <!-- What has a field is said there. -->
  <FailureNote failure={failure && Object.keys(failure.fields).length > 0 ? undefined : failure} />
  <div class="flex flex-wrap gap-x-4">
    <TextField label="Supplier" field="supplier" {failure} bind:value={supplier} size={20} list="{id}-suppliers" />
    <TextField label="Pack: 25 kg, 6 x 1 l, tray of 30" field="pack" {failure} bind:value={pack} size={22} />
    <NumberField label="{currency} for the pack" field="paid" {failure} bind:value={paid} size={8} />
    <Field label="From" field="validFrom" {failure}>
      {#snippet children(ties)}<input class="field" type="date" bind:value={validFrom} {...ties} />{/snippet}
    </Field>
  </div>
  <datalist id="{id}-suppliers">
    {#each suppliers as one (one)}<option value={one}></option>{/each}
  </datalist>
  <label class="mt-1 flex items-center gap-2"
    ><input type="checkbox" bind:checked={isUsual} /> It is bought there from then on</label
  >
  <button class="press press-main mt-2" disabled={isSending}>Add the price</button>
</form>
