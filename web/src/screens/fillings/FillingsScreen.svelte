<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { grams, kilograms } from '../../parts/amounts'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DaysAhead from '../../parts/DaysAhead.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import MadeFirst from '../../parts/MadeFirst.svelte'
  import ColdInTime from './ColdInTime.svelte'
  import MadeBatch from './MadeBatch.svelte'
  import Mark from '../../parts/Mark.svelte'
  import StepNotes from '../../parts/StepNotes.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['FillingsAnswer']>(
    (day, query) => (signal) => api.GET('/api/fillings/{day}', { params: { path: { day }, query }, signal }),
  )
  const answer = $derived(asked.current)

  asked.followDay(() => params?.day)
</script>

{#snippet weighed(lines: Schemas['FillingLineAnswer'][])}
  {#each lines as line, index (index)}
    <tr class="border-line border-t">
      <th scope="row" class="py-1 text-left font-normal"
        >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
      >
      <td class="weight text-right"
        >{grams(line.grams)}{#if line.perBatch.length > 0}<span class="small block font-normal"
            >{line.perBatch.map((weight) => grams(weight)).join(' + ')}</span
          >{/if}</td
      >
      <td class="small w-64 pl-4">
        {#if line.toBuyGrams !== null}buy {grams(line.toBuyGrams)}: {line.yieldPercent} % is left{/if}
      </td>
    </tr>
  {/each}
{/snippet}

<svelte:head><title>Fillings · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <LateNote />
  <h1 class="sentence">
    {#if answer.fillings.length === 0}
      No filling is needed for <DayWord day={today.day} name={answer.dayName} />.
    {:else}
      {kilograms(answer.kilograms)} of filling for <DayWord day={today.day} name={answer.dayName} />:
      {answer.fillings.map((filling) => `${kilograms(filling.grams / 1000)} ${filling.name.toLowerCase()}`).join(', ')}.
      {#if answer.batches.length > 0}
        {answer.batches.length === 1 ? 'One batch is' : `${answer.batches.length} batches are`} made first, from {answer
          .batches[0]?.steps[0]?.start.day}
        {answer.batches[0]?.steps[0]?.start.clock}.
      {/if}
    {/if}
  </h1>
  {#each answer.already as said (said)}<p>{said}</p>{/each}
  {#if answer.fillings.length > 0}
    <button class="link small" onclick={() => window.print()}>Print the filling sheets</button>
  {/if}
  <DaysAhead kinds={['made', 'filling']} title="Fillings of the days ahead" />
  {#if answer.batches.length > 0}
    <section class="mt-5" aria-label="Made first">
      <h2>Made first</h2>
      <div class="grid gap-x-12 gap-y-2 lg:grid-cols-2">
        {#each answer.batches as batch (batch.id)}<MadeBatch {batch} />{/each}
      </div>
    </section>
  {/if}
  {#if answer.made.length > 0}
    <div class="grid gap-x-12 lg:grid-cols-[1fr_24rem]">
      <div><MadeFirst made={answer.made} takenBy="the day takes" /></div>
    </div>
  {/if}
  {#each answer.fillings as filling (filling.product)}
    {@const isOnly = filling.layers.filter((layer) => layer.part === 'filling').length === 1}
    <section class="border-line together mt-5 grid gap-x-12 gap-y-3 border-t pt-3 lg:grid-cols-[1fr_24rem]">
      <div>
        <h2><Mark product={filling.name} size={22} /> {filling.name}</h2>
        {#if filling.batches.length > 1}
          <p class="small">
            Made {filling.batches.length} times, weights in this order: {filling.batches
              .map((batch) => `${batch.start.day} ${batch.start.clock} for ${batch.pies} of ${batch.pan}`)
              .join(', ')}.
          </p>
        {/if}
        {#each filling.layers as layer, at (at)}
          {@const sum = layer.lines.reduce((total, line) => total + line.grams, 0)}
          {#if at > 0 || layer.title !== 'Filling'}<h3 class="mt-2 font-bold">{layer.title}</h3>{/if}
          <table class="w-full">
            <tbody>
              {@render weighed(layer.lines)}
              {#if layer.part === 'filling'}
                <tr class="border-soft border-t">
                  <th scope="row" class="py-1 text-left font-normal">In all</th>
                  <td class="weight text-right">{grams(Math.round(sum * 10) / 10)}</td>
                  <td></td>
                </tr>
              {/if}
            </tbody>
          </table>
          {#if layer.reduced}<p class="small">{layer.reduced}</p>{/if}
          {#if layer.keptPercent < 100}
            <p class="small">
              {layer.keptPercent} % of it goes into the pans: the rest boils away or stays in the pot.
            </p>
          {/if}
        {/each}
        <ol class="mt-2">
          {#each filling.steps as step, at (at)}
            <li>
              <strong>{step.name}</strong>
              <span class="small"
                >{step.starts.map((start) => start.clock).join(', ')}{step.starts.length > 0 ? '; ' : ''}{step.station}, {step.time},
                {step.celsius} °C</span
              >
              <StepNotes readyWhen={step.readyWhen} caution={step.caution} />
            </li>
          {/each}
        </ol>
        <p class="small">The pie is {filling.keeps}.</p>
        {#if filling.packaging.length > 0}
          <p class="mt-2">
            <strong>Packed with</strong>
            {filling.packaging.map((item) => `${item.count} ${item.name.toLowerCase()}`).join(', ')}.
          </p>
        {/if}
        <p class="small mt-1">
          {filling.allergens.length > 0 ? `Contains ${filling.allergens.join(', ')}.` : 'No allergen is stated.'}
          {#if filling.notStated.length > 0}<b>Not stated yet: {filling.notStated.join(', ')}.</b>{/if}
          {#if filling.mayContain.length > 0}May contain {filling.mayContain.join(', ')}.{/if}
          {#if filling.handles !== null && filling.handles.length > 0}Made where {filling.handles.join(', ')} are handled.{/if}
        </p>
        {#if filling.cautions.length > 0}<p class="small">{filling.cautions.join(' ')}</p>{/if}
      </div>
      <div>
        <h2>Goes into</h2>
        <ul>
          {#each filling.lots as lot, index (index)}
            <li class="border-line border-t py-1">
              <span class="weight">{lot.count} × {grams(lot.gramsPerPie)}</span>
              <span>{lot.pan}, for {lot.pickUp.clock}</span>
              {#if isOnly}
                <span class="small block">{lot.layers[0]?.factor.toFixed(4)} times the recipe as written</span>
              {/if}
              <ul class="small">
                {#each lot.layers.slice(isOnly ? 1 : 0) as layer, at (at)}
                  <li>
                    <b>{grams(layer.grams)}</b>
                    {layer.title.toLowerCase()}{layer.pieces > 0 ? `, ${layer.pieces} pieces` : ''}: {layer.factor.toFixed(
                      4,
                    )} times as written
                  </li>
                {/each}
              </ul>
              {#each lot.room as said (said)}<b class="block">{said}</b>{/each}
            </li>
          {/each}
        </ul>
      </div>
    </section>
  {/each}
  <ColdInTime />
{/if}
