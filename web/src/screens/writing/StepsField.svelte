<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import StepRow from './StepRow.svelte'

  type Step = Schemas['StepDraft']
  type Link = Schemas['LinkDraft']
  /** What can be done to a step, as the server knows it. */
  export type Act =
    | 'addWork'
    | 'addWait'
    | 'addBake'
    | 'takeOut'
    | 'earlier'
    | 'later'
    | 'follow'
    | 'unfollow'
    | 'followAfter'
    | 'followDuring'
    | 'followNextDay'
    | 'followAtPickUp'

  interface Props {
    steps: (Step | null)[]
    links: (Link | null)[]
    failure: Failure | undefined
    /** What does not hold together as it is written now, by field. */
    faults: Record<string, string[]>
    /** Which step takes what is made first, as it is written now. */
    takes: Schemas['TakesAnswer'][]
    onedit: (act: Act, step: string, other?: string) => void
  }
  const { steps, links, failure, faults, takes, onedit }: Props = $props()

  const fields = $derived({ ...faults, ...failure?.fields })
  const faultsOf = (at: number) =>
    Object.entries(fields)
      .filter(([field]) => field.startsWith(`steps[${at}]`))
      .flatMap(([, messages]) => messages)
  const whole = $derived([...new Set([...(fields.steps ?? []), ...(fields.links ?? [])])])
  const written = $derived(steps.filter((step) => step !== null))
  const nameOf = (id: string | null | undefined) => written.find((step) => step.id === id)?.name ?? ''
  const isWait = (step: Step | undefined) => (step?.waitMost ?? null) !== null
  const into = (step: Step) => links.filter((link) => link !== null).filter((link) => link.to === step.id)
  /** Steps written before it that it does not follow yet. */
  const others = (step: Step) =>
    written
      .slice(0, written.indexOf(step))
      .filter((other) => !into(step).some((link) => link.from === other.id))
      .map((other) => ({ id: other.id ?? '', name: other.name ?? '' }))
  const holdsMinutes = (link: Link) =>
    !isWait(written.find((step) => step.id === link.from)) && !isWait(written.find((step) => step.id === link.to))
  const isBake = (id: string | null | undefined) => (written.find((step) => step.id === id)?.stages?.length ?? 0) > 0
  /** How a step may follow another, as it is said and as it is done. */
  const ways: { kind: string; words: string; act: Act }[] = [
    { kind: 'after', words: 'after', act: 'followAfter' },
    { kind: 'during', words: 'while it bakes:', act: 'followDuring' },
    { kind: 'dayBefore', words: 'the day after', act: 'followNextDay' },
    { kind: 'atPickUp', words: 'at pick-up, after', act: 'followAtPickUp' },
  ]
  const waysOf = (link: Link, step: Step) =>
    ways.filter((way) => way.kind !== 'during' || (isBake(link.from) && !isWait(step) && !isBake(step.id)))
  /** Lets a step take something made first; no other step then says that it does. */
  function take(step: Step, name: string) {
    for (const other of written) {
      const named = (other.takes ?? '').split(';').map((one) => one.trim())
      const kept = named.filter((one) => one !== '' && one.toLowerCase() !== name.toLowerCase())
      const wanted = other === step ? [...kept, name] : kept
      other.takes = wanted.length > 0 ? wanted.join('; ') : null
    }
  }
  const made = $derived([...new Set(takes.map((one) => one.name))])
  const takenBy = (step: Step) => takes.filter((one) => one.step === step.id).map((one) => one.name)
  const adds: [Act, string][] = [
    ['addWork', 'Work'],
    ['addWait', 'A wait'],
    ['addBake', 'A bake'],
  ]
</script>

