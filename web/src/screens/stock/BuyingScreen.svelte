<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { SentKey } from '../../parts/key'
  import { live } from '../../parts/live.svelte'
  import { money } from '../../parts/money'
  import PurchaseForm from './PurchaseForm.svelte'
  import TermsForm from './TermsForm.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Order = Schemas['SupplierOrderAnswer']
  const asked = new DayAnswer<Schemas['BuyingAnswer']>(
    (day) => (signal) => api.GET('/api/buying/{day}', { params: { path: { day } }, signal }),
  )
  asked.followDay(() => params?.day)
  const answer = $derived(asked.current)
  const late = $derived(answer?.orders.filter((order) => !order.isInTime) ?? [])

  const keys = new SentKey()
  let changing = $state<string>()
  let receiving = $state<string>()
  let sending = $state<string>()
  let failure = $state<Failure>()
  let said = $state('')

  function done(words: string) {
    said = words
    changing = receiving = failure = undefined
    live.saved('stock')
    void asked.refresh()
  }

  async function place(order: Order) {
    if (sending) return
    sending = order.supplier
    const body = {
      supplier: order.supplier,
      delivery: order.delivery,
      lines: order.lines.map((line) => ({ ingredient: line.ingredient, packUnits: line.packUnits, packs: line.packs })),
    }
    const outcome = await ask(
      api.POST('/api/purchases', { params: { header: { 'Idempotency-Key': keys.of(body) } }, body }),
    )
    sending = undefined
    failure = outcome.failure
    if (!outcome.data) return
    keys.taken()
    done(`Ordered at ${order.supplier}.`)
  }

  async function takeBack(purchase: Schemas['PurchaseAnswer']) {
    const outcome = await ask(api.POST('/api/purchases/{id}/taken-back', { params: { path: { id: purchase.id } } }))
    failure = outcome.failure
    if (!outcome.failure) done(`Taken back: the order at ${purchase.supplier}.`)
  }
</script>

