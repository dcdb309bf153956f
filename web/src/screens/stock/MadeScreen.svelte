<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import { live } from '../../parts/live.svelte'
  import MadeForm from './MadeForm.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Entry = Schemas['MadeEntryAnswer']
  const asked = new DayAnswer<Schemas['StockAnswer']>(
    (day, query) => (signal) => api.GET('/api/stock/{day}', { params: { path: { day }, query }, signal }),
  )
  const answer = $derived(asked.current)
  asked.followDay(() => params?.day)

  let isAdding = $state(false)
  // Kept as it was opened: news from elsewhere must not take the form away.
  let changing = $state.raw<Entry>()
  let removing = $state<string>()
  let failure = $state<Failure>()
  let said = $state('')

  const amount = (value: number, unit: string) =>
    unit === 'grams' ? grams(value) : `${value} ${value === 1 ? unit.replace(/s$/, '') : unit}`
  const inWords = (entry: Entry) => `${amount(entry.amount, entry.unit)} ${entry.name}`

  function changed(words: string) {
    said = words
    isAdding = false
    changing = undefined
    removing = undefined
    failure = undefined
    live.saved('stock')
  }

  async function remove(entry: Entry) {
    const outcome = await ask(
      api.DELETE('/api/made-already/{id}', {
        params: { path: { id: entry.id }, header: { 'If-Match': `"${entry.version}"` } },
      }),
    )
    if (!outcome.failure) changed(`Removed: ${inWords(entry)}.`)
    failure = outcome.failure
    if (outcome.failure) await asked.refresh()
  }
</script>

<svelte:head><title>Made already · Lumpet</title></svelte:head>
<FailureNote failure={failure ?? asked.failure} />
{#if answer}
  <LateNote />
  <p class="small"><a class="link" href="#/stock/{today.day}">All shelves</a></p>
  <h1 class="sentence">
    {#if answer.entries.length === 0}
      Nothing is noted that is made already: everything for <DayWord day={today.day} name={answer.dayName} /> is made anew.
    {:else if answer.used === 0}
      Of what is made already nothing is taken for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {answer.used} of {answer.entries.length}
      {answer.entries.length === 1 ? 'thing' : 'things'} made already {answer.used === 1 ? 'goes' : 'go'} into
      <DayWord day={today.day} name={answer.dayName} />, before anything is made anew.
    {/if}
  </h1>
  <p class="small">
    Doughs, what else is made before the pies, and pies that are ready or have been brought as far as a step. The
    pick-up that comes first has it first. When it is used up, remove it: a day that has passed takes nothing off by
    itself.
  </p>
  <p class="mt-2" role="status">{said}</p>
  {#if isAdding}
    <MadeForm {answer} ondone={(words) => changed(`Noted: ${words}.`)} oncancel={() => (isAdding = false)} />
  {:else}
    <button class="press press-main" onclick={() => (isAdding = true)}>Note what is made already</button>
  {/if}
  <ul class="mt-4">
    {#each answer.entries as entry (entry.id)}
      <li class="border-line border-t py-2">
        {#if changing?.id === entry.id}
          <MadeForm
            {answer}
            entry={changing}
            ondone={(words) => changed(`Changed: ${words}.`)}
            oncancel={() => (changing = undefined)}
          />
        {:else}
          <div class="grid gap-x-8 gap-y-1 md:grid-cols-[19rem_1fr_auto]">
            <div class:past={!entry.isGood}>
              <strong>{entry.name}</strong>
              <span class="weight block">{amount(entry.amount, entry.unit)}</span>
              <span class="small block">{entry.state}</span>
              <span class="small block">{entry.until}</span>
              {#if entry.draft.note}<span class="small block">“{entry.draft.note}”</span>{/if}
            </div>
            <div>
              {#if entry.takenBefore > 0}
                <p>
                  <span class="weight inline-block w-24 text-right">{amount(entry.takenBefore, entry.unit)}</span>
                  <span class="pl-3">go to days before</span>
                </p>
              {/if}
              {#each entry.uses as use, index (index)}
                <p>
                  <span class="weight inline-block w-24 text-right">{amount(use.amount, entry.unit)}</span>
                  <span class="pl-3"
                    >{use.for}, {use.at.day} {use.at.clock} <span class="small">for {use.orders}</span></span
                  >
                </p>
              {/each}
              <p>
                <span class="weight inline-block w-24 text-right">{amount(entry.left, entry.unit)}</span>
                <span class="pl-3"
                  >{entry.left === 0 ? 'left' : entry.isGood ? 'left, which nothing takes for this day' : 'left'}</span
                >
              </p>
            </div>
            <div class="flex items-start gap-2 justify-self-end">
              {#if removing === entry.id}
                <button class="press press-main" onclick={() => remove(entry)}>Remove it</button>
                <button class="press" onclick={() => (removing = undefined)}>Keep it</button>
              {:else}
                <button class="link px-1" onclick={() => (changing = entry)} aria-label="Change {inWords(entry)}"
                  >Change</button
                >
                <button class="link px-1" onclick={() => (removing = entry.id)} aria-label="Remove {inWords(entry)}"
                  >Remove</button
                >
              {/if}
            </div>
          </div>
        {/if}
      </li>
    {/each}
  </ul>
{/if}

<style>
  .past {
    padding-left: 0.5rem;
    border-left: 4px solid var(--color-base-content);
  }
</style>
