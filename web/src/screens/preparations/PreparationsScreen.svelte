<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import { bakery } from '../../parts/bakery.svelte'
  import { today } from '../../parts/day.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import Way from './Way.svelte'

  const asked = new Asked<Schemas['PreparationsAnswer']>()
  asked.follow(['ingredients', 'recipes', 'orders'], () => {
    // The books show no day of their own: the one that was looked at, or the next that has orders.
    const day = today.day || bakery.current?.nextDay
    return (signal) => api.GET('/api/preparations', { params: { query: day ? { day } : {} }, signal })
  })
  const answer = $derived(asked.current)
  const all = $derived(answer?.preparations ?? [])
  const unsaid = $derived(all.filter((one) => !one.isPlanned))
  const doughs = $derived(all.filter((one) => one.place.startsWith('/doughs/')))
  const ofDay = $derived(all.filter((one) => one.dayGrams > 0 && !doughs.includes(one)))
  const doughOfDay = $derived(doughs.reduce((sum, one) => sum + one.dayGrams, 0))
  const amount = (one: Schemas['PreparationAnswer']) =>
    one.dayPieces === null ? grams(one.dayGrams) : `${one.dayPieces}`
  const spoken = $derived(
    `${all.length} things are made here before they go into pies, ${doughs.length} of them doughs.`,
  )
</script>

<svelte:head><title>Preparations · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small">
    <a class="link" href="#/recipes">All recipes</a> · <a class="link" href="#/doughs">Doughs</a> ·
    <a class="link" href="#/ingredients">Ingredients</a>
  </p>
  <Sentence {spoken}>
    {#if all.length === 0}
      Nothing is made here before it goes into pies yet: a curd, a puree, toasted nuts.
    {:else}
      {all.length}
      {all.length === 1 ? 'thing is' : 'things are'} made here before
      {all.length === 1 ? 'it goes' : 'they go'} into pies{doughs.length > 0
        ? `, ${doughs.length} of them ${doughs.length === 1 ? 'dough' : 'doughs'}`
        : ''}{#if answer.dayName}; {answer.dayName} takes
        {ofDay.length + doughOfDay === 0
          ? 'none of them'
          : [
              ...ofDay.map((one) =>
                one.dayPieces === null
                  ? `${grams(one.dayGrams)} of ${one.name.toLowerCase()}`
                  : `${one.dayPieces} ${one.name.toLowerCase()}`,
              ),
              ...(doughOfDay > 0 ? [`${(doughOfDay / 1000).toFixed(1)} kg of dough`] : []),
            ].join(', ')}{/if}.
      {#if unsaid.length > 0}
        Of {unsaid.length} nobody has said how {unsaid.length === 1 ? 'it is' : 'they are'} made, so no plan makes
        {unsaid.length === 1 ? 'it' : 'them'}.
      {/if}
    {/if}
  </Sentence>
  <p class="mt-2"><a class="press" href="#/preparations/new">Write a new one</a></p>
  {#each all as one (one.id)}
    <section class="border-line together mt-5 border-t pt-3">
      <h2><a class="link" href="#{one.place}">{one.name}</a></h2>
      <div class="grid gap-x-12 gap-y-2 lg:grid-cols-[1fr_24rem]">
        <div>
          {#if one.isPlanned}
            <p>
              {#if one.kind}<span class="first">{one.kind}</span>,{/if}
              {one.batches}; keeps {one.keeps}.
            </p>
            <Way steps={one.steps} />
          {:else}
            <p>
              <b>Nobody has said how it is made</b>, so no plan makes it.
              <a class="link" href="#/preparations/{one.id}">Say how</a>
            </p>
          {/if}
        </div>
        <div>
          <p>
            {one.lines.map((line) => `${grams(line.grams)} ${line.name.toLowerCase()}`).join(', ')}{one.keptPercent <
            100
              ? `; ${one.keptPercent} % of it is left`
              : ''}.
            {one.reduced}
          </p>
          <p class="small mt-1">
            {#if one.takenBy.length === 0}Nothing takes it yet.
            {:else}Goes into {#each one.takenBy as taker, index (taker.place)}{index > 0 ? ', ' : ''}<a
                  class="link"
                  href="#{taker.place}">{taker.name}</a
                >{/each}.{/if}
            {#if one.dayGrams > 0}
              <b>{amount(one)} for {answer.dayName}{one.dayBatches > 1 ? ` in ${one.dayBatches} batches` : ''}.</b>{/if}
            {one.allergens === null
              ? 'Not everything in it has its allergens stated.'
              : one.allergens.length > 0
                ? `Contains ${one.allergens.join(', ')}.`
                : ''}
            {one.caution}
          </p>
        </div>
      </div>
    </section>
  {/each}
{/if}

<style>
  .first::first-letter {
    text-transform: uppercase;
  }

  .first {
    display: inline-block;
  }
</style>
