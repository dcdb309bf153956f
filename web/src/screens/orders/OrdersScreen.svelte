<script lang="ts">
  import { untrack } from 'svelte'
  import { newKey } from '../../parts/key'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import { today } from '../../parts/day.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import Mark from '../../parts/Mark.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import StepWord from '../../parts/StepWord.svelte'
  import WhatIf from '../../parts/WhatIf.svelte'
  import { clockTime } from '../../parts/word.svelte'
  import CopyDay from './CopyDay.svelte'
  import ImportOrders from './ImportOrders.svelte'
  import Margins from './Margins.svelte'
  import OrderForm from './OrderForm.svelte'
  import OrderLineEntry from './OrderLineEntry.svelte'
  import StandingOrders from './StandingOrders.svelte'
  import TotalsTable from './TotalsTable.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Order = Schemas['OrderAnswer']

  let failure = $state<Failure>()
  // Kept as it was opened: news from elsewhere must not take the form away.
  let changing = $state.raw<Order>()
  let isAdding = $state(false)
  /** What is open below the line: orders from a file, those that repeat, or those of another day. */
  let opened = $state<'file' | 'standing' | 'copy' | 'margins'>()
  let said = $state('')
  let removed = $state<Order>()

  const asked = new Asked<Schemas['OrdersAnswer']>()
  asked.follow(
    ['orders', 'recipes'],
    () => {
      const path = { day: today.day }
      return path.day ? (signal) => api.GET('/api/orders/{day}', { params: { path }, signal }) : undefined
    },
    () => today.day,
  )
  const answer = $derived(asked.current)

  $effect(() => {
    const day = params?.day
    untrack(() => void today.show(day))
  })

  /** After a change: everything that shows it hears of it on the line. */
  function changed(words: string) {
    said = words
    changing = undefined
    isAdding = false
    failure = undefined
    live.saved('orders')
  }

  const dayOf = (order: Order) => ({ id: order.repeats?.id ?? '', day: order.pickUp.slice(0, 10) })

  async function remove(order: Order) {
    // One that repeats is left out of this day alone.
    const outcome = order.repeats
      ? await ask(api.DELETE('/api/standing-orders/{id}/days/{day}', { params: { path: dayOf(order) } }))
      : await ask(
          api.DELETE('/api/orders/{id}', {
            params: { path: { id: order.id }, header: { 'If-Match': `"${order.version}"` } },
          }),
        )
    if (!outcome.failure) removed = order
    changed(outcome.failure ? '' : `${order.repeats ? 'Left out of this day' : 'Removed'}: ${inWords(order)}.`)
    failure = outcome.failure
    // What could not be removed may have been changed by another.
    if (outcome.failure) await asked.refresh()
  }

  async function putBack(order: Order) {
    const outcome = order.repeats
      ? await ask(api.POST('/api/standing-orders/{id}/days/{day}', { params: { path: dayOf(order) } }))
      : await ask(
          api.POST('/api/orders', {
            params: { header: { 'Idempotency-Key': newKey() } },
            body: {
              product: order.product,
              pan: order.pan,
              count: order.count,
              pickUp: order.pickUp,
              for: order.for,
              mayBeLateMin: order.mayBeLateMin,
            },
          }),
        )
    if (outcome.failure) failure = outcome.failure
    else {
      removed = undefined
      changed(`Put back: ${inWords(order)}.`)
    }
  }

  function close(words: string) {
    opened = undefined
    if (words) changed(words)
  }

  const inWords = (order: Order) =>
    `${order.count} ${order.productName}, ${order.panName}, ${order.clock}${order.for ? `, ${order.for}` : ''}`
  const byPickUp = $derived(Object.entries(Object.groupBy(answer?.orders ?? [], (order) => order.clock)))
  const pickUps = $derived(
    byPickUp.map(([clock, orders]) => ({
      clock,
      pies: (orders ?? []).reduce((sum, order) => sum + order.count, 0),
      /** Where it stands while it is only asked about. */
      asked: today.moves.find((move) => move.from === clock)?.to ?? clock,
    })),
  )
  const spoken = $derived(
    `${answer?.pies ?? 0} pies for ${answer?.dayName ?? ''}: ${pickUps.map((one) => `${one.pies} at ${one.asked}`).join(', ')}`,
  )
</script>

<svelte:head><title>Orders · Lumpet</title></svelte:head>

