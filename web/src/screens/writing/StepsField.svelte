<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import StepTimes from './StepTimes.svelte'

  interface Props {
    steps: (Schemas['StepDraft'] | null)[]
    failure: Failure | undefined
  }
  const { steps, failure }: Props = $props()

  const faultsOf = (at: number) =>
    Object.entries(failure?.fields ?? {})
      .filter(([field]) => field.startsWith(`steps[${at}]`))
      .flatMap(([, messages]) => messages)
  const whole = $derived([...(failure?.fields.steps ?? []), ...(failure?.fields.links ?? [])])
  const heat = (step: Schemas['StepDraft']) => colourOf(step.celsius ?? step.stages?.[0]?.tempC ?? 20)
</script>

<section class="mt-5" aria-label="Steps">
  <h2>Steps, after the dough has rested</h2>
  <p class="small">
    Hands: minutes for a batch, and for each pie. Waits: at least, wanted, at most. Bakes: each stage with its range;
    the test decides when it is done.
  </p>
  {#each whole as fault (fault)}<p class="font-bold" role="alert">{fault}</p>{/each}
  <ol class="mt-1">
    {#each steps as step, at (step?.id ?? at)}
      {#if step}
        <li>
          <span class="heat" style:background={heat(step)}></span>
          <input class="field name" bind:value={step.name} aria-label="Step {at + 1}" />
          <span class="times"><StepTimes {step} piece="pie" /></span>
          <input
            class="field ready"
            bind:value={step.readyWhen}
            placeholder="ready when"
            aria-label="{step.name}: ready when"
          />
          {#each faultsOf(at) as fault (fault)}<p class="fault" role="alert">{fault}</p>{/each}
          {#if step.caution}<p class="small caution"><b>Caution:</b> {step.caution}</p>{/if}
        </li>
      {/if}
    {/each}
  </ol>
</section>

<style>
  li {
    display: grid;
    grid-template-columns: 14px minmax(12rem, 1.1fr) minmax(20rem, 1.5fr) minmax(12rem, 1.2fr);
    gap: 0.2rem 0.8rem;
    align-items: start;
    border-top: 1px solid var(--color-line);
    padding: 0.4rem 0;
  }

  .heat {
    width: 14px;
    height: 14px;
    margin-top: 11px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  .fault,
  .caution {
    grid-column: 2 / -1;
  }

  .fault {
    font-weight: 700;
  }

  @media (max-width: 900px) {
    li {
      grid-template-columns: 14px 1fr;
    }

    .times,
    .ready {
      grid-column: 2;
    }
  }
</style>
