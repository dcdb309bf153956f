<script lang="ts">
  import type { Schemas } from '../../api/client'
  import Mark from '../../parts/Mark.svelte'
  import StepNotes from '../../parts/StepNotes.svelte'
  import { colourOf } from '../../parts/heat'

  interface Props {
    steps: Schemas['OvenStepAnswer'][]
  }
  const { steps }: Props = $props()
</script>

<section class="mt-6" aria-label="Oven steps by the clock">
  <div class="flex items-baseline gap-4">
    <h2>Oven steps</h2>
    <button class="link ml-auto" onclick={() => window.print()}>Print the oven sheet</button>
  </div>
  <ol>
    {#each steps as step, index (index)}
      <li class:setting={step.dialC !== null || step.act === 'off'}>
        <span class="clock">{step.at.clock}</span>
        <span class="oven">{step.oven}</span>
        <span class="heat" style:background={step.tempC === null ? 'transparent' : colourOf(step.tempC)}></span>
        <span>
          {#each step.products as product (product)}<Mark {product} />{/each}
          <strong>{step.words}</strong>
          {#if step.places}<span class="small">{step.places}</span>{/if}
          <StepNotes readyWhen={step.readyWhen} caution={step.caution} />
        </span>
        <span class="print-only done">done at ________</span>
      </li>
    {/each}
  </ol>
</section>

<style>
  li {
    display: grid;
    grid-template-columns: 3.4rem 6rem 14px 1fr auto;
    gap: 0 0.8rem;
    align-items: baseline;
    border-top: 1px solid var(--color-line);
    padding: 0.3rem 0;
  }

  .clock {
    font-size: 1.15rem;
    font-weight: 700;
  }

  .heat {
    width: 14px;
    height: 14px;
    align-self: start;
    margin-top: 4px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  @media print {
    .heat {
      visibility: hidden;
    }

    .done {
      white-space: nowrap;
    }
  }
</style>
