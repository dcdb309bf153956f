<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { today } from '../../parts/day.svelte'
  import { DayAnswer } from '../../parts/dayAnswer.svelte'
  import DayWord from '../../parts/DayWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import LateNote from '../../parts/LateNote.svelte'
  import Cabinet from './Cabinet.svelte'
  import LevelCurve from './LevelCurve.svelte'
  import { levelAt, stillThere } from './level'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  const asked = new DayAnswer<Schemas['ColdAnswer']>(
    (day, query) => (signal) => api.GET('/api/cold/{day}', { params: { path: { day }, query }, signal }),
  )
  const answer = $derived(asked.current)
  asked.followDay(() => params?.day)

  /** The minute that somebody has moved to; a plan made anew keeps it. */
  let wanted = $state<number>()
  const moments = $derived(answer?.moments ?? [])
  const at = $derived.by(() => {
    if (wanted === undefined) return answer?.opensAt ?? 0
    const later = moments.findIndex((moment) => moment.min > (wanted ?? 0))
    return Math.max(0, (later < 0 ? moments.length : later) - 1)
  })
  const moment = $derived(moments[at])

  /** Trays and tubs of one place stand together. */
  const cabinets = $derived(
    ['fridge', 'freezer', 'racks'].flatMap((name) => {
      const places = (answer?.places ?? []).filter((place) => place.level.place.startsWith(name))
      return places.length > 0 ? [{ name, places }] : []
    }),
  )
  const inWords = (place: Schemas['ColdPlaceAnswer']) =>
    `${levelAt(place.level, moment?.min ?? 0)}${place.level.room === null ? '' : ` of ${place.level.room}`} ${place.level.unit}`
  const fullest = $derived(
    (answer?.places ?? []).find((place) => place.level.place === 'fridgeTrays') ?? answer?.places[0],
  )

  const go = (index: number) => (wanted = moments[Math.min(moments.length - 1, Math.max(0, index))]?.min)
  /** The next moment at which something comes or goes, or the one before. */
  function change(forward: boolean) {
    const here = moment?.min ?? 0
    const changes = (answer?.places ?? []).flatMap((place) => place.level.levels.map((level) => level.at.min))
    const next = forward
      ? Math.min(...changes.filter((min) => min > here))
      : Math.max(...changes.filter((min) => min <= (moments[at - 1]?.min ?? -Infinity)))
    if (!Number.isFinite(next)) return
    const index = moments.findIndex((one) => one.min >= next)
    go(index < 0 ? moments.length - 1 : index)
  }
</script>

<svelte:head><title>Cold · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <LateNote />
  {#if moment}
    <h1 class="sentence">
      At {moment.day}
      {moment.clock}, for <DayWord day={today.day} name={answer.dayName} />, {cabinets
        .map(
          (cabinet, index) =>
            `the ${cabinet.name} ${index > 0 ? '' : cabinet.name === 'racks' ? 'hold ' : 'holds '}${cabinet.places.map(inWords).join(' and ')}`,
        )
        .join(', ')}.
    </h1>
    <p class="small">{answer.fullest}</p>
    <div class="move screen-only">
      {#if fullest}<LevelCurve level={fullest.level} {moments} min={moment.min} />{/if}
      <input
        type="range"
        min="0"
        max={moments.length - 1}
        value={at}
        aria-label="The minute that is looked at"
        aria-valuetext="{moment.day} {moment.clock}"
        oninput={(event) => go(Number(event.currentTarget.value))}
      />
      <div class="flex flex-wrap gap-2">
        <button class="press" onclick={() => change(false)}>Before that</button>
        <button class="press" onclick={() => change(true)}>After that</button>
        {#if fullest}
          <button
            class="press"
            onclick={() => go(moments.findLastIndex((one) => one.min <= (fullest?.level.mostAt.min ?? 0)))}
            >When the {fullest.level.name.toLowerCase()} is fullest</button
          >
        {/if}
      </div>
    </div>
    <div class="cabinets">
      {#each cabinets as cabinet (cabinet.name)}
        <Cabinet places={cabinet.places} min={moment.min} last={moments[moments.length - 1]?.min ?? 0} />
      {/each}
    </div>
    {#if cabinets.every((cabinet) => cabinet.places.every((place) => stillThere(place, moment.min).length === 0))}
      <p class="mt-4">Nothing stands in the cold or on the racks at that minute.</p>
    {/if}
  {:else}
    <h1 class="sentence">
      Nothing stands in the cold for <DayWord day={today.day} name={answer.dayName} />.
    </h1>
    <p class="mt-4">
      Once there are orders, this shows what is in the fridge, in the freezer and on the racks at any minute.
      <a class="link" href="#/orders/{today.day}">Type the first order</a>
    </p>
  {/if}
{:else if !asked.failure}
  <p class="sentence" role="status">Planning the day…</p>
{/if}

<style>
  .move {
    margin-top: 0.75rem;
  }

  input {
    width: 100%;
    min-height: 44px;
    accent-color: var(--color-damson);
  }

  .cabinets {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(20rem, 1fr));
    gap: 1.5rem 2rem;
    margin-top: 1rem;
  }
</style>
