<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    piece: Schemas['PieceAnswer']
    /** Its middle, in centimetres of the drawing. */
    x: number
    y: number
    /** Width of the whole drawing, by which the label is sized. */
    width: number
  }
  const { piece, x, y, width }: Props = $props()

  const unit = $derived(Math.min(1.2, width / 34))
</script>

{#if piece.stripsCm.length > 0}
  {#each piece.stripsCm as strip, at (at)}
    {@const off = (at - (piece.stripsCm.length - 1) / 2) * piece.stripPitchCm}
    <rect
      x={x + off - piece.stripWidthCm / 2}
      y={y - strip / 2}
      width={piece.stripWidthCm}
      height={strip}
      class="strip"
    />
  {/each}
  {#each piece.acrossCm as strip, at (at)}
    {@const off = (at - (piece.acrossCm.length - 1) / 2) * piece.stripPitchCm}
    <rect
      x={x - strip / 2}
      y={y + off - piece.stripWidthCm / 2}
      width={strip}
      height={piece.stripWidthCm}
      class="strip across"
    />
  {/each}
{:else if piece.isRound}
  <circle cx={x} cy={y} r={piece.discDiameterCm / 2} class="disc" />
  <circle cx={x} cy={y} r={piece.diameterCm / 2} class="piece" />
{:else}
  <rect
    x={x - piece.lengthCm / 2}
    y={y - piece.diameterCm / 2}
    width={piece.lengthCm}
    height={piece.diameterCm}
    class="piece"
  />
{/if}
<g transform="translate({x} {y}) scale({unit})">
  <rect x="-6.5" y="-3" width="13" height="6" rx="0.5" class="paper" />
  <text y="-0.5" class="name">{piece.name}</text>
  <text y="2" class="size">{Math.round(piece.discGrams)} g</text>
</g>

<style>
  .disc {
    fill: var(--color-base-200);
    stroke: #8b7763;
    stroke-width: 0.12;
  }

  .piece {
    fill: var(--color-dough);
    stroke: var(--color-base-content);
    stroke-width: 0.15;
    stroke-dasharray: 0.7 0.4;
  }

  .strip {
    fill: var(--color-dough);
    stroke: #8b7763;
    stroke-width: 0.12;
  }

  .across {
    fill-opacity: 0.75;
  }

  .paper {
    fill: var(--color-paper);
  }

  text {
    text-anchor: middle;
    fill: var(--color-base-content);
  }

  .name {
    font-size: 2.1px;
    font-weight: 700;
  }

  .size {
    font-size: 2px;
  }
</style>
