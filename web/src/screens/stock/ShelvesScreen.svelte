<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import LotPanel from './LotPanel.svelte'
  import ReceiveForm from './ReceiveForm.svelte'
  import ShelfDrawing from './ShelfDrawing.svelte'
  import { places } from './places'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['ShelvesAnswer']>(
    (day) => (signal) => api.GET('/api/shelves/{day}', { params: { path: { day } }, signal }),
  )
  asked.followDay(() => params?.day)
  const answer = $derived(asked.current)

  let chosen = $state<string>()
  let isReceiving = $state(false)
  let said = $state('')

  function changed(words: string) {
    said = words
    isReceiving = false
    live.saved('stock')
  }

  const first = (names: string[], most: number) =>
    names.length <= most ? names.join('; ') : `${names.slice(0, most).join('; ')} and ${names.length - most} more`
</script>

<svelte:head><title>Stock · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <h1 class="sentence">
    {#if answer.missing.length === 0}
      All that plans until <DayWord day={today.day} name={answer.dayName} /> take is on the shelves.
    {:else}
      Plans until <DayWord day={today.day} name={answer.dayName} /> need
      {answer.missing.length === 1 ? 'one thing that is' : `${answer.missing.length} things that are`} not on the shelves.
    {/if}
    {#if answer.past > 0}
      {answer.past === 1 ? 'One lot is' : `${answer.past} lots are`} past {answer.past === 1 ? 'its' : 'their'} day.
    {/if}
    {#if answer.soon > 0}
      {answer.soon === 1 ? 'One ends' : `${answer.soon} end`} within three days.
    {/if}
  </h1>
  {#each answer.stumbles as words (words)}<p class="note mt-2">{words}</p>{/each}
  <div class="screen-only mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
    <button class="press press-main" onclick={() => (isReceiving = !isReceiving)} aria-expanded={isReceiving}
      >Receive</button
    >
    <a class="press" href="#/batches/{today.day}">Enter what is made</a>
    <a class="press" href="#/buying/{today.day}">Buy what is missing</a>
    <a class="press" href="#/trace">Trace a lot</a>
    <a class="link" href="#/made/{today.day}">What is made already</a>
  </div>
  <p class="mt-2" role="status">{said}</p>
  {#if isReceiving}
    <ReceiveForm {answer} ondone={changed} oncancel={() => (isReceiving = false)} />
  {/if}

  {#if answer.missing.length > 0}
    <h2 class="mt-2">Not there</h2>
    <table class="missing mt-1">
      <thead>
        <tr class="small text-left"
          ><th>What</th><th class="text-right">Missing</th><th>First needed</th><th>For</th></tr
        >
      </thead>
      <tbody>
        {#each answer.missing as one (one.name)}
          <tr>
            <td><strong>{one.name}</strong></td>
            <td class="text-right whitespace-nowrap">{one.amount}</td>
            <td class="whitespace-nowrap">{one.at}</td>
            <td class="small">{first(one.for, 2)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}

  <div class="room mt-4" class:with-panel={chosen}>
    <div>
      <p class="small">
        Areas are to scale, pieces and pies among themselves. What ends first stands in front, at the left; what plans
        keep is hatched.
      </p>
      {#each answer.places as place (place.place)}
        {#if place.shelves.length > 0}
          <section class="mt-3" aria-label={places[place.place]?.name}>
            <h2>{places[place.place]?.name}</h2>
            {#each place.shelves as shelf (shelf.name)}
              <h3 class="small mt-2">{shelf.name || 'No shelf named'}</h3>
              <ShelfDrawing
                {shelf}
                celsius={places[place.place]?.celsius ?? 20}
                {chosen}
                onchoose={(lot) => (chosen = chosen === lot ? undefined : lot)}
              />
            {/each}
          </section>
        {/if}
      {/each}
      {#if answer.lots === 0}
        <p class="mt-3">Nothing is on the books yet. Receive what lies there, pack by pack, or count it in.</p>
      {/if}
    </div>
    {#if chosen}
      <LotPanel lot={chosen} onchanged={changed} onclose={() => (chosen = undefined)} />
    {/if}
  </div>
{/if}

<style>
  .missing th,
  .missing td {
    padding: 0.2rem 1.2rem 0.2rem 0;
    border-top: 1px solid var(--color-line);
    vertical-align: baseline;
  }

  .missing thead th {
    border-top: 0;
    font-weight: 400;
  }

  @media (min-width: 64rem) {
    .with-panel {
      display: grid;
      grid-template-columns: 1fr 24rem;
      gap: 1.5rem;
      align-items: start;
    }
  }
</style>
