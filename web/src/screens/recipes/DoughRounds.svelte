<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { centimetres } from '../../parts/amounts'
  import StepWord from '../../parts/StepWord.svelte'
  import { decimal } from '../../parts/word.svelte'
  import PieceShape from './PieceShape.svelte'
  import SheetDrawing from './SheetDrawing.svelte'

  interface Props {
    dough: Schemas['DoughScaleAnswer']
    /** How the base is laid in, in words. */
    lining: string
    count: number
    /** Asks what another thickness would change; none of a dough that only lies on top. */
    onthickness?: (millimetres: number) => void
  }
  const millimetres = decimal(1, 15, 0.5)
  const { dough, lining, count, onthickness }: Props = $props()
  type Piece = Schemas['PieceAnswer']

  // One unit is a centimetre. A piece is as wide as its longer side, or as the disc it is cut from.
  const widthOf = (piece: Piece) =>
    Math.max(piece.lengthCm, piece.isRound ? piece.discDiameterCm : 0, ...piece.acrossCm)
  const heightOf = (piece: Piece) =>
    Math.max(piece.diameterCm, piece.isRound ? piece.discDiameterCm : 0, ...piece.stripsCm)
  const drawn = $derived(dough.pieces.filter((piece) => piece.name !== 'wall strips' && piece.name !== 'cut-outs'))
  const tallest = $derived(Math.max(1, ...drawn.map(heightOf)))
  const width = $derived(drawn.reduce((sum, piece) => sum + widthOf(piece) + 2, 0))
  const middles = $derived.by(() => {
    let left = 1
    return drawn.map((piece) => {
      const middle = left + widthOf(piece) / 2
      left += widthOf(piece) + 2
      return middle
    })
  })
  const sheets = $derived(dough.pieces.filter((piece) => piece.sheet !== null))
  const size = (piece: Piece) => {
    if (piece.stripsCm.length + piece.acrossCm.length > 0 && piece.name === 'lattice')
      return `${piece.stripsCm.length} + ${piece.acrossCm.length} strips, ${centimetres(piece.stripWidthCm)} wide`
    if (piece.name === 'wall strips')
      return `${piece.count} × ${centimetres(piece.acrossCm[0] ?? 0)} long, ${centimetres(piece.stripWidthCm)} high`
    if (piece.name === 'cut-outs') return `${piece.count} of ${centimetres(piece.diameterCm)}`
    return piece.isRound
      ? piece.discDiameterCm > piece.diameterCm + 0.05
        ? `rolled to ${centimetres(piece.discDiameterCm)}, trimmed to ${centimetres(piece.diameterCm)} round`
        : `${centimetres(piece.diameterCm)} round`
      : `${Number(piece.lengthCm.toFixed(1))} × ${centimetres(piece.diameterCm)}`
  }
</script>

<section class="mt-5" aria-label="{onthickness ? 'Dough of one pie' : dough.name}, to scale">
  <h2>
    {dough.isShell ? 'A shell' : onthickness ? 'Dough of one pie' : `${dough.name} on top`}, {dough.isShell
      ? 'its wall'
      : lining === 'pressed in'
        ? 'pressed to'
        : 'rolled to'}
    {#if onthickness}<StepWord
        value={Math.round(dough.thicknessMm * 100) / 100}
        kind={millimetres}
        label="Thickness in mm"
        onchange={onthickness}
      />{:else}{dough.thicknessMm}{/if} mm{#each dough.pieces.filter((piece) => piece.thicknessMm !== dough.thicknessMm) as piece (piece.name)},
      {piece.name} to {piece.thicknessMm} mm{/each}
  </h2>
  {#if onthickness && dough.thicknessMm !== dough.writtenThicknessMm}
    <p class="note my-1">
      A question: written are {dough.writtenThicknessMm} mm, and nothing is changed.
      <button class="link" onclick={() => onthickness(dough.writtenThicknessMm)}>Back to what is written</button>
    </p>
  {/if}
  {#if dough.said}<p class="small">{dough.said}</p>{/if}
  {#if drawn.length > 0}
    <svg
      viewBox="0 0 {width} {tallest + 1}"
      role="img"
      aria-label={drawn.map((piece) => `${piece.name} ${size(piece)}`).join(', ')}
    >
      {#each drawn as piece, index (piece.name)}
        <PieceShape {piece} x={middles[index] ?? 0} y={(tallest + 1) / 2} {width} />
      {/each}
    </svg>
  {/if}
  {#each sheets as piece (piece.name)}
    {#if piece.sheet}<SheetDrawing
        name={piece.name}
        sheet={piece.sheet}
        isRound={piece.isRound && piece.stripWidthCm === 0}
        {count}
      />{/if}
  {/each}
  <ul>
    {#each dough.pieces as piece (piece.name)}
      <li>
        <strong>{piece.name}</strong>
        {size(piece)}
        <span class="small block">
          {#if piece.name === 'shell'}{piece.reckoning}: {piece.pieceGrams} g{:else}
            {piece.reckoning} = {piece.areaCm2} cm² × {Number((piece.thicknessMm / 10).toFixed(4))} cm × {dough.density} g/ml
            = {piece.pieceGrams}
            g; / (1 − {piece.trimPercent} %) = {piece.trimPercent === 0 ? '' : 'disc '}{piece.discGrams} g{/if}</span
        >
      </li>
    {/each}
  </ul>
  {#if !dough.isShell}<p class="small">{dough.trimUse}</p>{/if}
</section>

<style>
  svg {
    width: 100%;
    max-height: 13rem;
  }
</style>
