<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import { words } from '../../parts/words.svelte'
  import StepTimes from './StepTimes.svelte'

  interface Props {
    step: Schemas['StepDraft']
    number: number
    /** What hands count by: "pie", or "kg" of what is made before. */
    piece: string
    faults: string[]
    /** What can be done to the step: moved, taken out. */
    moves: Snippet
    /** What stands below its name: what it follows. */
    below?: Snippet
  }
  const { step, number, piece, faults, moves, below }: Props = $props()

  const isBake = $derived((step.stages?.length ?? 0) > 0)
  const stations = $derived(
    words.current.stations.filter((one) => one.value !== 'oven' && (piece === 'pie' || one.value !== 'box')),
  )
</script>

<!-- One step as it is written: what is done, where, how long, by which sign it is done. -->
<li id="step-{step.id}">
  <span class="heat" style:background={colourOf(step.celsius ?? step.stages?.[0]?.tempC ?? 20)}></span>
  <span class="what">
    <input class="field name" bind:value={step.name} aria-label="Step {number}" placeholder="what is done" />
    {#if isBake}<span class="small">in the oven</span>
    {:else}
      <select class="field" bind:value={step.station} aria-label="{step.name}: where"
        >{#each stations as station (station.value)}<option value={station.value}>{station.words}</option
          >{/each}</select
      >
      <label class="small"
        >at <input class="field n" type="number" bind:value={step.celsius} aria-label="{step.name}: temperature" /> °C</label
      >
    {/if}
    {@render below?.()}
  </span>
  <span class="when"><StepTimes {step} {piece} /></span>
  <span class="signs">
    <input class="field" bind:value={step.readyWhen} placeholder="ready when" aria-label="{step.name}: ready when" />
    {#if step.readyWhen || step.cure}
      <input
        class="field"
        bind:value={() => step.cure ?? '', (text) => (step.cure = text.trim() === '' ? null : text)}
        placeholder="if it is not: what then"
        aria-label="{step.name}: what is done if it is not"
      />
    {/if}
    <input class="field" bind:value={step.caution} placeholder="caution" aria-label="{step.name}: caution" />
  </span>
  <span class="moves small">{@render moves()}</span>
  {#each faults as fault (fault)}<p class="fault" role="alert">{fault}</p>{/each}
</li>

<style>
  li {
    display: grid;
    grid-template-columns: 14px minmax(13rem, 1fr) minmax(19rem, 1.3fr) minmax(11rem, 0.9fr) 5.2rem;
    gap: 0.2rem 0.8rem;
    align-items: start;
    border-top: 1px solid var(--color-line);
    padding: 0.45rem 0;
  }

  .heat {
    width: 14px;
    height: 14px;
    margin-top: 11px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  .what,
  .signs {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem 0.6rem;
  }

  .name,
  .signs .field {
    width: 100%;
  }

  .n {
    width: 4.6rem;
  }

  .moves {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
  }

  .fault {
    grid-column: 2 / -1;
    font-weight: 700;
  }

  @media (max-width: 900px) {
    /* Fingers need room between what is pressed. */
    .moves {
      gap: 0.35rem;
    }

    .moves :global(.link),
    .what :global(.link) {
      min-height: 2.4rem;
    }

    li {
      grid-template-columns: 14px 1fr 5.2rem;
    }

    .moves {
      grid-column: 3;
      grid-row: 1 / span 3;
    }

    .when,
    .signs {
      grid-column: 2;
    }
  }
</style>
