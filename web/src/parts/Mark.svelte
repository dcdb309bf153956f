<script lang="ts">
  import { bakery } from './bakery.svelte'

  interface Props {
    /** Name of the product; it stands beside the mark somewhere on the same screen. */
    product: string
    size?: number
  }
  const { product, size = 18 }: Props = $props()
  const strokes = $derived(bakery.current?.products.find((one) => one.name === product)?.mark ?? [])
</script>

<!-- The vents by which a closed pie is told from the others. -->
{#if strokes.length > 0}
  <svg class="mark" width={size} height={size} viewBox="-1.12 -1.12 2.24 2.24" aria-hidden="true">
    <circle r="1" />
    {#each strokes as stroke, index (index)}<line x1={stroke.x1} y1={stroke.y1} x2={stroke.x2} y2={stroke.y2} />{/each}
  </svg>
{/if}

<style>
  .mark {
    display: inline-block;
    flex: none;
    vertical-align: -0.2em;
    fill: var(--color-paper);
    stroke: var(--color-base-content);
    stroke-width: 0.15;
    stroke-linecap: round;
  }

  circle {
    stroke-width: 0.1;
  }
</style>
