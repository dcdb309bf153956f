<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import { live } from '../../parts/live.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Batch = Schemas['DayBatchAnswer']
  const asked = new DayAnswer<Schemas['DayBatchesAnswer']>(
    (day) => (signal) => api.GET('/api/batches/{day}', { params: { path: { day } }, signal }),
  )
  asked.followDay(() => params?.day)
  const answer = $derived(asked.current)
  const entered = $derived(answer?.batches.filter((one) => one.isEntered).length ?? 0)

  let opened = $state<string>()
  /** The batch of which somebody is asked whether it is entered though the books do not hold all of it. */
  let doubted = $state<string>()
  let sending = $state<string>()
  let failure = $state<Failure>()
  let said = $state('')

  const unknown = (batch: Batch) => batch.takes.filter((take) => take.isUnknown)
  const inIt = (batch: Batch) =>
    `${batch.takes.length} ${batch.isEntered ? 'taken' : batch.takes.length === 1 ? 'thing in it' : 'things in it'}`
  const waits = (batch: Batch) => [...new Set(batch.takes.map((take) => take.waitsFor).filter(Boolean))]

  async function enter(batch: Batch, evenIfUnknown: boolean) {
    if (sending || !answer) return
    if (!evenIfUnknown && unknown(batch).length > 0) {
      doubted = opened = batch.id
      return
    }
    sending = batch.id
    const outcome = await ask(
      api.POST('/api/batches/{day}/made', {
        params: { path: { day: answer.day } },
        body: { batch: batch.id, amount: batch.amount, evenIfUnknown },
      }),
    )
    sending = undefined
    failure = outcome.failure
    if (outcome.data) done(`Entered: ${batch.about}, lot ${outcome.data.code}.`)
    else await asked.refresh()
  }

  async function handOver(batch: Batch | undefined) {
    if (sending || !answer) return
    sending = batch?.id ?? 'all'
    const outcome = await ask(
      api.POST('/api/batches/{day}/handed-over', {
        params: { path: { day: answer.day } },
        body: { batch: batch?.id ?? null },
      }),
    )
    sending = undefined
    failure = outcome.failure
    if (outcome.data) done(`Handed over: ${outcome.data.pies} ${outcome.data.pies === 1 ? 'pie' : 'pies'}.`)
  }

  async function takeBack(batch: Batch) {
    if (sending || !answer) return
    sending = batch.id
    const outcome = await ask(
      api.POST('/api/batches/{day}/taken-back', {
        params: { path: { day: answer.day } },
        body: { batch: batch.id },
      }),
    )
    sending = undefined
    failure = outcome.failure
    if (!outcome.failure) done(`Taken back: ${batch.about}.`)
  }

  function done(words: string) {
    said = words
    doubted = undefined
    live.saved('stock')
    void asked.refresh()
  }
</script>

