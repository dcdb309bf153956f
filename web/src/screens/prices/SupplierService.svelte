<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import PriceChanges from './PriceChanges.svelte'

  interface Props {
    suppliers: string[]
    ondone: (words: string) => void
  }
  const { suppliers, ondone }: Props = $props()
  let read = $state<Schemas['PriceListAnswer']>()
  let failure = $state<Failure>()
  let isAsking = $state(false)

  async function put(supplier: string, keep: boolean) {
    isAsking = true
    const outcome = await ask(api.POST('/api/prices/feed', { body: { supplier, keep } }))
    isAsking = false
    failure = outcome.failure
    read = outcome.data
    if (keep && outcome.data)
      ondone(
        `${outcome.data.taken} ${outcome.data.taken === 1 ? 'price' : 'prices'} taken from ${outcome.data.supplier}.`,
      )
  }
</script>

<section class="note my-3" aria-label="Prices from a supplier’s service">
  <div class="flex flex-wrap gap-2">
    {#each suppliers as supplier (supplier)}
      <button
        class="press"
        disabled={isAsking}
        aria-pressed={read?.supplier === supplier}
        onclick={() => put(supplier, false)}>{supplier}</button
      >
    {/each}
  </div>
  <FailureNote {failure} />
  {#if read}
    {#if read.isMadeUp}<p class="mt-2">
        A stand-in answers for {read.supplier}: it makes prices up from the last that were really asked, by season and
        chance. Take them to try things out, not to reckon by.
      </p>{/if}
    <PriceChanges {read} />
    <button
      class="press press-main mt-3"
      disabled={isAsking || read.changes.every((change) => change.isNoNews)}
      onclick={() => read && put(read.supplier, true)}>Take these prices</button
    >
  {/if}
</section>
