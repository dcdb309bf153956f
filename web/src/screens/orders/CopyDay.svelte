<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'

  interface Props {
    /** The day that gets them. */
    day: string
    dayName: string
    /** The day that is meant to begin with. */
    weekBefore: string
    /** Called with what was done, or with nothing where it was given up. */
    ondone: (words: string) => void
  }
  const { day, dayName, weekBefore, ondone }: Props = $props()

  let from = $derived(weekBefore)
  let read = $state<Schemas['CopiedAnswer']>()
  let failure = $state<Failure>()
  const keys = new SentKey()

  async function send(keep: boolean) {
    const outcome = await ask(
      api.POST('/api/orders/{day}/copy', {
        params: { path: { day }, header: keep ? { 'Idempotency-Key': keys.of({ day, from }) } : {} },
        body: { from, keep },
      }),
    )
    failure = outcome.failure
    read = outcome.data
    if (keep && outcome.data) {
      keys.taken()
      ondone(`Copied from ${outcome.data.fromName}: ${outcome.data.orders} orders, ${outcome.data.pies} pies.`)
    }
  }

  $effect(() => {
    if (from && day) void send(false)
  })
</script>

<section class="note my-3" aria-label="The orders of another day">
  <label>
    <span class="block">The orders of which day are to come on {dayName} as well, at the same times?</span>
    <input class="field mt-1" type="date" bind:value={from} />
  </label>
  <FailureNote {failure} />
  {#if read}
    <p class="mt-2">
      {#if read.orders + read.repeating === 0}Nothing is ordered for {read.fromName}.
      {:else}
        {read.fromName}: {read.orders}
        {read.orders === 1 ? 'order' : 'orders'}, {read.pies}
        {read.pies === 1 ? 'pie' : 'pies'}.
        {#if read.repeating > 0}{read.repeating} more repeat and come on {dayName} anyway.{/if} Nothing is taken yet.
      {/if}
    </p>
  {/if}
  <div class="mt-2 flex gap-2">
    {#if read && read.orders > 0}<button class="press press-main" onclick={() => send(true)}>Take them all</button>{/if}
    <button class="press" onclick={() => ondone('')}>Close</button>
  </div>
</section>
