<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { colourOf } from '../../parts/heat'
  import { fitting } from '../ovens/layout'
  import { heatOf } from './way'

  interface Props {
    way: Schemas['WayAnswer']
    /** The piece that is open: number of its line, and its id there. */
    opened: { line: number; piece: string } | undefined
    onopen: (line: number, piece: Piece) => void
    /** Asked when a piece is dragged aside, or moved with Alt and an arrow: earlier below 0, later above. */
    onmove?: (piece: Piece, direction: -1 | 1) => void
  }
  const { way, opened, onopen, onmove }: Props = $props()
  type Piece = Schemas['WayPieceAnswer']

  const row = 58
  const band = 24
  const least = 5
  /** Room that a letter of a line's name takes, so that none is cut off at the end. */
  const letter = 7.4
  /** So far a piece is dragged before it moves. */
  const dragged = 36
  let room = $state(1000)
  const scale = $derived(way.minutes > 0 ? room / way.minutes : 1)
  const x = (minute: number) => minute * scale
  /** The pie lies below what runs into it. */
  const top = (line: number) => (way.lines.length - 1 - line) * row + 20
  const height = $derived(way.lines.length * row + 26)
  const hour = $derived([1, 2, 3, 4, 6, 8, 12, 24].find((hours) => hours * 60 * scale >= 76) ?? 48)
  const hours = $derived(Array.from({ length: Math.floor(way.minutes / 60 / hour) }, (_, index) => (index + 1) * hour))
  const width = (piece: Piece) => Math.max(least, x(piece.endMin) - x(piece.startMin))
  const stages = (piece: Piece) =>
    piece.stages.map((stage) => (stage.minMin / piece.stages.reduce((sum, one) => sum + one.minMin, 0)) * 100)
  /** A name, and shorter ways to say it where there is less room. */
  const shorter = (name: string) => {
    const word = name.split(/[ ,;:]/)[0] ?? ''
    // "Let" says nothing of "Let it set".
    return [name, name.split(/[,;:]/)[0] ?? name, ...(word.length > 3 ? [word] : [])]
  }
  const words = (piece: Piece) => `${piece.name}, ${duration(piece.endMin - piece.startMin)}, ${heatOf(piece)}`

  let from: number | undefined
  function take(event: PointerEvent) {
    if (!onmove) return
    from = event.clientX
    // Wherever it is let go, it is this piece that was dragged.
    if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId)
  }
  function drop(piece: Piece, event: PointerEvent) {
    if (from === undefined || !onmove) return
    const by = event.clientX - from
    from = undefined
    if (Math.abs(by) >= dragged) onmove(piece, by < 0 ? -1 : 1)
  }
  function move(piece: Piece, event: KeyboardEvent) {
    if (!onmove || !event.altKey || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return
    event.preventDefault()
    onmove(piece, event.key === 'ArrowLeft' ? -1 : 1)
  }
</script>

<!-- Lines of steps to scale along time, each running into the line that takes it. -->
<div class="way" style:height="{height}px" bind:clientWidth={room}>
  {#each hours as before (before)}
    <span class="tick" style:left="{x(way.minutes - before * 60)}px" style:height="{height - 18}px"></span>
    {#if x(way.minutes - before * 60) >= 38}<span class="small clock" style:left="{x(way.minutes - before * 60)}px"
        >{before} h before</span
      >{/if}
  {/each}
  {#each way.lines as line, at (at)}
    {#if line.joinsMin !== null}
      <span
        class="join"
        style:left="{x(line.joinsMin)}px"
        style:top="{top(at) + band / 2}px"
        style:height="{top(line.joinsLine) - top(at)}px"
      ></span>
    {/if}
  {/each}
  {#each way.lines as line, at (at)}
    {@const start = x(line.pieces[0]?.startMin ?? 0)}
    <span
      class="name small"
      style:top="{top(at) - 21}px"
      style:left="{Math.max(0, Math.min(start, room - line.name.length * letter))}px">{line.name}</span
    >
    {#each line.pieces as piece (piece.id)}
      {@const tag = fitting(shorter(piece.name), width(piece))}
      <button
        type="button"
        class={['piece', piece.kind]}
        class:open={opened?.line === at && opened.piece === piece.id}
        style:left="{x(piece.startMin)}px"
        style:top="{top(at)}px"
        style:width="{width(piece)}px"
        style:height="{band}px"
        style:background={colourOf(piece.celsius)}
        title={words(piece)}
        aria-label={words(piece)}
        aria-pressed={opened?.line === at && opened.piece === piece.id}
        onclick={() => onopen(at, piece)}
        onpointerdown={(event) => take(event)}
        onpointerup={(event) => drop(piece, event)}
        onkeydown={(event) => move(piece, event)}
      >
        {#each piece.stages as stage, number (number)}
          <span class="stage" style:width="{stages(piece)[number]}%" style:background={colourOf(stage.tempC)}></span>
        {/each}
        {#if tag}<span class="tag">{tag}</span>{/if}
      </button>
    {/each}
  {/each}
</div>

<style>
  .way {
    position: relative;
    margin-top: 0.5rem;
    overflow: hidden;
  }

  .tick {
    position: absolute;
    top: 0;
    width: 1px;
    background: var(--color-line);
  }

  .clock {
    position: absolute;
    bottom: 0;
    transform: translateX(-50%);
    white-space: nowrap;
  }

  .join {
    position: absolute;
    width: 2px;
    background: var(--color-base-content);
    z-index: 1;
  }

  .name {
    position: absolute;
    white-space: nowrap;
    padding: 0 4px 0 2px;
    background: var(--color-base-100);
    z-index: 2;
  }

  .piece {
    position: absolute;
    touch-action: pan-y;
    display: flex;
    border: 1px solid rgb(42 29 23 / 30%);
    border-radius: 3px;
    overflow: hidden;
    cursor: pointer;
  }

  .piece.hands {
    border: 2px solid var(--color-base-content);
  }

  .piece.open {
    outline: 3px solid var(--color-damson);
    outline-offset: 1px;
  }

  .stage {
    height: 100%;
  }

  .tag {
    position: absolute;
    left: 4px;
    top: 50%;
    transform: translateY(-50%);
    padding: 0 4px;
    border-radius: 3px;
    background: var(--color-paper);
    font-size: 0.75rem;
    font-weight: 700;
    line-height: 1.35;
    white-space: nowrap;
  }
</style>
