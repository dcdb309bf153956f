<script lang="ts">
  import { untrack } from 'svelte'
  import { newKey } from '../../parts/key'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import { today } from '../../parts/day.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import OrderForm from './OrderForm.svelte'
  import OrderLineEntry from './OrderLineEntry.svelte'
  import TotalsTable from './TotalsTable.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Order = Schemas['OrderAnswer']

  let answer = $state<Schemas['OrdersAnswer']>()
  let failure = $state<Failure>()
  let changing = $state<string>()
  let isAdding = $state(false)
  let said = $state('')
  let removed = $state<Order>()

  async function load() {
    const outcome = await ask(api.GET('/api/orders/{day}', { params: { path: { day: today.day } } }))
    failure = outcome.failure
    if (outcome.data) answer = outcome.data
  }

  $effect(() => {
    const day = params?.day
    untrack(() => today.show(day).then(load))
  })

  /** After any change: the orders, the days and the plan are asked for anew. */
  async function changed(words: string) {
    said = words
    changing = undefined
    isAdding = false
    await Promise.all([load(), bakery.load(), today.refresh()])
  }

  async function remove(order: Order) {
    const outcome = await ask(
      api.DELETE('/api/orders/{id}', {
        params: { path: { id: order.id }, header: { 'If-Match': `"${order.version}"` } },
      }),
    )
    if (outcome.failure) failure = outcome.failure
    else removed = order
    await changed(outcome.failure ? '' : `Removed: ${inWords(order)}.`)
    if (outcome.failure) failure = outcome.failure
  }

  async function putBack(order: Order) {
    const outcome = await ask(
      api.POST('/api/orders', {
        params: { header: { 'Idempotency-Key': newKey() } },
        body: { product: order.product, pan: order.pan, count: order.count, pickUp: order.pickUp, for: order.for },
      }),
    )
    if (outcome.failure) failure = outcome.failure
    else {
      removed = undefined
      await changed(`Put back: ${inWords(order)}.`)
    }
  }

  const inWords = (order: Order) =>
    `${order.count} ${order.productName}, ${order.panName}, ${order.clock}${order.for ? `, ${order.for}` : ''}`
  const byPickUp = $derived(Object.entries(Object.groupBy(answer?.orders ?? [], (order) => order.clock)))
  const pickUpWords = $derived(
    byPickUp
      .map(([clock, orders]) => `${(orders ?? []).reduce((sum, order) => sum + order.count, 0)} at ${clock}`)
      .join(' and '),
  )
</script>

<svelte:head><title>Orders · Lumpet</title></svelte:head>

{#if answer}
  <h1 class="sentence">
    {#if answer.pies === 0}
      Nothing is ordered yet for <DayWord day={today.day} place="orders" name={answer.dayName} />.
    {:else}
      {answer.pies}
      {answer.pies === 1 ? 'pie is' : 'pies are'} ordered for <DayWord
        day={today.day}
        place="orders"
        name={answer.dayName}
      />: {pickUpWords}.
    {/if}
  </h1>
  <p class="small" aria-live="polite">
    {#if today.isPlanning}Planning…
    {:else if today.plan && today.plan.troubles.length > 0}
      The plan does not hold: {today.plan.troubles[0]?.text}
      <a class="link" href="#/plan/{today.day}">See the plan</a>
    {:else if today.plan && today.plan.pies > 0}
      {today.plan.sentence.map((part) => part.text).join('')}
      <a class="link" href="#/plan/{today.day}">See the plan</a>
    {:else}
      Type a line below: how many of what, in which pan, when, for whom.
    {/if}
  </p>

  <OrderLineEntry
    day={today.day}
    isFormOpen={isAdding}
    onform={() => (isAdding = !isAdding)}
    onadded={(words) => changed(`Added: ${words}.`)}
  />
  {#if isAdding}
    <OrderForm day={today.day} ondone={(words) => changed(`Added: ${words}.`)} oncancel={() => (isAdding = false)} />
  {/if}

  <FailureNote {failure} />
  <p class="mt-1" role="status">
    {said}
    {#if removed}<button class="link" onclick={() => removed && putBack(removed)}>Put it back</button>{/if}
  </p>

  <div class="mt-2 grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_auto]">
    <section aria-label="Order lines">
      {#each byPickUp as [clock, orders] (clock)}
        <h2 class="mt-3 first:mt-0">{clock}</h2>
        <ul>
          {#each orders ?? [] as order (order.id)}
            <li class="border-line border-t py-1.5">
              {#if changing === order.id}
                <OrderForm
                  day={today.day}
                  {order}
                  ondone={(words) => changed(`Changed: ${words}.`)}
                  oncancel={() => (changing = undefined)}
                />
              {:else}
                <div class="flex items-baseline gap-3">
                  <span class="weight w-12 text-right">{order.count}</span>
                  <span class="grow">
                    <strong>{order.productName}</strong>, {order.panName}
                    {#if order.for}<span class="small">for {order.for}</span>{/if}
                  </span>
                  <button class="link px-1" onclick={() => (changing = order.id)} aria-label="Change {inWords(order)}"
                    >Change</button
                  >
                  <button class="link px-1" onclick={() => remove(order)} aria-label="Remove {inWords(order)}"
                    >Remove</button
                  >
                </div>
              {/if}
            </li>
          {/each}
        </ul>
      {/each}
    </section>
    {#if answer.totals.length > 0}<TotalsTable {answer} />{/if}
  </div>
{:else}
  <FailureNote failure={failure ?? today.failure} />
{/if}
