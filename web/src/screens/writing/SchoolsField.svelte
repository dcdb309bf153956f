<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import FailureNote from '../../parts/FailureNote.svelte'

  type Draft = Schemas['ProductDraft']
  type School = Schemas['SchoolAnswer']
  type Effect = Schemas['SchoolEffectAnswer']

  interface Props {
    id: string | null
    /** The recipe as it is written. */
    written: Draft
    /** Takes what came of an exchange. */
    ontake: (taken: Schemas['SchoolTaken']) => void
  }
  const { id, written, ontake }: Props = $props()

  let isOpen = $state(false)
  let offered = $state.raw<Schemas['SchoolsAnswer']>()
  let failure = $state.raw<Failure>()
  /** What stood at a place before a school was taken there, to be put back. */
  let before = $state.raw<Record<string, { name: string; set: Schemas['StepSet'] }>>({})

  // Asked while it is open, as the recipe is written.
  $effect(() => {
    if (!isOpen) return
    const body = { id, draft: $state.snapshot(written) as Draft }
    let isMine = true
    const soon = setTimeout(() => {
      void ask(api.POST('/api/writing/schools', { body })).then((outcome) => {
        if (!isMine) return
        offered = outcome.data ?? offered
        failure = outcome.failure
      })
    }, 200)
    return () => {
      isMine = false
      clearTimeout(soon)
    }
  })

  const places = $derived([...new Map((offered?.schools ?? []).map((one) => [one.place, one.title])).entries()])

  async function take(place: string, school: School | undefined) {
    const body = {
      draft: $state.snapshot(written) as Draft,
      place,
      school: school?.id ?? null,
      set: school ? null : (before[place]?.set ?? null),
    }
    const outcome = await ask(api.POST('/api/writing/schools/take', { body }))
    failure = outcome.failure
    if (!outcome.data) return
    const was = offered?.schools.find((one) => one.place === place && one.isNow)?.name ?? 'your own steps'
    if (school) {
      // The first of several exchanges is what is put back.
      if (!before[place]) before = { ...before, [place]: { name: was, set: outcome.data.before } }
    } else before = Object.fromEntries(Object.entries(before).filter(([other]) => other !== place))
    ontake(outcome.data)
  }

  const signed = (minutes: number, of: string) =>
    minutes === 0 ? '' : `${minutes > 0 ? '+' : '−'}${duration(Math.abs(minutes))} ${of}`
  /** What a school changes, in words; nothing that stays the same. */
  function change(now: Effect, then: Effect) {
    const said = [
      signed(then.workMin - now.workMin, 'of work'),
      signed(then.ovenMin - now.ovenMin, 'of oven'),
      signed(then.coldTrayMin - now.coldTrayMin, 'of a tray in the cold'),
      signed(then.wayMin - now.wayMin, 'until the box'),
    ].filter((one) => one !== '')
    const cost = then.cost !== null && now.cost !== null ? then.cost - now.cost : 0
    if (Math.abs(cost) >= 0.005)
      said.push(`${cost > 0 ? '+' : '−'}${Math.abs(cost).toFixed(2)} ${offered?.currency} a pie`)
    return said.length === 0 ? 'takes the same' : said.join(', ')
  }
</script>

<!-- Other schools for what the steps do, and what each would take, before it is taken. -->
<details class="mt-5" bind:open={isOpen}>
  <summary><h2 class="inline">Other ways to make it, and what each would take</h2></summary>
  {#if offered?.now}
    {@const now = offered.now}
    <p>
      For {offered.pies} pies together it takes now
      <strong>{duration(now.workMin)} of work, {duration(now.ovenMin)} of oven</strong>, a tray in the cold for
      {duration(now.coldTrayMin)}, and {duration(now.wayMin)} from the first work to the box{now.cost === null
        ? ''
        : `; ${now.cost.toFixed(2)} ${offered.currency} a pie`}. Schools of different places can be combined.
    </p>
    {#each places as [place, title] (place)}
      <section aria-label={title} class="border-line mt-2 border-t pt-2">
        <h3 class="font-bold">{title}</h3>
        <ul>
          {#each offered.schools.filter((one) => one.place === place) as school (school.id)}
            <li>
              <span class="name">{school.name}</span>
              <span class="small grow"
                >{school.why}{#if !school.isNow && school.effect}: <b>{change(now, school.effect)}</b
                  >{/if}{#if school.faults.length > 0}
                  <b class="block">{school.faults.join(' ')}</b>{/if}</span
              >
              {#if school.isNow}<span class="small">as it is now</span>
              {:else}<button
                  class="press"
                  type="button"
                  aria-label="Take: {school.name}"
                  onclick={() => void take(place, school)}>Take it</button
                >{/if}
            </li>
          {/each}
        </ul>
        {#if before[place]}
          <button class="link" type="button" onclick={() => void take(place, undefined)}
            >Put back {before[place].name.toLowerCase()}</button
          >
        {/if}
      </section>
    {/each}
  {:else if offered}
    <p class="small">What each would take is said as soon as the recipe holds together: {offered.faults[0]}</p>
  {/if}
  <FailureNote {failure} />
</details>

<style>
  summary {
    cursor: pointer;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 0.8rem;
    align-items: center;
    min-height: 2.9rem;
  }

  .name {
    width: 17rem;
    font-weight: 700;
  }

  .grow {
    flex: 1 1 18rem;
  }
</style>
