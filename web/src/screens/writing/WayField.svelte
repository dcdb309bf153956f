<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import WayLines from '../recipes/WayLines.svelte'
  import { heatOf } from '../recipes/way'
  import type { Act } from './StepsField.svelte'

  interface Props {
    /** The way as it is written; the last that held together while something is wrong. */
    way: Schemas['WayAnswer']
    /** The steps as they are written. */
    steps: (Schemas['StepDraft'] | null)[]
    onedit: (act: Act, step: string, other?: string) => void
    /** Shows the fields of a step in the list. */
    onfields: (step: string) => void
  }
  const { way, steps, onedit, onfields }: Props = $props()
  type Piece = Schemas['WayPieceAnswer']

  let chosen = $state<string>()
  /** The step that is to follow the next one pressed. */
  let linking = $state<string>()
  const isWritten = (id: string) => steps.some((step) => step?.id === id)
  const nameOf = (id: string | undefined) => steps.find((step) => step?.id === id)?.name ?? ''
  const place = $derived.by(() => {
    for (const [line, one] of way.lines.entries())
      for (const piece of one.pieces) if (piece.step === chosen) return { line, piece: piece.id, of: piece }
    return undefined
  })

  function open(piece: Piece) {
    if (linking && isWritten(piece.step) && piece.step !== linking) {
      onedit('follow', linking, piece.step)
      chosen = linking
      linking = undefined
    } else chosen = piece.step
  }
  function move(piece: Piece, direction: -1 | 1) {
    if (!isWritten(piece.step)) return
    chosen = piece.step
    onedit(direction < 0 ? 'earlier' : 'later', piece.step)
  }
  const adds: [Act, string][] = [
    ['addWork', 'work after it'],
    ['addWait', 'a wait after it'],
    ['addBake', 'a bake after it'],
  ]
</script>

<!-- The way as it is written, drawn along time: steps are pressed, dragged and linked here as well as in the list below. -->
<section class="mt-5" aria-label="The way as it is written">
  <h2>Its way, {duration(way.minutes)} from the first work to the box</h2>
  <p class="small">
    To scale, for a dozen pies, every wait as it is wanted. Press a step to work on it; drag it aside, or press Alt and
    an arrow, to move it.
  </p>
  <WayLines
    {way}
    opened={place && { line: place.line, piece: place.piece }}
    onopen={(_, piece) => open(piece)}
    onmove={move}
  />
  <div class="acts" role="status">
    {#if linking}
      <span>Press the step that <b>{nameOf(linking).toLowerCase()}</b> is to follow.</span>
      <button class="press" type="button" onclick={() => (linking = undefined)}>Leave it</button>
    {:else if place && chosen}
      {@const step = chosen}
      <span><b>{place.of.name}</b>, {duration(place.of.endMin - place.of.startMin)}, {heatOf(place.of)}</span>
      {#if isWritten(step)}
        <button class="press" type="button" onclick={() => onfields(step)}>Its fields</button>
        <button class="press" type="button" onclick={() => onedit('earlier', step)}>Earlier</button>
        <button class="press" type="button" onclick={() => onedit('later', step)}>Later</button>
        {#each adds as [act, words] (act)}<button class="press" type="button" onclick={() => onedit(act, step)}
            >Add {words}</button
          >{/each}
        <button class="press" type="button" onclick={() => (linking = step)}>Let it follow another</button>
        <button class="press" type="button" onclick={() => (onedit('takeOut', step), (chosen = undefined))}
          >Take it out</button
        >
      {:else}<span class="small">It is written with its dough, or with what is made first.</span>{/if}
    {:else}<span class="small">No step is chosen.</span>{/if}
  </div>
</section>

<style>
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 0.7rem;
    align-items: center;
    min-height: 3.2rem;
    margin-top: 0.4rem;
  }
</style>