<svelte:head><title>What is made · Lumpet</title></svelte:head>
<FailureNote failure={failure ?? asked.failure} />
{#if answer}
  <LateNote />
  <p class="small"><a class="link" href="#/stock/{today.day}">All shelves</a></p>
  <h1 class="sentence">
    {#if answer.batches.length === 0}
      Nothing is made for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {entered} of {answer.batches.length} batches for <DayWord day={today.day} name={answer.dayName} /> are entered.
    {/if}
  </h1>
  {#if answer.stumbles}<p class="note mt-2">{answer.stumbles}</p>{/if}
  <p class="small">
    A batch that is entered takes what went into it off the shelves, once, and puts what it makes there with a lot
    number of its own. What the plan makes does not change by it.
  </p>
  {#if answer.batches.some((one) => one.isToHandOver)}
    <button class="press screen-only mt-2" disabled={sending === 'all'} onclick={() => handOver(undefined)}
      >Hand over all that was picked up until now</button
    >
  {/if}
  <p class="mt-2" role="status">{said}</p>
  <ul class="mt-2">
    {#each answer.batches as batch (batch.id)}
      {@const missing = unknown(batch).filter((take) => !take.waitsFor)}
      {@const waiting = waits(batch)}
      <li class="border-line border-t py-2">
        <div class="row">
          <span class="whitespace-nowrap"
            ><span class="small">{batch.start.day}</span> <strong>{batch.start.clock}</strong></span
          >
          <span>
            <strong>{batch.about}</strong>
            {#if batch.kind !== 'pies'}<span class="whitespace-nowrap">{batch.makes}</span>{/if}
            {#if batch.pickUp}
              <span class="small block"
                >for {batch.pickUp.clock}{batch.for.length > 0 ? `, ${batch.for.join(', ')}` : ''}</span
              >
            {/if}
          </span>
          <span>
            <button
              class="link"
              aria-expanded={opened === batch.id}
              aria-label="{inIt(batch)}: {batch.about}"
              onclick={() => (opened = opened === batch.id ? undefined : batch.id)}>{inIt(batch)}</button
            >
            {#if waiting.length > 0}
              <span class="small block">waits for {waiting.join(', ')}</span>
            {/if}
            {#if missing.length > 0}
              <span class="small block">
                {missing.length}
                {missing.length === 1 ? 'is' : 'are'} not on the books
              </span>
            {/if}
          </span>
          <span class="justify-self-end text-right">
            {#if batch.isEntered}
              <a class="link" href="#/trace/lots/{batch.lot}">lot {batch.code}</a>
              {#if batch.kind === 'pies'}
                <a
                  class="link ml-3"
                  href="#/labels/{batch.product}/{batch.pan}/{batch.lot}"
                  aria-label="Labels of {batch.about}">Labels</a
                >
              {/if}
              {#if batch.isToHandOver}
                <button
                  class="link ml-3"
                  disabled={sending === batch.id}
                  aria-label="Hand over {batch.about}"
                  onclick={() => handOver(batch)}>Hand over</button
                >
              {:else if batch.kind === 'pies'}
                <span class="small ml-3">handed over</span>
              {/if}
              <button
                class="link ml-3"
                disabled={sending === batch.id}
                aria-label="Take back {batch.about}"
                onclick={() => takeBack(batch)}>Take back</button
              >
            {:else if doubted === batch.id}
              <button class="press press-main" disabled={sending === batch.id} onclick={() => enter(batch, true)}
                >Enter all the same</button
              >
              <button class="press" onclick={() => (doubted = undefined)}>Not yet</button>
            {:else}
              <button
                class="press"
                disabled={sending === batch.id}
                aria-label="Made: {batch.about}"
                onclick={() => enter(batch, false)}>Made</button
              >
            {/if}
          </span>
        </div>
        {#if opened === batch.id}
          {#if doubted === batch.id}
            <p class="mt-1">
              The books do not hold all that goes in. Receive or count it first, or enter the batch all the same: what
              is missing is then noted as of a lot that nobody knows.
            </p>
          {/if}
          <ul class="takes mt-1">
            {#each batch.takes as take, at (at)}
              <li>
                <span class="text-right whitespace-nowrap">{take.amount}</span>
                <span>{take.name}</span>
                <span class="small">
                  {#if take.isUnknown}
                    <strong>{take.waitsFor ? `${take.waitsFor} is not entered yet` : 'not on the books'}</strong>
                  {:else}
                    <a class="link" href="#/trace/lots/{take.lot}"
                      >{take.code ? `lot ${take.code}` : 'lot without a number'}</a
                    >
                  {/if}
                </span>
              </li>
            {/each}
          </ul>
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: 7.5rem 1fr 14rem 21rem;
    gap: 0.25rem 1rem;
    align-items: baseline;
  }

  .takes {
    margin-left: 8.5rem;
  }

  .takes li {
    display: grid;
    grid-template-columns: 5.5rem 16rem 1fr;
    gap: 1rem;
  }

  @media (max-width: 64rem) {
    .row {
      grid-template-columns: 7rem 1fr auto;
    }

    .row > :nth-child(3) {
      grid-area: 2 / 2;
    }

    .row > :last-child {
      grid-area: 1 / 3 / span 2;
    }

    .takes {
      margin-left: 0;
    }

    .takes li {
      grid-template-columns: 7rem 1fr 1fr;
    }
  }
</style>
