<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'

  interface Props {
    /** Called with what was done, or with nothing where it was given up. */
    ondone: (words: string) => void
  }
  const { ondone }: Props = $props()
  const largest = 900_000

  let text = $state('')
  let name = $state('')
  let read = $state<Schemas['ImportAnswer']>()
  let failure = $state<Failure>()
  const keys = new SentKey()

  async function choose(files: FileList | null) {
    const file = files?.[0]
    read = undefined
    failure = undefined
    if (!file) return
    name = file.name
    if (file.size > largest) {
      failure = { title: 'This file is too large for orders; at most 2000 rows are taken.', fields: {}, status: 400 }
      return
    }
    text = await file.text()
    const outcome = await ask(api.POST('/api/orders/import', { body: { text, keep: false } }))
    failure = outcome.failure
    read = outcome.data
  }

  async function keep() {
    const outcome = await ask(
      api.POST('/api/orders/import', {
        params: { header: { 'Idempotency-Key': keys.of(text) } },
        body: { text, keep: true },
      }),
    )
    failure = outcome.failure
    if (outcome.data) ondone(`Taken from ${name}: ${outcome.data.orders} orders, ${outcome.data.pies} pies.`)
  }
</script>

<section class="note my-3" aria-label="Orders from a file">
  <label>
    <span class="block"
      >A file with a row for each order; its first row names the columns: count, product, pan, pick_up, for.</span
    >
    <input
      class="mt-1"
      type="file"
      accept=".csv,text/csv,text/plain"
      onchange={(event) => choose(event.currentTarget.files)}
    />
  </label>
  <FailureNote {failure} />
  {#if read}
    <p class="mt-2">
      {read.orders} orders, {read.pies} pies: {read.days.map((day) => `${day.pies} for ${day.name}`).join(', ')}.
      Nothing is taken yet.
    </p>
  {/if}
  <div class="mt-2 flex gap-2">
    {#if read}<button class="press press-main" onclick={keep}>Take them all</button>{/if}
    <button class="press" onclick={() => ondone('')}>Close</button>
  </div>
</section>
