<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { duration, grams, kilograms } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DaysAhead from '../../parts/DaysAhead.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import { measured } from './measured.svelte'
  import Readings from './Readings.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['DoughAnswer']>((day, query) => {
    const asked = { ...query, ...measured.query }
    return (signal) => api.GET('/api/dough/{day}', { params: { path: { day }, query: asked }, signal })
  })
  const answer = $derived(asked.current)
  // What is wrong with a reading stands at its field.
  const isMeasuredWrong = $derived(
    Object.keys(asked.failure?.fields ?? {}).some((field) => field in (answer?.readings ?? {})),
  )

  asked.followDay(() => params?.day)
</script>

<svelte:head><title>Dough · Lumpet</title></svelte:head>
<FailureNote failure={isMeasuredWrong ? undefined : asked.failure} />
{#if answer}
  <LateNote />
  <h1 class="sentence">
    {#if answer.count === 0}
      No dough is needed for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {answer.count}
      {answer.count === 1 ? 'batch' : 'batches'} of dough, {kilograms(answer.kilograms)} in all, for <DayWord
        day={today.day}
        name={answer.dayName}
      />; the first is mixed at {answer.batches[0]?.mixStart.day}
      {answer.batches[0]?.mixStart.clock}.
    {/if}
  </h1>
  {#each answer.already as said (said)}<p>{said}</p>{/each}
  <p class="small">
    {answer.mixer} Weights are rounded once, to whole grams, so that they add up to the batch.
    <button class="link" onclick={() => window.print()}>Print the dough sheets</button>
  </p>
  <DaysAhead kinds={['dough']} title="Doughs of the days ahead" />
  {#if answer.count > 0}<Readings readings={answer.readings} failure={asked.failure} />{/if}
  {#each answer.batches as batch (`${batch.dough} ${batch.number}`)}
    <section class="border-line together mt-5 grid gap-x-12 gap-y-3 border-t pt-3 lg:grid-cols-[15rem_1fr_1fr]">
      <div>
        <h2>{batch.name}{batch.of > 1 ? `, batch ${batch.number} of ${batch.of}` : ''}</h2>
        <p><span class="weight">{batch.mixStart.clock}</span> mix ({batch.mixStart.day})</p>
        {#if batch.turns.length === 0}
          <p><span class="weight">{batch.mixEnd.clock}</span> into the cold</p>
        {:else}
          <p><span class="weight">{batch.mixEnd.clock}</span> the bowl is free</p>
          {#each batch.turns as turn, index (index)}
            <p><span class="weight">{turn.clock}</span> turn {index + 1} of {batch.turns.length}, then into the cold</p>
          {/each}
        {/if}
        <p><span class="weight">{batch.needed.clock}</span> first disc rolled ({batch.needed.day})</p>
        <p class="small">It rests {duration(batch.restMin)} in this plan.</p>
        {#if batch.water}
          <p class="mt-1" class:short={!batch.water.isMet}><strong>{batch.water.words}</strong></p>
          <details class="small">
            <summary class="link">How it was reckoned</summary>{batch.water.why}
          </details>
        {/if}
        <ul class="mt-1">
          {#each batch.making as said (said)}<li>{said}</li>{/each}
        </ul>
        <p class="small">Ready when: {batch.readyWhen}. {batch.keeps}</p>
        {#if batch.caution}<p class="small"><b>Caution:</b> {batch.caution}</p>{/if}
      </div>
      <table class="self-start">
        <caption class="small text-left">Weigh</caption>
        <tbody>
          {#each batch.lines as line (line.name)}
            <tr class="border-line border-t">
              <th scope="row" class="py-1 text-left font-normal"
                >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
              >
              <td class="small px-4 text-right">{line.percent.toFixed(1)} %</td>
              <td class="weight text-right">{grams(line.grams)}</td>
            </tr>
          {/each}
          <tr class="border-soft border-t">
            <th scope="row" class="py-1 text-left font-normal">Batch</th>
            <td></td>
            <td class="weight text-right">{grams(batch.grams)}</td>
          </tr>
        </tbody>
      </table>
      <table class="self-start">
        <caption class="small text-left">Divide into discs</caption>
        <tbody>
          {#each batch.discs as disc, index (index)}
            <tr class="border-line border-t">
              <td class="weight pr-3 text-right">{disc.count} ×</td>
              <td class="weight text-right">{grams(disc.grams)}</td>
              <th scope="row" class="py-1 pl-4 text-left font-normal"
                >{disc.label}
                {#if disc.rolled}<span class="small block">{disc.rolled}</span>{/if}
                <span class="small block"
                  >{disc.orders
                    .map(
                      (order) =>
                        `${order.count > 0 ? `${order.count} ` : ''}for ${order.pickUp.clock}${order.for ? ` (${order.for})` : ''}`,
                    )
                    .join(', ')}</span
                >
              </th>
            </tr>
          {/each}
          <tr class="border-soft border-t">
            <td class="small py-1" colspan="3">
              {grams(batch.inDiscs)} in discs, {grams(batch.inBowl)} stays in the bowl{batch.surplus > 0
                ? `, ${grams(batch.surplus)} over: the mixer's smallest batch is more than is needed; it keeps a few days in the fridge`
                : ''}.
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  {/each}
{/if}

<style>
  .short {
    padding-left: 0.5rem;
    border-left: 4px solid var(--color-base-content);
  }
</style>
