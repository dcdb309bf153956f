<script lang="ts">
  interface Slice {
    /** Of the whole, 0 to 100. */
    percent: number
    name: string
  }
  interface Props {
    slices: Slice[]
    /** Width and height in pixels. */
    size: number
    /** Whether slices carry their names; small pies do not. */
    isNamed?: boolean
    label: string
  }
  const { slices, size, isNamed = false, label }: Props = $props()

  const radius = $derived(isNamed ? size * 0.25 : size / 2 - 1)
  const height = $derived(isNamed ? size * 0.64 : size)
  const round = (percent: number) => (percent / 100) * 2 * Math.PI - Math.PI / 2
  const at = (angle: number, far: number) => [Math.cos(angle) * far, Math.sin(angle) * far] as const

  // A pie is cut from noon on, the greatest slice first; slices too thin for a name stay without one.
  const cut = $derived.by(() => {
    let from = 0
    return slices.map((slice) => {
      const [begin, end] = [round(from), round(from + slice.percent)]
      from += slice.percent
      const middle = (begin + end) / 2
      const [x0, y0] = at(begin, radius)
      const [x1, y1] = at(end, radius)
      const path =
        slice.percent > 99.9
          ? `M 0 ${-radius} A ${radius} ${radius} 0 1 1 -0.01 ${-radius} Z`
          : `M 0 0 L ${x0} ${y0} A ${radius} ${radius} 0 ${slice.percent > 50 ? 1 : 0} 1 ${x1} ${y1} Z`
      const [lx, ly] = at(middle, radius + 12)
      return { ...slice, path, lx, ly, isNamed: isNamed && slice.percent >= 4 }
    })
  })
</script>

<svg width={size} {height} viewBox="{-size / 2} {-height / 2} {size} {height}" role="img" aria-label={label}>
  <circle r={radius} class="crust" />
  {#each cut as slice, index (index)}
    <path d={slice.path} class:other={index % 2 === 1} />
    {#if slice.isNamed}
      <text
        x={slice.lx}
        y={slice.ly}
        dy="0.35em"
        text-anchor={slice.lx < -4 ? 'end' : slice.lx > 4 ? 'start' : 'middle'}>{slice.name}</text
      >
    {/if}
  {/each}
</svg>

<style>
  svg {
    overflow: visible;
    max-width: 100%;
  }

  .crust {
    fill: none;
    stroke: #8b7763;
    stroke-width: 1;
  }

  path {
    fill: var(--color-dough);
    stroke: #8b7763;
    stroke-width: 1;
  }

  path.other {
    fill: var(--color-filling);
  }

  text {
    font-size: 0.9rem;
    fill: var(--color-base-content);
  }
</style>
