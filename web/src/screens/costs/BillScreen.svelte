<script lang="ts">
  import { untrack } from 'svelte'
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import { today } from '../../parts/day.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { money } from '../../parts/money'
  import BillRows from './BillRows.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Row = Schemas['BillRowAnswer']
  let days = $state('1')
  let customer = $state('')
  let hasMinutes = $state(false)
  const asked = new Asked<Schemas['BillAnswer']>()
  $effect(() => {
    const wanted = params?.day
    untrack(() => void today.show(wanted))
  })
  asked.follow(['ingredients', 'recipes', 'bakery', 'orders', 'stock'], () => {
    const day = today.plan?.day
    const query = { days: Number(days), ...(customer ? { for: customer } : {}) }
    return day ? (signal) => api.GET('/api/bills/{day}', { params: { path: { day }, query }, signal }) : undefined
  })
  const answer = $derived(asked.current)
  const csv = $derived(
    answer
      ? `/api/bills/${answer.day}/bill.csv?days=${answer.days}${customer ? `&for=${encodeURIComponent(customer)}` : ''}`
      : '',
  )
</script>

<svelte:head><title>Bill · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small screen-only">
    <a class="link" href="#/costs">Costs by product</a>, <a class="link" href="#/plan/{answer.day}">the plan</a>
  </p>
  <h1 class="sentence">{answer.sentence}</h1>
  <p class="screen-only mt-2">
    The bill of <DayWord day={today.day} name={answer.dayName} /> and
    <ChoiceWord
      label="How many days"
      value={days}
      options={[
        { value: '1', words: 'no other day' },
        { value: '3', words: 'two days after it' },
        { value: '7', words: 'the week from it on' },
      ]}
      onchange={(value) => (days = value)}
    />, for
    <ChoiceWord
      label="For whom"
      value={customer}
      options={[
        { value: '', words: 'everybody' },
        ...answer.customers.map((name) => ({ value: name, words: name })),
        ...(customer && !answer.customers.includes(customer) ? [{ value: customer, words: customer }] : []),
      ]}
      onchange={(value) => (customer = value)}
    />.
  </p>
  {#each answer.notes as words (words)}<p class="note mt-2">{words}</p>{/each}
  {#if answer.missing.length > 0}
    <p class="note mt-2">
      No price is known of {answer.missing.join(', ')}: it costs more than this.
      <a class="link" href="#/prices">State it</a>
    </p>
  {/if}
  {#if !answer.handsAreCounted}
    <p class="note mt-2">
      Hands are not counted. <a class="link" href="#/bakery">State what an hour of them costs</a>
    </p>
  {/if}
  <div class="screen-only mt-2 flex gap-4">
    <button class="press" onclick={() => window.print()}>Print</button>
    <button class="press" aria-pressed={hasMinutes} onclick={() => (hasMinutes = !hasMinutes)}>With the minutes</button>
    <a class="press" href={csv} download="bill-{answer.day}.csv">As a table (CSV)</a>
  </div>
  {#if answer.totals.pies > 0}
    <section class="mt-3" aria-label="By product">
      <BillRows
        caption="Product"
        rows={answer.products}
        shared={answer.shared}
        totals={answer.totals}
        hasHands={answer.handsAreCounted}
        {hasMinutes}
        link={(row: Row) => `#/costs/${row.id}/${row.pan}`}
      />
    </section>
    {#if answer.byDay.length > 1}
      <section class="mt-5" aria-label="By day">
        <BillRows
          caption="Day"
          rows={answer.byDay}
          shared={answer.shared}
          totals={answer.totals}
          hasHands={answer.handsAreCounted}
          {hasMinutes}
          link={(row: Row) => `#/bill/${row.id}`}
        />
      </section>
    {/if}
    <section class="mt-5" aria-label="By customer">
      <BillRows
        caption={answer.days === 1 ? 'Order' : 'Customer'}
        rows={answer.orders}
        shared={answer.shared}
        totals={answer.totals}
        hasHands={answer.handsAreCounted}
        {hasMinutes}
        link={() => undefined}
      />
    </section>
    {#if answer.entered}
      <section class="mt-5" aria-label="What was really taken">
        <h2>What was really taken</h2>
        <p>
          {answer.entered.batches} of {answer.entered.of} batches are entered. By the plan they take ingredients of {money(
            answer.entered.planned,
          )}; off the shelves went {money(answer.entered.taken)}{answer.entered.more === 0
            ? ''
            : `, ${money(Math.abs(answer.entered.more))} ${answer.entered.more > 0 ? 'more' : 'less'}`}, at what was
          paid for them. Thrown away besides: {money(answer.entered.thrownAway)}.
          {#if answer.entered.missing.length > 0}Nobody knows what {answer.entered.missing.join(', ')} cost.{/if}
        </p>
      </section>
    {/if}
    <p class="small mt-3">
      Ingredients at the prices of each day; hands by the minutes of the plan, doughs and batches shared by what each
      takes of them; ovens by trays and minutes, with their heating up. Revenue is the price set for each size before
      tax, without what a market or shop keeps. Rent and all else is not in it.
    </p>
  {/if}
{/if}
