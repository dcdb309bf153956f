<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/heat'
  import { sizes } from './layout'

  interface Props {
    oven: Schemas['OvenAnswer']
    x: (minute: number) => number
    top: number
  }
  const { oven, x, top }: Props = $props()

  const hottest = 240
  const y = (celsius: number) => sizes.curve - (Math.max(0, celsius - 20) / (hottest - 20)) * (sizes.curve - 4)
  // Slices narrow enough to look smooth; each in the colour of its own temperature.
  const sliceMin = 4

  const lines = $derived(
    oven.curve.map((curve) => curve.map((point) => `${x(point.min)},${y(point.celsius)}`).join(' ')),
  )
  const slices = $derived(
    oven.curve.flatMap((curve) =>
      curve.slice(1).flatMap((to, index) => {
        const from = curve[index] ?? to
        const length = to.min - from.min
        const pieces = Math.max(1, from.celsius === to.celsius ? 1 : Math.ceil(length / sliceMin))
        return Array.from({ length: pieces }, (_, piece) => {
          const at = (share: number) => ({
            min: from.min + (length * share) / pieces,
            celsius: from.celsius + ((to.celsius - from.celsius) * share) / pieces,
          })
          const [left, right] = [at(piece), at(piece + 1)]
          return {
            points: `${x(left.min)},${sizes.curve} ${x(left.min)},${y(left.celsius)} ${x(right.min)},${y(right.celsius)} ${x(right.min)},${sizes.curve}`,
            colour: colourOf((left.celsius + right.celsius) / 2),
          }
        })
      }),
    ),
  )
</script>

<svg style:top="{top}px" height={sizes.curve} aria-hidden="true">
  {#each slices as slice, index (index)}<polygon points={slice.points} fill={slice.colour} fill-opacity="0.55" />{/each}
  {#each lines as line, index (index)}<polyline points={line} />{/each}
</svg>

<style>
  svg {
    position: absolute;
    left: 0;
    width: 100%;
    overflow: visible;
    pointer-events: none;
  }

  polyline {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 2;
    stroke-linejoin: round;
  }
</style>
