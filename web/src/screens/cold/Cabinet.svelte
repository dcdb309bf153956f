<script lang="ts">
  import type { Schemas } from '../../api/client'
  import Mark from '../../parts/Mark.svelte'
  import { levelAt, stillThere } from './level'

  interface Props {
    /** Its trays, its tubs, or both. */
    places: Schemas['ColdPlaceAnswer'][]
    min: number
    /** The last minute that is looked at: what is there beyond it stays. */
    last: number
  }
  const { places, min, last }: Props = $props()
  type Thing = Schemas['ColdThingAnswer']

  const trays = $derived(places.find((place) => place.level.unit === 'trays'))
  const tubs = $derived(places.find((place) => place.level.unit !== 'trays'))
  const onTrays = $derived(trays ? stillThere(trays, min) : [])
  const inTubs = $derived(tubs ? stillThere(tubs, min) : [])
  /** As many trays as there is room for; where nobody has counted it, as many as ever stand there. */
  const slots = $derived.by(() => {
    const count = Math.max(trays?.level.room ?? 0, trays?.level.most ?? 0)
    const filled: (Thing | undefined)[] = Array.from({ length: count }, () => undefined)
    for (const thing of onTrays) for (const tray of thing.trays) filled[tray] = thing
    return filled
  })
  const isFull = $derived(
    trays !== undefined && trays.level.room !== null && levelAt(trays.level, min) >= trays.level.room,
  )
  const weightOfRoom = $derived(Math.max(tubs?.level.room ?? 0, tubs?.level.most ?? 0))
  const when = (one: Schemas['Moment']) => `${one.day} ${one.clock}`
  const piecesOf = (thing: Thing) =>
    thing.pieces === 0 ? '' : thing.product || thing.trays.length > 0 ? `${thing.pieces} ` : `${thing.pieces} × `
</script>

<section aria-label={places[0]?.level.name}>
  <h2>{places[0]?.level.name}</h2>
  {#if trays}
    <p class="small">
      {levelAt(trays.level, min)}{trays.level.room === null ? '' : ` of ${trays.level.room}`} trays{trays.level.room ===
      null
        ? '; nobody has counted its places'
        : ''}{#if isFull}, <strong>full</strong>{/if}
    </p>
    <!-- One box is one tray, wherever it is drawn. -->
    <div class="shelves" aria-hidden="true">
      {#each slots as thing, index (index)}
        <div class="tray" class:full={thing} class:other={thing && !thing.isOwn}>
          {#if thing}
            {#if thing.product}<Mark product={thing.product} size={16} />{/if}
            <span>{thing.name}</span>
          {/if}
        </div>
      {/each}
    </div>
  {/if}
  {#if tubs}
    <p class="small mt-2">
      Doughs and tubs: {levelAt(tubs.level, min)}{tubs.level.room === null ? '' : ` of ${tubs.level.room}`} kg
    </p>
    <div class="weights" aria-hidden="true">
      {#each inTubs as thing, index (index)}
        <div class="tub" style="width:{(100 * thing.amount) / weightOfRoom}%">
          {#if thing.amount > weightOfRoom / 8}<span>{thing.name}</span>{/if}
        </div>
      {/each}
    </div>
  {/if}
  {#if onTrays.length + inTubs.length > 0}
    <ul>
      {#each [...onTrays, ...inTubs] as thing, index (index)}
        <li>
          <strong
            >{piecesOf(thing)}{thing.name}{thing.trays.length > 0
              ? `, ${thing.trays.length} ${thing.trays.length === 1 ? 'tray' : 'trays'}`
              : `, ${thing.amount} kg`}</strong
          >
          <span class="small"
            >{thing.doing}; {thing.to.min > last ? 'stays' : `until ${when(thing.to)}`}{thing.keepsUntil
              ? `, keeps until ${when(thing.keepsUntil)}`
              : ''}{thing.isOwn ? '' : '; of a day before'}</span
          >
        </li>
      {/each}
    </ul>
  {:else}<p class="small mt-2">Empty.</p>{/if}
</section>

<style>
  .shelves {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 4px 3px;
    padding: 4px;
    border: 2px solid var(--color-soft);
  }

  .tray {
    height: 34px;
    border-bottom: 3px solid var(--color-line);
    font-size: 13px;
    line-height: 1.15;
    display: flex;
    align-items: center;
    gap: 3px;
    padding: 0 3px;
    overflow: hidden;
  }

  .tray.full {
    background: var(--color-dough);
    border-bottom-color: var(--color-soft);
  }

  .tray.other,
  .tub {
    border-style: solid;
  }

  .tray.other {
    outline: 1px dashed var(--color-soft);
    outline-offset: -2px;
  }

  .tray span,
  .tub span {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }

  .weights {
    display: flex;
    height: 40px;
    border: 2px solid var(--color-soft);
  }

  .tub {
    background: var(--color-filling);
    border-width: 0 1px 0 0;
    border-color: var(--color-soft);
    font-size: 13px;
    display: flex;
    align-items: center;
    padding: 0 2px;
    overflow: hidden;
    flex: none;
  }

  li {
    border-top: 1px solid var(--color-line);
    padding: 0.2rem 0;
    display: grid;
  }

  ul {
    margin-top: 0.5rem;
  }
</style>
