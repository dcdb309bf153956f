<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    name: string
    sheet: Schemas['SheetAnswer']
    isRound: boolean
    count: number
  }
  const { name, sheet, isRound, count }: Props = $props()
  const again = $derived(['', ', scraps rolled once more', ', scraps rolled twice more'][sheet.rerolls] ?? '')
</script>

<figure class="mt-2">
  <svg
    viewBox="-0.5 -0.5 {sheet.lengthCm + 1} {sheet.widthCm + 1}"
    role="img"
    aria-label="A sheet of {sheet.lengthCm} by {sheet.widthCm} cm with {sheet.spots.length} {name}"
  >
    <rect width={sheet.lengthCm} height={sheet.widthCm} class="sheet" />
    {#each sheet.spots as spot, index (index)}
      {#if isRound}<circle cx={spot.x} cy={spot.y} r={sheet.pieceLengthCm / 2} class="piece" />
      {:else}
        <rect
          x={spot.x - sheet.pieceLengthCm / 2}
          y={spot.y - sheet.pieceWidthCm / 2}
          width={sheet.pieceLengthCm}
          height={sheet.pieceWidthCm}
          class="piece"
        />
      {/if}
    {/each}
  </svg>
  <figcaption class="small">
    {name}: {sheet.spots.length} from a sheet of {sheet.lengthCm} × {sheet.widthCm} cm, {sheet.usedPercent} % of it used{again};
    {sheet.sheets}
    {sheet.sheets === 1 ? 'sheet' : 'sheets'} for {count}
    {count === 1 ? 'pie' : 'pies'}
  </figcaption>
</figure>

<style>
  svg {
    width: 100%;
    max-height: 11rem;
  }

  .sheet {
    fill: var(--color-base-200);
    stroke: #8b7763;
    stroke-width: 0.2;
  }

  .piece {
    fill: #e9dec6;
    stroke: #2a1d17;
    stroke-width: 0.15;
    stroke-dasharray: 0.7 0.4;
  }
</style>