<svelte:head><title>Buying · Lumpet</title></svelte:head>
<FailureNote failure={failure ?? asked.failure} />
{#if answer}
  <p class="small screen-only"><a class="link" href="#/stock/{today.day}">All shelves</a></p>
  <h1 class="sentence">
    {#if answer.orders.length === 0}
      For plans until <DayWord day={today.day} name={answer.dayName} /> nothing has to be bought.
    {:else}
      For plans until <DayWord day={today.day} name={answer.dayName} /> buy for {money(answer.total)}
      {answer.currency} at {answer.orders.length === 1 ? 'one supplier' : `${answer.orders.length} suppliers`}.
      {#if late.length > 0}
        {new Intl.ListFormat('en-GB').format(late.map((order) => order.supplier))}
        {late.length === 1 ? 'does' : 'do'} not come in time.
      {/if}
    {/if}
  </h1>
  {#each answer.stumbles as words (words)}<p class="note mt-2">{words}</p>{/each}
  <p class="small">
    What plans take less what is on the shelves and good by then, and less what is ordered; in whole packs, where it is
    usually bought, delivered as late as is in time.
  </p>
  <div class="screen-only mt-2 flex gap-4">
    <button class="press" onclick={() => window.print()}>Print</button>
    <a class="press" href="/api/buying/{answer.day}/list.csv" download="buying-{answer.day}.csv">As a table (CSV)</a>
  </div>
  <p class="mt-2" role="status">{said}</p>

  {#each answer.orders as order (order.supplier)}
    <section class="together mt-3" aria-label={order.supplier}>
      <div class="flex flex-wrap items-baseline gap-x-4">
        <h2>{order.supplier}</h2>
        <strong>{money(order.total)}</strong>
        <span>
          {#if order.delivery}
            order until {order.orderUntil}, comes {order.deliveryName}{order.isInTime
              ? ''
              : ': too late for the first of it'}
          {:else}
            does not deliver within sixty days
          {/if}
        </span>
        <button class="link" onclick={() => (changing = changing === order.supplier ? undefined : order.supplier)}
          >When {order.supplier} delivers</button
        >
      </div>
      {#if order.belowBy > 0}
        <p class="note mt-1">
          {money(order.belowBy)} below what {order.supplier} asks for at least ({money(Number(order.terms.minimum))}).
        </p>
      {/if}
      {#if changing === order.supplier}
        <TermsForm {order} ondone={done} oncancel={() => (changing = undefined)} />
      {/if}
      <table class="lines mt-1">
        <colgroup>
          <col style:width="3.5rem" /><col style:width="9.5rem" /><col /><col style:width="5.5rem" />
          <col style:width="6rem" /><col style:width="10rem" /><col style:width="6rem" />
        </colgroup>
        <thead class="small text-left">
          <tr>
            <th class="text-right">Packs</th><th>of</th><th>What</th><th class="text-right">Cost</th><th
              class="text-right">Missing</th
            ><th>First needed</th><th class="text-right">Left after</th>
          </tr>
        </thead>
        <tbody>
          {#each order.lines as line (line.ingredient)}
            <tr>
              <td class="weight text-right">{line.packs}</td>
              <td>{line.pack}</td>
              <td><strong>{line.name}</strong></td>
              <td class="text-right">{money(line.cost)}</td>
              <td class="text-right whitespace-nowrap">{line.missing}</td>
              <td class="whitespace-nowrap">{line.needed}</td>
              <td class="text-right whitespace-nowrap">{line.leftOver}</td>
            </tr>
            {#if line.sooner || line.spoiltPercent > 0 || line.instead}
              <tr class="small">
                <td></td>
                <td colspan="6">
                  {#if line.sooner}<strong>{line.sooner}</strong>{/if}
                  {#if line.spoiltPercent > 0}{line.spoiltPercent} % of what the packs hold beyond it would spoil.{/if}
                  {#if line.instead}{line.instead} would save {money(line.saves)}.{/if}
                </td>
              </tr>
            {/if}
          {/each}
        </tbody>
      </table>
      {#if order.delivery}
        <button
          class="press press-main screen-only mt-2"
          disabled={sending === order.supplier}
          onclick={() => place(order)}>Ordered at {order.supplier}</button
        >
      {/if}
    </section>
  {/each}

  {#if answer.nobodySells.length > 0}
    <h2 class="mt-4">No price is known of</h2>
    <ul>
      {#each answer.nobodySells as one (one.name)}
        <li>
          <strong>{one.name}</strong>, {one.missing}, first needed {one.needed}.
          <a class="link screen-only" href="#/prices">State a price</a>
        </li>
      {/each}
    </ul>
  {/if}

  {#if answer.placed.length > 0}
    <h2 class="mt-5">Ordered, and not here yet</h2>
    <ul>
      {#each answer.placed as purchase (purchase.id)}
        <li class="border-line border-t py-2">
          <div class="flex flex-wrap items-baseline gap-x-4">
            <strong>{purchase.supplier}</strong>
            <span class:font-bold={purchase.isLate}
              >{purchase.isLate ? `was to come ${purchase.delivery}` : `comes ${purchase.delivery}`}</span
            >
            {#if purchase.tooLateFor.length > 0}
              <strong>too late: {purchase.tooLateFor.join('; ')}</strong>
            {/if}
            <span>{money(purchase.total)}</span>
            <span class="small"
              >{purchase.lines.map((line) => `${line.packs} × ${line.pack} ${line.name}`).join('; ')}</span
            >
            {#if receiving !== purchase.id}
              <button
                class="press screen-only"
                aria-label="It has come, from {purchase.supplier}"
                onclick={() => (receiving = purchase.id)}>It has come</button
              >
              <button
                class="link screen-only"
                aria-label="Take back the order at {purchase.supplier}"
                onclick={() => takeBack(purchase)}>Take back</button
              >
            {/if}
          </div>
          {#if receiving === purchase.id}
            <PurchaseForm {purchase} ondone={done} oncancel={() => (receiving = undefined)} />
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
{/if}

<style>
  .lines {
    width: 100%;
    max-width: 60rem;
    table-layout: fixed;
  }

  th,
  td {
    padding: 0.2rem 1rem 0.2rem 0;
    border-top: 1px solid var(--color-line);
    vertical-align: baseline;
  }

  /* What is said of a line belongs to it. */
  tr.small td {
    padding-top: 0;
    border-top: 0;
  }

  @media print {
    .lines {
      table-layout: auto;
      font-size: 9.5pt;
    }

    .lines col {
      width: auto !important;
    }

    th,
    td {
      padding-right: 0.4rem;
      white-space: normal !important;
    }
  }

  thead th {
    border-top: 0;
    font-weight: 400;
  }
</style>
