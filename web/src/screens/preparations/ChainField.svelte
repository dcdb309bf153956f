<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import { words } from '../../parts/words.svelte'
  import StepTimes from '../writing/StepTimes.svelte'

  interface Props {
    /** Its steps, one after the other. */
    steps: (Schemas['StepDraft'] | null)[]
    failure: Failure | undefined
  }
  const { steps, failure }: Props = $props()
  type Step = Schemas['StepDraft']

  const faultsOf = (at: number) =>
    Object.entries(failure?.fields ?? {})
      .filter(([field]) => field.startsWith(`making.steps[${at}]`))
      .flatMap(([, messages]) => messages)
  const heat = (step: Step) => colourOf(step.celsius ?? step.stages?.[0]?.tempC ?? 20)
  const isBake = (step: Step) => (step.stages?.length ?? 0) > 0
  const stations = $derived(words.current.stations.filter((one) => one.value !== 'box' && one.value !== 'oven'))

  /** An id that no other step has. */
  function fresh(word: string): string {
    const taken = new Set(steps.map((step) => step?.id))
    let number = 1
    while (taken.has(number === 1 ? word : `${word}-${number}`)) number++
    return number === 1 ? word : `${word}-${number}`
  }
  const empty = { stages: [], usesDough: false, turned: false, seals: false, readyWhen: '', caution: '' }
  const kinds: { words: string; step: () => Step }[] = [
    {
      words: 'Add work',
      step: () => ({ ...empty, id: fresh('work'), name: '', station: 'bench', perBatch: 10, perPie: 2, celsius: 20 }),
    },
    {
      words: 'Add a wait',
      step: () => ({
        ...empty,
        id: fresh('wait'),
        name: 'Cool',
        station: 'cold',
        waitLeast: 60,
        waitAim: 90,
        waitMost: 600,
        celsius: 4,
      }),
    },
    {
      words: 'Add a bake',
      step: () => ({
        ...empty,
        id: fresh('bake'),
        name: 'Bake',
        station: 'oven',
        stages: [{ tempC: 180, least: 20, most: 30 }],
      }),
    },
  ]

  function move(at: number, by: number) {
    const [step] = steps.splice(at, 1)
    if (step) steps.splice(at + by, 0, step)
  }
</script>

<ol>
  {#each steps as step, at (step?.id ?? at)}
    {#if step}
      <li>
        <span class="heat" style:background={heat(step)}></span>
        <span class="what">
          <input class="field name" bind:value={step.name} aria-label="Step {at + 1}" placeholder="what is done" />
          {#if isBake(step)}<span class="small">in the oven</span>
          {:else}
            <select class="field" bind:value={step.station} aria-label="{step.name}: where"
              >{#each stations as station (station.value)}<option value={station.value}>{station.words}</option
                >{/each}</select
            >
            <label class="small"
              >at <input
                class="field n"
                type="number"
                bind:value={step.celsius}
                aria-label="{step.name}: temperature"
              /> °C</label
            >
          {/if}
        </span>
        <StepTimes {step} piece="kg" />
        <span class="signs">
          <input
            class="field"
            bind:value={step.readyWhen}
            placeholder="ready when"
            aria-label="{step.name}: ready when"
          />
          <input class="field" bind:value={step.caution} placeholder="caution" aria-label="{step.name}: caution" />
        </span>
        <span class="moves small">
          {#if at > 0}<button class="link" type="button" onclick={() => move(at, -1)} aria-label="{step.name}: earlier"
              >Earlier</button
            >{/if}
          {#if at < steps.length - 1}<button
              class="link"
              type="button"
              onclick={() => move(at, 1)}
              aria-label="{step.name}: later">Later</button
            >{/if}
          <button class="link" type="button" onclick={() => steps.splice(at, 1)} aria-label="{step.name}: take out"
            >Take out</button
          >
        </span>
        {#each faultsOf(at) as fault (fault)}<p class="fault" role="alert">{fault}</p>{/each}
      </li>
    {/if}
  {/each}
</ol>
{#each failure?.fields['making.steps'] ?? [] as fault (fault)}<p class="font-bold" role="alert">{fault}</p>{/each}
<p class="mt-2 flex flex-wrap gap-2">
  {#each kinds as kind (kind.words)}
    <button class="press" type="button" onclick={() => steps.push(kind.step())}>{kind.words}</button>
  {/each}
</p>

<style>
  li {
    display: grid;
    grid-template-columns: 14px minmax(13rem, 1fr) minmax(19rem, 1.3fr) minmax(12rem, 1fr) 5rem;
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
    li {
      grid-template-columns: 14px 1fr 5rem;
    }

    .moves {
      grid-column: 3;
      grid-row: 1 / span 3;
    }

    li > :global(.times),
    .signs {
      grid-column: 2;
    }
  }
</style>
