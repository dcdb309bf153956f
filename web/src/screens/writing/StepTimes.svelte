<script lang="ts">
  import type { Schemas } from '../../api/client'
  import SaidLength from '../../parts/SaidLength.svelte'
  import { words } from '../../parts/words.svelte'
  import HeatField from './HeatField.svelte'

  interface Props {
    step: Schemas['StepDraft']
    /** What hands count by: "pie", or "kg" of what is made before. */
    piece: string
  }
  const { step, piece }: Props = $props()
</script>

<!-- The minutes of one step: of hands, of a bake with its stages, or of a wait. -->
<span class="times">
  {#if (step.perBatch ?? null) !== null || (step.perPie ?? null) !== null}
    <input class="field n" type="number" bind:value={step.perBatch} aria-label="{step.name}: minutes a batch" />
    <span class="small">min and</span>
    <input
      class="field n"
      type="number"
      step="any"
      bind:value={step.perPie}
      aria-label="{step.name}: minutes a {piece}"
    />
    <span class="small">a {piece}</span>
  {:else if (step.stages?.length ?? 0) > 0}
    {#each step.stages ?? [] as stage, number (number)}
      {#if stage}
        <span class="stage">
          <HeatField {stage} label="{step.name}: stage {number + 1}, temperature" />
          <input
            class="field n"
            type="number"
            bind:value={stage.least}
            aria-label="{step.name}: stage {number + 1}, least minutes"
          />
          <span class="small">to</span>
          <input
            class="field n"
            type="number"
            bind:value={stage.most}
            aria-label="{step.name}: stage {number + 1}, most minutes"
          />
          <span class="small">min</span>
          {#if (step.stages?.length ?? 0) > 1}
            <button
              class="link small"
              type="button"
              aria-label="Take out stage {number + 1}"
              onclick={() => step.stages?.splice(number, 1)}>Take out</button
            >
          {/if}
        </span>
      {/if}
    {/each}
    <span class="meanwhile">
      <label
        ><span class="small">stands</span>
        <select
          class="field"
          bind:value={() => step.place ?? 'shelf', (value) => (step.place = value)}
          aria-label="{step.name}: where it stands"
          >{#each words.current.places as place (place.value)}<option value={place.value}>{place.words}</option
            >{/each}</select
        ></label
      >
      <label
        ><span class="small">tray heated, min</span>
        <input
          class="field n"
          type="number"
          bind:value={step.heatedTrayMin}
          aria-label="{step.name}: minutes for which the tray is heated before"
        /></label
      >
      {#if piece === 'pie'}
        <label
          ><span class="small">weights out after, min</span>
          <input
            class="field n"
            type="number"
            bind:value={step.weightsOutMin}
            aria-label="{step.name}: minutes after which weights come out"
          /></label
        >
      {/if}
      <label class="check"
        ><input type="checkbox" class="size-5" bind:checked={step.turned} />
        <span class="small">turned half-way</span></label
      >
    </span>
    <label class="handwork"
      ><span class="small">meanwhile, one thing a line: 20 min: shield the rim; or its sign</span>
      <textarea
        class="field"
        rows={Math.max(1, (step.handwork ?? '').split('\n').length)}
        bind:value={() => step.handwork ?? '', (text) => (step.handwork = text.trim() === '' ? null : text)}
        aria-label="{step.name}: what is done meanwhile"></textarea></label
    >
    {#if (step.stages?.length ?? 0) < 4}
      <button class="link small" type="button" onclick={() => step.stages?.push({ tempC: 180, least: 20, most: 30 })}
        >Another stage</button
      >
    {/if}
  {:else}
    <SaidLength label="{step.name}: at least" field="" failure={undefined} bind:value={step.waitLeast} size={7} />
    <span class="small">at least,</span>
    <SaidLength label="{step.name}: wanted" field="" failure={undefined} bind:value={step.waitAim} size={7} />
    <span class="small">wanted,</span>
    <SaidLength label="{step.name}: at most" field="" failure={undefined} bind:value={step.waitMost} size={7} />
    <span class="small">at most</span>
  {/if}
</span>

<style>
  .times,
  .stage {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem;
  }

  .handwork {
    display: flex;
    flex-direction: column;
    width: 100%;
    max-width: 30rem;
  }

  .n {
    width: 4.6rem;
  }

  .meanwhile {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.8rem;
  }

  .meanwhile label {
    display: flex;
    align-items: center;
    gap: 0.3rem;
  }
</style>
