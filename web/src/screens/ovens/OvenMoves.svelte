<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { sizes, type timeScale } from './layout'

  interface Props {
    ovens: Schemas['OvensAnswer']
    scale: ReturnType<typeof timeScale>
    /** Where the shelves of an oven begin, by its index. */
    shelvesTop: (index: number) => number
    width: number
    height: number
  }
  const { ovens, scale, shelvesTop, width, height }: Props = $props()

  /** Moves: from where trays leave one oven to where they enter another. */
  const moves = $derived(
    ovens.ovens.flatMap((oven, to) =>
      oven.layers.flatMap((layer) =>
        layer.from.map((id) => {
          const from = ovens.ovens.findIndex((one) => one.layers.some((other) => other.id === id))
          const left = ovens.ovens[from]?.layers.find((other) => other.id === id)
          const entry = layer.stages[0]?.start.min ?? 0
          const [x1, x2] = [scale.x(left?.stages.at(-1)?.end.min ?? entry), scale.x(entry)]
          const y1 = shelvesTop(from) + ((left?.shelves[0] ?? 1) - 0.5) * sizes.shelf
          const y2 = shelvesTop(to) + ((layer.shelves[0] ?? 1) - 0.5) * sizes.shelf
          const down = y2 > y1 ? 1 : -1
          return {
            path: `M ${x1} ${y1} C ${x1 + 16} ${y1 + 34 * down}, ${x2 - 16} ${y2 - 34 * down}, ${x2 - 4} ${y2}`,
            head: `${x2 - 8},${y2 - 5} ${x2 + 1},${y2} ${x2 - 8},${y2 + 5}`,
            x1,
            y1,
          }
        }),
      ),
    ),
  )
</script>

<svg class="moves" {width} {height} aria-hidden="true">
  {#each moves as move, index (index)}
    <path class="under" d={move.path} />
    <path d={move.path} />
    <circle cx={move.x1} cy={move.y1} r="3.5" />
    <polygon points={move.head} />
  {/each}
</svg>

<style>
  .moves {
    position: absolute;
    inset: 0;
    pointer-events: none;
    z-index: 3;
  }

  .moves path {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 2.6;
    stroke-dasharray: 0.1 5;
    stroke-linecap: round;
  }

  /* Light below the dots, so that they can be followed over any temperature. */
  .moves path.under {
    stroke: var(--color-paper);
    stroke-width: 5;
    stroke-dasharray: none;
    opacity: 0.75;
  }

  .moves circle,
  .moves polygon {
    fill: var(--color-base-content);
  }
</style>
