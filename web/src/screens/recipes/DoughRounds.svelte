<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { centimetres, grams } from '../../parts/amounts'

  interface Props {
    dough: Schemas['DoughScaleAnswer']
  }
  const { dough }: Props = $props()

  // One unit is a centimetre.
  const widest = $derived(Math.max(...dough.pieces.map((piece) => piece.discDiameterCm)))
  const width = $derived(
    dough.pieces.reduce((sum, piece) => sum + Math.max(piece.discDiameterCm, piece.diameterCm) + 2, 0),
  )
  const middles = $derived.by(() => {
    let left = 1
    return dough.pieces.map((piece) => {
      const middle = left + Math.max(piece.discDiameterCm, piece.diameterCm) / 2
      left += Math.max(piece.discDiameterCm, piece.diameterCm) + 2
      return middle
    })
  })
  const pitch = (piece: Schemas['PieceAnswer']) =>
    piece.stripsCm.length > 1 ? (piece.diameterCm - piece.stripWidthCm) / (piece.stripsCm.length - 1) : 0
  const trim = $derived(Math.round(dough.pieces.reduce((sum, piece) => sum + piece.trimGrams, 0)))
</script>

<section class="mt-5" aria-label="Dough of one pie, to scale">
  <h2>Dough of one pie, rolled to {dough.thicknessMm} mm</h2>
  <svg
    viewBox="0 0 {width} {widest + 1}"
    role="img"
    aria-label={dough.pieces.map((piece) => `${piece.name} ${centimetres(piece.diameterCm)}`).join(', ')}
  >
    {#each dough.pieces as piece, index (piece.name)}
      {@const x = middles[index] ?? 0}
      {@const y = (widest + 1) / 2}
      {#if piece.stripsCm.length === 0}
        <circle cx={x} cy={y} r={piece.discDiameterCm / 2} class="disc" />
        <circle cx={x} cy={y} r={piece.diameterCm / 2} class="piece" />
      {:else}
        {#each piece.stripsCm as strip, at (at)}
          {@const off = (at - (piece.stripsCm.length - 1) / 2) * pitch(piece)}
          <rect
            x={x + off - piece.stripWidthCm / 2}
            y={y - strip / 2}
            width={piece.stripWidthCm}
            height={strip}
            class="strip"
          />
        {/each}
        {#each piece.stripsCm as strip, at (at)}
          {@const off = (at - (piece.stripsCm.length - 1) / 2) * pitch(piece)}
          <rect
            x={x - strip / 2}
            y={y + off - piece.stripWidthCm / 2}
            width={strip}
            height={piece.stripWidthCm}
            class="strip across"
          />
        {/each}
      {/if}
      <rect x={x - 6.5} y={y - 3} width="13" height="6" rx="0.5" class="paper" />
      <text {x} y={y - 0.5} class="name">{piece.name}</text>
      <text {x} y={y + 2} class="size">{Math.round(piece.discGrams)} g</text>
    {/each}
  </svg>
  <ul>
    {#each dough.pieces as piece (piece.name)}
      <li>
        <strong>{piece.name}</strong>
        {#if piece.stripsCm.length > 0}
          2 × {piece.stripsCm.length} strips, {centimetres(piece.stripWidthCm)} wide, over {centimetres(
            piece.diameterCm,
          )}
        {:else}
          {centimetres(piece.diameterCm)} round
        {/if}
        <span class="small block">
          {piece.reckoning}{piece.stripsCm.length === 0 ? ` = ${piece.diameterCm} cm; ` : ' = '}
          {piece.stripsCm.length === 0 ? `π/4 × ${piece.diameterCm}² = ` : ''}{piece.areaCm2} cm² × {dough.thicknessMm /
            10} cm × {dough.density}
          g/ml = {piece.pieceGrams} g; / (1 − {dough.trimPercent} %) = disc {piece.discGrams} g</span
        >
      </li>
    {/each}
  </ul>
  <p class="small">{grams(trim)} of trim comes back from a pie.</p>
</section>

<style>
  svg {
    width: 100%;
    max-height: 13rem;
  }

  .disc {
    fill: var(--color-base-200);
    stroke: #8b7763;
    stroke-width: 0.12;
  }

  .piece {
    fill: #e9dec6;
    stroke: var(--color-base-content);
    stroke-width: 0.15;
    stroke-dasharray: 0.7 0.4;
  }

  .strip {
    fill: #e9dec6;
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
