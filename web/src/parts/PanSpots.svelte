<script lang="ts">
  interface Props {
    /** The middle of each, in centimetres. */
    spots: { x: number; y: number }[]
    /** Across a round one, or the shorter side of a long one. */
    width: number
    /** The longer side of a long one; null for a round one. */
    length: number | null
    /** Whether long ones lie across. */
    isTurned: boolean
    /** Width of a rim to be shown within round ones; none without it. */
    rim?: number
  }
  const { spots, width, length, isTurned, rim }: Props = $props()
  const along = $derived(isTurned ? width : (length ?? width))
  const down = $derived(isTurned ? (length ?? width) : width)
</script>

<!-- Pans on a tray, seen from above; drawn within a picture whose unit is a centimetre. -->
{#each spots as spot, index (index)}
  {#if length === null}
    <circle cx={spot.x} cy={spot.y} r={width / 2} />
    {#if rim}<circle class="inner" cx={spot.x} cy={spot.y} r={width / 2 - rim} />{/if}
  {:else}
    <rect x={spot.x - along / 2} y={spot.y - down / 2} width={along} height={down} rx="0.5" />
  {/if}
{/each}

<style>
  circle,
  rect {
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 0.5;
  }

  .inner {
    fill: none;
    stroke: #8b7763;
    stroke-width: 0.3;
  }
</style>
