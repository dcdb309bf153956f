<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import { words } from '../../parts/words.svelte'

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
          <span class="times">
            {#if (step.perBatch ?? null) !== null || (step.perPie ?? null) !== null}
              <input
                class="field n"
                type="number"
                bind:value={step.perBatch}
                aria-label="{step.name}: minutes a batch"
              />
              <span class="small">min and</span>
              <input
                class="field n"
                type="number"
                step="any"
                bind:value={step.perPie}
                aria-label="{step.name}: minutes a pie"
              />
              <span class="small">a pie</span>
            {:else if (step.stages?.length ?? 0) > 0}
              {#each step.stages ?? [] as stage, number (number)}
                {#if stage}
                  <span class="stage">
                    <input
                      class="field n"
                      type="number"
                      bind:value={stage.tempC}
                      aria-label="{step.name}: stage {number + 1}, temperature"
                    />
                    <span class="small">°C</span>
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
                    >{#each words.current.places as place (place.value)}<option value={place.value}
                        >{place.words}</option
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
                <label
                  ><span class="small">weights out after, min</span>
                  <input
                    class="field n"
                    type="number"
                    bind:value={step.weightsOutMin}
                    aria-label="{step.name}: minutes after which weights come out"
                  /></label
                >
                <label class="check"
                  ><input type="checkbox" class="size-5" bind:checked={step.turned} />
                  <span class="small">turned half-way</span></label
                >
              </span>
              {#if (step.stages?.length ?? 0) < 4}
                <button
                  class="link small"
                  type="button"
                  onclick={() => step.stages?.push({ tempC: 180, least: 20, most: 30 })}>Another stage</button
                >
              {/if}
            {:else}
              <input
                class="field n"
                type="number"
                bind:value={step.waitLeast}
                aria-label="{step.name}: least minutes"
              />
              <span class="small">at least,</span>
              <input class="field n" type="number" bind:value={step.waitAim} aria-label="{step.name}: minutes wanted" />
              <span class="small">wanted,</span>
              <input class="field n" type="number" bind:value={step.waitMost} aria-label="{step.name}: most minutes" />
              <span class="small">min at most</span>
            {/if}
          </span>
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

  .times,
  .stage {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem;
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
