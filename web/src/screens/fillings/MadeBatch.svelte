<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'
  import { colourOf } from '../../parts/heat'

  interface Props {
    batch: Schemas['MadeBatchAnswer']
  }
  const { batch }: Props = $props()
</script>

<!-- A batch of something made before the pies: what is weighed, what is done by the clock, what it is for. -->
<section class="border-line together border-t pt-2">
  <h3>
    <span class="weight">{batch.pieces === null ? grams(batch.grams) : `${batch.pieces} ×`}</span>
    {batch.about}
    <span class="small">used from {batch.needed.day} {batch.needed.clock}</span>
  </h3>
  {#if batch.trouble}<p class="font-bold">It does not fit: {batch.trouble}.</p>{/if}
  <table class="w-full">
    <thead class="sr-only"
      ><tr><th scope="col">Ingredient</th><th scope="col">Weigh</th><th scope="col">Buy</th></tr></thead
    >
    <tbody>
      {#each batch.lines as line, index (index)}
        <tr class="border-line border-t">
          <th scope="row" class="py-1 text-left font-normal"
            >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
          >
          <td class="weight text-right">{grams(line.grams)}</td>
          <td class="small w-32 pl-4"
            >{#if line.toBuyGrams !== null}buy {grams(line.toBuyGrams)}{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  {#if batch.reduced}<p class="small">{batch.reduced}</p>{/if}
  {#if batch.keptPercent < 100}<p class="small">{batch.keptPercent} % of it is left.</p>{/if}
  <ol class="mt-1">
    {#each batch.steps as step, index (index)}
      <li>
        <span class="clock">{step.start.clock}</span>
        <span class="heat" style:background={colourOf(step.celsius)}></span>
        <span
          >{step.name}{step.heat ? `, ${step.heat}` : ''}
          <span class="small">until {step.end.clock}{step.readyWhen ? `; ready when: ${step.readyWhen}` : ''}</span
          >{#if step.caution}<span class="small block"><b>Caution:</b> {step.caution}</span>{/if}</span
        >
      </li>
    {/each}
  </ol>
  <p class="small mt-1">
    For {batch.uses
      .map((use) => `${use.for} ${use.pieces === null ? grams(use.grams) : use.pieces} at ${use.at.clock}`)
      .join('; ')}. Keeps {batch.keeps}.
    {#if batch.surplusGrams > 0}{grams(batch.surplusGrams)} are left over: the smallest batch is more than is used.{/if}
    {batch.caution}
  </p>
  {#if batch.cooling}<p class="small mt-1"><b>Caution:</b> {batch.cooling}</p>{/if}
</section>

<style>
  li {
    display: grid;
    grid-template-columns: 3.2rem 14px 1fr;
    gap: 0.6rem;
    padding: 0.15rem 0;
  }

  .clock {
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }

  .heat {
    width: 14px;
    height: 14px;
    margin-top: 5px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }
</style>