{#if answer}
  <Sentence {spoken}>
    {#if answer.pies === 0}
      Nothing is ordered yet for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {answer.pies}
      {answer.pies === 1 ? 'pie is' : 'pies are'} ordered for <DayWord day={today.day} name={answer.dayName} />:
      {#each pickUps as one, index (one.clock)}{index === 0
          ? ''
          : index === pickUps.length - 1
            ? ' and '
            : ', '}{one.pies} at <StepWord
          value={one.asked}
          kind={clockTime}
          label="Pick-up at {one.asked}"
          onchange={(to) => today.ask(one.asked, to)}
        />{/each}.
      {#if answer.beyond > 0}{answer.beyond} more {answer.beyond === 1 ? 'is' : 'are'} the margin.{/if}
    {/if}
  </Sentence>
  {#if today.plan}<WhatIf plan={today.plan} />{/if}
  <!-- Its room is kept while it is planned, so that nothing below moves away under a finger. -->
  <p class="small min-h-[2lh] lg:min-h-[1lh]">
    {#if today.plan?.late}<b>{today.plan.late.words}</b>{/if}
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

  {#if opened === 'file'}
    <ImportOrders ondone={close} />
  {:else if opened === 'standing'}
    <StandingOrders day={today.day} onclose={() => (opened = undefined)} />
  {:else if opened === 'margins'}
    <Margins onclose={() => (opened = undefined)} />
  {:else if opened === 'copy'}
    <CopyDay day={today.day} dayName={answer.dayName} weekBefore={answer.weekBefore} ondone={close} />
  {/if}

  <FailureNote failure={failure ?? asked.failure} />
  <p class="mt-1" role="status">
    {said}
    {#if removed}<button class="link" onclick={() => removed && putBack(removed)}>Put it back</button>{/if}
  </p>

  <p class="small screen-only flex flex-wrap gap-x-5">
    <a class="link" href="/api/orders/{today.day}/orders.csv" download="orders-{today.day}.csv">Save as a file (CSV)</a>
    {#each [['standing', 'Orders that repeat'], ['copy', 'Copy another day'], ['margins', 'Margins'], ['file', 'Take orders from a file']] as const as [what, words] (what)}
      <button class="link" onclick={() => (opened = opened === what ? undefined : what)} aria-expanded={opened === what}
        >{words}</button
      >
    {/each}
    <button class="link" onclick={() => window.print()}>Print</button>
  </p>
  {#if changing}
    {#key changing.id}
      <section class="border-line mt-3 border-t pt-2" aria-label="Change an order">
        <h2>Change {inWords(changing)}</h2>
        <OrderForm
          day={today.day}
          order={changing}
          ondone={(words) => changed(`Changed: ${words}.`)}
          oncancel={() => (changing = undefined)}
        />
      </section>
    {/key}
  {/if}
  <div class="mt-2 grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_auto]">
    <section aria-label="Order lines">
      {#each byPickUp as [clock, orders] (clock)}
        <h2 class="mt-3 first:mt-0">{clock}</h2>
        <ul>
          {#each orders ?? [] as order (order.id)}
            <li class="border-line border-t py-1.5">
              <div class="flex items-baseline gap-3">
                <span class="weight w-12 text-right">{order.count}</span>
                <span class="grow">
                  <Mark product={order.productName} /> <strong>{order.productName}</strong>, {order.panName}
                  {#if order.for}<span class="small">for {order.for}</span>{/if}
                  {#if order.repeats}<span class="small">· {order.repeats.words}</span>{/if}
                  {#if order.isLeftOut}<b class="small">· left out of the plan</b>{/if}
                  {#if order.mayBeLateMin > 0}<span class="small">· may be {duration(order.mayBeLateMin)} late</span
                    >{/if}
                </span>
                <button class="link px-1" onclick={() => (changing = order)} aria-label="Change {inWords(order)}"
                  >Change</button
                >
                <button
                  class="link px-1"
                  onclick={() => remove(order)}
                  aria-label="{order.repeats ? 'Leave out' : 'Remove'} {inWords(order)}"
                  >{order.repeats ? 'Leave out' : 'Remove'}</button
                >
              </div>
            </li>
          {/each}
        </ul>
      {/each}
      {#if answer.leftOut.length > 0}
        <h2 class="mt-3">Left out of this day</h2>
        <ul>
          {#each answer.leftOut as order (order.id)}
            <li class="border-line flex items-baseline gap-3 border-t py-1.5">
              <span class="grow"
                >{inWords(order)}
                {#if order.repeats}<span class="small">· {order.repeats.words}</span>{/if}</span
              >
              <button class="link px-1" onclick={() => putBack(order)} aria-label="Put back {inWords(order)}"
                >Put back</button
              >
            </li>
          {/each}
        </ul>
      {/if}
    </section>
    {#if answer.totals.length > 0}<TotalsTable {answer} />{/if}
  </div>
{:else}
  <FailureNote failure={failure ?? today.failure} />
{/if}
