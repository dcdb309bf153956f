<script lang="ts">
  import type { Schemas } from '../../api/client'
  import StepNotes from '../../parts/StepNotes.svelte'
  import { colourOf } from '../../parts/heat'

  interface Props {
    steps: Schemas['StepAnswer'][]
  }
  const { steps }: Props = $props()
</script>

<section class="border-line mt-8 border-t pt-4" aria-label="Steps">
  <h2>Steps, after the dough has rested</h2>
  <ol class="mt-1">
    {#each steps as step (step.name)}
      <li class="border-line grid grid-cols-[14px_1fr] gap-x-3 border-t py-1.5">
        <span class="heat" style:background={colourOf(step.celsius)} title="{step.celsius} °C"></span>
        <span>
          <strong>{step.name}</strong> <span class="small">{step.station}, {step.time}</span>
          <StepNotes readyWhen={step.readyWhen} caution={step.caution} />
        </span>
      </li>
    {/each}
  </ol>
</section>

<style>
  .heat {
    width: 14px;
    height: 14px;
    margin-top: 5px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }
</style>