<section class="mt-5" aria-label="Steps">
  <h2>Steps, after the dough has rested</h2>
  <p class="small">
    Hands: minutes for a batch, and for each pie. Waits: at least, wanted, at most; two in a row are one wait in two
    places. Bakes: each stage with its range; the test decides when it is done.
  </p>
  {#each whole as fault (fault)}<p class="font-bold" role="alert">{fault}</p>{/each}
  <ol class="mt-1">
    {#each steps as step, at (step?.id ?? at)}
      {#if step}
        {@const id = step.id ?? ''}
        <StepRow {step} number={at + 1} piece="pie" faults={faultsOf(at)}>
          {#snippet below()}
            <span class="follows small">
              {#if into(step).length === 0}begins by itself{#if step.usesDough}, takes the dough{/if}{/if}
              {#each into(step) as link (link.from)}
                <span class="follow"
                  ><select
                    class="field how"
                    aria-label="{step.name}: how it follows {nameOf(link.from)}"
                    value={link.kind ?? 'after'}
                    onchange={(event) => {
                      const way = ways.find((one) => one.kind === event.currentTarget.value)
                      if (way) onedit(way.act, id, link.from ?? '')
                    }}
                    >{#each waysOf(link, step) as way (way.kind)}<option value={way.kind}>{way.words}</option
                      >{/each}</select
                  >
                  {nameOf(link.from).toLowerCase()}{#if link.kind === 'during'}, from minute <input
                      class="field n"
                      type="number"
                      bind:value={link.least}
                      aria-label="{step.name}: minutes into {nameOf(link.from)}"
                    />{:else if holdsMinutes(link)}, within <input
                      class="field n"
                      type="number"
                      bind:value={link.most}
                      aria-label="{step.name}: within how many minutes after {nameOf(link.from)}"
                    /> min{/if}{#if into(step).length > 1}
                    <button
                      class="link"
                      type="button"
                      aria-label="{step.name}: no longer after {nameOf(link.from)}"
                      onclick={() => onedit('unfollow', id, link.from ?? '')}>no longer</button
                    >{/if}</span
                >
              {/each}
              {#each takenBy(step) as name (name)}<span>takes <b>{name.toLowerCase()}</b></span>{/each}
              {#if !isWait(step) && made.some((name) => !takenBy(step).includes(name))}
                <details>
                  <summary class="link" aria-label="{step.name}: takes also">takes also</summary>
                  {#each made.filter((name) => !takenBy(step).includes(name)) as name (name)}<button
                      class="link block"
                      type="button"
                      aria-label="{step.name}: takes {name}"
                      onclick={() => take(step, name)}>{name.toLowerCase()}</button
                    >{/each}
                </details>
              {/if}
              {#if others(step).length > 0}
                <details>
                  <summary class="link" aria-label="{step.name}: follows also">follows also</summary>
                  {#each others(step) as other (other.id)}<button
                      class="link block"
                      type="button"
                      aria-label="{step.name}: also after {other.name}"
                      onclick={() => onedit('follow', id, other.id)}>{other.name.toLowerCase()}</button
                    >{/each}
                </details>
              {/if}
            </span>
          {/snippet}
          {#snippet moves()}
            {#if at > 0}<button
                class="link"
                type="button"
                onclick={() => onedit('earlier', id)}
                aria-label="{step.name}: earlier">Earlier</button
              >{/if}
            {#if at < steps.length - 1}<button
                class="link"
                type="button"
                onclick={() => onedit('later', id)}
                aria-label="{step.name}: later">Later</button
              >{/if}
            <button class="link" type="button" onclick={() => onedit('takeOut', id)} aria-label="{step.name}: take out"
              >Take out</button
            >
            <details>
              <summary class="link" aria-label="{step.name}: add after it">Add after</summary>
              {#each adds as [act, word] (act)}<button
                  class="link block"
                  type="button"
                  onclick={(event) => {
                    event.currentTarget.closest('details')?.removeAttribute('open')
                    onedit(act, id)
                  }}
                  aria-label="{word} after {step.name}">{word}</button
                >{/each}
            </details>
          {/snippet}
        </StepRow>
      {/if}
    {/each}
  </ol>
</section>

<style>
  .follows {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem 0.6rem;
    width: 100%;
  }

  .follow {
    display: inline-flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.3rem;
  }

  .n {
    width: 4.2rem;
  }

  .how {
    padding-block: 0;
    min-height: 2rem;
  }

  summary {
    display: inline-block;
    list-style: none;
  }

  summary::-webkit-details-marker {
    display: none;
  }
</style>
