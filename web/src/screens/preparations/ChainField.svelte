<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import StepRow from '../writing/StepRow.svelte'

  interface Props {
    /** Its steps, one after the other. */
    steps: (Schemas['StepDraft'] | null)[]
    /** By what the hands' minutes count beside the batch. */
    by?: 'kg' | 'piece'
    failure: Failure | undefined
  }
  const { steps, by = 'kg', failure }: Props = $props()
  type Step = Schemas['StepDraft']

  const faultsOf = (at: number) =>
    Object.entries(failure?.fields ?? {})
      .filter(([field]) => field.startsWith(`making.steps[${at}]`))
      .flatMap(([, messages]) => messages)

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

<ol class="mt-2">
  {#each steps as step, at (step?.id ?? at)}
    {#if step}
      <StepRow {step} number={at + 1} piece={by} faults={faultsOf(at)}>
        {#snippet moves()}
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
        {/snippet}
      </StepRow>
    {/if}
  {/each}
</ol>
{#each failure?.fields['making.steps'] ?? [] as fault (fault)}<p class="font-bold" role="alert">{fault}</p>{/each}
<p class="mt-2 flex flex-wrap gap-2">
  {#each kinds as kind (kind.words)}
    <button class="press" type="button" onclick={() => steps.push(kind.step())}>{kind.words}</button>
  {/each}
</p>
