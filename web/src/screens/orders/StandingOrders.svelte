<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import Mark from '../../parts/Mark.svelte'
  import StandingOrderForm from './StandingOrderForm.svelte'

  interface Props {
    /** The day that is looked at. */
    day: string
    onclose: () => void
  }
  const { day, onclose }: Props = $props()
  type Standing = Schemas['StandingOrderAnswer']

  let failure = $state<Failure>()
  // Kept as it was opened: news from elsewhere must not take the form away.
  let changing = $state.raw<Standing>()
  let isAdding = $state(false)
  let ending = $state<string>()
  let said = $state('')

  const asked = new Asked<Schemas['StandingOrdersAnswer']>()
  asked.follow(
    ['orders', 'recipes'],
    () => (signal) => api.GET('/api/standing-orders', { signal }),
    () => 'standing',
  )
  const orders = $derived(asked.current?.orders ?? [])
  const week = $derived(orders.reduce((sum, one) => sum + one.piesAWeek, 0))

  const inWords = (one: Standing) =>
    `${one.draft.count} ${one.productName}, ${one.panName}, ${one.words} ${one.draft.at}${one.draft.for ? `, ${one.draft.for}` : ''}`

  function changed(words: string) {
    said = words
    changing = undefined
    isAdding = false
    ending = undefined
    failure = undefined
    live.saved('orders')
  }

  async function end(order: Standing) {
    const outcome = await ask(
      api.DELETE('/api/standing-orders/{id}', {
        params: { path: { id: order.id }, header: { 'If-Match': `"${order.version}"` } },
      }),
    )
    if (!outcome.failure) changed(`Ended: ${inWords(order)}. It comes no more from today on.`)
    failure = outcome.failure
    // What could not be ended may have been changed by another.
    if (outcome.failure) await asked.refresh()
  }
</script>

<section class="note my-3" aria-label="Orders that repeat">
  <div class="flex flex-wrap items-baseline justify-between gap-3">
    <h2>
      {#if orders.length === 0}No order repeats yet{:else}Orders that repeat: {week} pies in a whole week{/if}
    </h2>
    <span class="flex gap-2">
      {#if !isAdding}<button class="press" onclick={() => (isAdding = true)}>A new one</button>{/if}
      <button class="press" onclick={onclose}>Close</button>
    </span>
  </div>
  <FailureNote failure={failure ?? asked.failure} />
  <p role="status">{said}</p>
  {#if isAdding}
    <StandingOrderForm {day} ondone={(words) => changed(`Added: ${words}.`)} oncancel={() => (isAdding = false)} />
  {/if}
  <ul>
    {#each orders as order (order.id)}
      <li class="border-line border-t py-1.5">
        {#if changing?.id === order.id}
          <StandingOrderForm
            {day}
            order={changing}
            ondone={(words) => changed(`Changed: ${words}.`)}
            oncancel={() => (changing = undefined)}
          />
        {:else}
          <div class="flex items-baseline gap-3">
            <span class="weight w-12 text-right">{order.draft.count}</span>
            <span class="grow">
              <Mark product={order.productName} /> <strong>{order.productName}</strong>, {order.panName},
              {order.words} at {order.draft.at}
              <span class="small block"
                >{[
                  order.draft.for ? `for ${order.draft.for}` : '',
                  order.span,
                  order.draft.mayBeLateMin ? `may be ${duration(order.draft.mayBeLateMin)} late` : '',
                  order.nextName ? `next ${order.nextName}` : 'comes no more',
                  order.notOn.length > 0 ? `otherwise or not on ${order.notOn.join(', ')}` : '',
                ]
                  .filter((words) => words)
                  .join(' · ')}</span
              >
            </span>
            {#if ending === order.id}
              <button class="press press-main" onclick={() => end(order)}>End it from today on</button>
              <button class="press" onclick={() => (ending = undefined)}>Keep it</button>
            {:else}
              <button class="link px-1" onclick={() => (changing = order)} aria-label="Change {inWords(order)}"
                >Change</button
              >
              <button class="link px-1" onclick={() => (ending = order.id)} aria-label="End {inWords(order)}"
                >End</button
              >
            {/if}
          </div>
        {/if}
      </li>
    {/each}
  </ul>
</section>
