<script lang="ts">
  import { tick } from 'svelte'
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/temperature'
  import HeatCurve from './HeatCurve.svelte'
  import { fitting, mostZoom, ovenTops, placeLabels, shelfRuns, sizes, timeScale, widthOf, zoomStep } from './layout'

  type Oven = Schemas['OvenAnswer']
  type Layer = Schemas['LayerAnswer']

  interface Props {
    ovens: Schemas['OvensAnswer']
    now: Schemas['PlanAnswer']['now']
    zoom: number
    onzoom: (zoom: number) => void
    opened: Layer | undefined
    onopen: (layer: Layer | undefined) => void
  }
  const { ovens, now, zoom, onzoom, opened, onopen }: Props = $props()

  let room = $state(1200)
  let scroller = $state<HTMLDivElement>()
  const wide = $derived(widthOf(ovens, room, zoom))
  const scale = $derived(timeScale(ovens, wide))
  const places = $derived(ovenTops(ovens))
  const shelvesTop = (index: number) => (places.tops[index] ?? 0) + sizes.labels + sizes.curve
  /** Hours that have room for their clock; the others keep their line. */
  const everyHours = $derived(Math.max(1, Math.ceil(48 / (60 * scale.perMinute))))

  function settingWays(oven: Oven, setting: Schemas['SettingAnswer']): string[] {
    if (setting.tempC === null) return [`off ${setting.at.clock}`, 'off']
    const dial = oven.dialOffsetC === 0 ? '' : ` (dial ${setting.dialC})`
    const drop = setting.isDrop ? 'drop ' : ''
    return [
      `${drop}${setting.at.clock} ${setting.tempC}°${dial}`,
      `${drop}${setting.at.clock} ${setting.tempC}°`,
      `${setting.isDrop ? '↓' : ''}${setting.tempC}°`,
    ]
  }

  const labelsOf = (oven: Oven) => {
    const labels = oven.settings.map((setting) => ({
      setting,
      x: scale.x(setting.at.min),
      ways: settingWays(oven, setting),
      rank: setting.isDrop ? 0 : setting.tempC === null ? 2 : 1,
    }))
    const placed = placeLabels(labels, wide)
    return labels.map((label, index) => ({ ...label, ...(placed[index] ?? { row: -1, words: '' }) }))
  }

  const nameOf = (layer: Layer) => (layer.step ? `${layer.product} ${layer.step}` : layer.product)
  const shortName = (layer: Layer) => layer.step || (layer.product.split(' ')[0] ?? '')
  /** What stands on a layer's paper tag: shorter where there is less room, and nothing where a number would not fit. */
  const tagOf = (layer: Layer, width: number) =>
    fitting([`${layer.pies} ${nameOf(layer)}`, `${layer.pies} ${shortName(layer)}`, `${layer.pies}`], width)
  const wordsOf = (layer: Layer) =>
    `Load ${layer.load}: ${layer.pies} ${nameOf(layer)}, ${layer.pan}, ${layer.stages
      .map((stage) => `${stage.tempC} °C ${stage.start.clock} to ${stage.end.clock}`)
      .join(', then ')}${layer.fromOven ? `, from ${layer.fromOven}` : ''}`

  /** Moves: from where trays leave one oven to where they enter another. */
  const moves = $derived(
    ovens.ovens.flatMap((oven, to) =>
      oven.layers
        .filter((layer) => layer.fromOven)
        .map((layer) => {
          const from = ovens.ovens.findIndex((one) => one.name === layer.fromOven)
          const entry = layer.stages[0]?.start.min ?? 0
          const left = ovens.ovens[from]?.layers.find(
            (one) =>
              one.product === layer.product &&
              one.pan === layer.pan &&
              (one.stages.at(-1)?.end.min ?? 0) <= entry &&
              (one.stages.at(-1)?.end.min ?? 0) > entry - 30,
          )
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
  )

  /** Zooms around the middle of what is in view. */
  async function zoomTo(wanted: number) {
    const next = Math.min(mostZoom, Math.max(1, wanted))
    if (!scroller || next === zoom) return
    const share = (scroller.scrollLeft + scroller.clientWidth / 2) / wide
    onzoom(next)
    await tick()
    scroller.scrollLeft = share * wide - scroller.clientWidth / 2
  }

  function key(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === '+' || event.key === '=') void zoomTo(zoom * zoomStep)
    else if (event.key === '-') void zoomTo(zoom / zoomStep)
    else if (event.key === '0') void zoomTo(1)
    else return
    event.preventDefault()
  }

  function wheel(event: WheelEvent) {
    if (!event.ctrlKey) return
    event.preventDefault()
    void zoomTo(event.deltaY < 0 ? zoom * zoomStep : zoom / zoomStep)
  }
</script>

<svelte:window
  onkeydown={(event) => {
    if (event.target === document.body || scroller?.contains(event.target as Node)) key(event)
  }}
/>

<div class="controls screen-only" role="group" aria-label="Zoom of the drawing">
  <button class="press" onclick={() => zoomTo(zoom * zoomStep)} disabled={zoom >= mostZoom}>Closer</button>
  <button class="press" onclick={() => zoomTo(zoom / zoomStep)} disabled={zoom <= 1}>Wider</button>
  <button class="press" onclick={() => zoomTo(1)} disabled={zoom <= 1}>The whole</button>
  <span class="small">Press a load to open it. Dotted lines are trays carried from one oven to the other.</span>
</div>
<div class="scroller" bind:clientWidth={room} bind:this={scroller} onwheel={wheel}>
  <div class="drawing" style:height="{places.height}px" style:width="{wide}px">
    {#each ovens.blocks as block, at (block.from.min)}
      {#each block.hours as hour, index (hour.min)}
        <div class="hour" style:left="{scale.x(hour.min)}px" style:height="{places.height - 8}px">
          {#if index % everyHours === 0}
            <span>{index === 0 || hour.clock === '00:00' ? `${hour.day} ` : ''}{hour.clock}</span>
          {/if}
        </div>
      {/each}
      {#if at > 0}
        <div
          class="break"
          style:left="{(scale.blocks[at]?.left ?? 0) - sizes.gap / 2}px"
          title="a pause in which no oven is on"
        ></div>
      {/if}
    {/each}

    {#each ovens.ovens as oven, index (oven.id)}
      {#each scale.blocks as block (block.from)}
        <div
          class="bed"
          style:left="{block.left}px"
          style:width="{(block.to - block.from) * scale.perMinute}px"
          style:top="{shelvesTop(index)}px"
          style:height="{oven.shelves * sizes.shelf}px"
          style:--shelf="{sizes.shelf}px"
        ></div>
      {/each}
      {#if oven.settings.length === 0}
        <p class="cold small" style:top="{shelvesTop(index) + 6}px">stays cold</p>
      {/if}
      <HeatCurve {oven} x={scale.x} top={(places.tops[index] ?? 0) + sizes.labels} />
      {#each labelsOf(oven) as label (label.setting.at.min)}
        {#if label.setting.isDrop}
          <div
            class="drop-line"
            style:left="{label.x}px"
            style:top="{(places.tops[index] ?? 0) + sizes.labels}px"
            style:height="{sizes.curve + oven.shelves * sizes.shelf}px"
          ></div>
        {/if}
        {#if label.row >= 0}
          <span
            class="setting"
            class:drop={label.setting.isDrop}
            class:left={label.x + label.words.length * 7.2 + 10 > wide}
            style:left="{label.x}px"
            style:top="{(places.tops[index] ?? 0) + (label.row === 0 ? 21 : 3)}px"
            style:--stem="{label.row === 0 ? 19 : 37}px"
            title={label.ways[0]}>{label.words}</span
          >
        {/if}
      {/each}
      {#each oven.layers as layer (`${layer.load} ${layer.product} ${layer.step} ${layer.pan} ${layer.pickUp.min} ${layer.shelves[0]}`)}
        {#each shelfRuns(layer) as run (run.first)}
          {@const start = scale.x(layer.stages[0]?.start.min ?? 0)}
          {@const end = scale.x(layer.stages.at(-1)?.end.min ?? 0)}
          {@const tag = tagOf(layer, end - start)}
          <button
            class="layer"
            class:open={opened === layer}
            style:left="{start}px"
            style:width="{end - start}px"
            style:top="{shelvesTop(index) + (run.first - 1) * sizes.shelf}px"
            style:height="{run.count * sizes.shelf - 2}px"
            style:--shelf="{sizes.shelf}px"
            aria-label={tag ? `${tag}. ${wordsOf(layer)}` : wordsOf(layer)}
            aria-pressed={opened === layer}
            title={wordsOf(layer)}
            onclick={() => onopen(opened === layer ? undefined : layer)}
          >
            {#each layer.stages as stage (stage.number)}
              <span
                class="stage"
                style:width="{scale.x(stage.end.min) - scale.x(stage.start.min)}px"
                style:background={colourOf(stage.tempC)}
              ></span>
            {/each}
            {#if tag}<span class="tag">{tag}</span>{/if}
          </button>
        {/each}
      {/each}
    {/each}

    <svg class="moves" width={wide} height={places.height} aria-hidden="true">
      {#each moves as move, index (index)}
        <path class="under" d={move.path} />
        <path d={move.path} />
        <circle cx={move.x1} cy={move.y1} r="3.5" />
        <polygon points={move.head} />
      {/each}
    </svg>
    {#if now && now.min >= ovens.from.min && now.min <= ovens.to.min}
      <div class="now" style:left="{scale.x(now.min)}px" style:height="{places.height - sizes.between}px">
        <span class="tag">now {now.clock}</span>
      </div>
    {/if}
    <!-- Last, so that names stay in view over what is scrolled below them. -->
    {#each ovens.ovens as oven, index (oven.id)}
      <div class="name" style:top="{(places.tops[index] ?? 0) + sizes.labels + 4}px">
        <div style:height="{sizes.curve + oven.shelves * sizes.shelf - 4}px">
          <strong class="block text-lg leading-tight">{oven.name}</strong>
          <span class="small">{oven.shelves} shelves{oven.dialOffsetC ? ', fan' : ''}</span>
        </div>
      </div>
    {/each}
  </div>
</div>

<style>
  .controls {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem;
    margin-top: 0.8rem;
  }

  .scroller {
    overflow-x: auto;
    margin-top: 0.4rem;
    overscroll-behavior-x: contain;
  }

  .drawing {
    position: relative;
    font-size: 13px;
  }

  .hour {
    position: absolute;
    top: 0;
    border-left: 1px solid var(--color-line);
    color: var(--color-soft);
  }

  .hour span {
    position: absolute;
    transform: translateX(-50%);
    white-space: nowrap;
    background: var(--color-base-100);
    padding: 0 3px;
  }

  .break {
    position: absolute;
    top: 24px;
    bottom: 20px;
    border-left: 2px dotted #8b7763;
  }

  /* A sticky child of a strip as wide as the drawing, so that it stays at the left while the drawing is moved. */
  .name {
    position: absolute;
    left: 0;
    right: 0;
    pointer-events: none;
    z-index: 5;
  }

  .name div {
    position: sticky;
    left: 0;
    width: 96px;
    background: var(--color-base-100);
  }

  .bed {
    position: absolute;
    background: repeating-linear-gradient(
      to bottom,
      var(--color-base-200) 0 calc(var(--shelf) - 1px),
      var(--color-line) calc(var(--shelf) - 1px) var(--shelf)
    );
  }

  .cold {
    position: absolute;
    left: 116px;
  }

  .setting {
    position: absolute;
    white-space: nowrap;
    font-weight: 600;
    font-size: 12.5px;
    line-height: 16px;
    padding: 0 3px 0 4px;
    background: var(--color-base-100);
    z-index: 4;
  }

  .setting::before {
    content: '';
    position: absolute;
    left: 0;
    top: 0;
    height: var(--stem);
    border-left: 1px solid var(--color-base-content);
  }

  /* Near the right edge a label stands before its minute. */
  .setting.left {
    transform: translateX(-100%);
    padding: 0 4px 0 3px;
  }

  .setting.left::before {
    left: auto;
    right: 0;
  }

  .setting.drop {
    font-weight: 800;
  }

  /* The drop: one line through curve and shelves, where the heat goes down under the trays. */
  .drop-line {
    position: absolute;
    border-left: 2px solid var(--color-base-content);
    z-index: 1;
    pointer-events: none;
  }

  .layer {
    position: absolute;
    display: flex;
    padding: 0;
    overflow: hidden;
    border-radius: 3px;
    cursor: pointer;
    outline: 1px solid rgb(42 29 23 / 45%);
    outline-offset: -1px;
  }

  /* Shelves show through a layer that lies on several. */
  .layer::after {
    content: '';
    position: absolute;
    inset: 0;
    background: repeating-linear-gradient(
      to bottom,
      transparent 0 calc(var(--shelf) - 1px),
      rgb(255 253 247 / 45%) calc(var(--shelf) - 1px) var(--shelf)
    );
    pointer-events: none;
  }

  .layer:focus-visible,
  .layer.open {
    outline: 3px solid var(--color-damson);
    z-index: 2;
  }

  .stage {
    display: block;
    height: 100%;
    flex: none;
  }

  .layer .tag {
    position: absolute;
    left: 4px;
    top: 50%;
    transform: translateY(-50%);
    max-width: calc(100% - 8px);
    font-size: 12.5px;
    font-weight: 600;
    z-index: 2;
  }

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

  .now {
    position: absolute;
    top: 16px;
    border-left: 2px solid var(--color-base-content);
    z-index: 4;
    pointer-events: none;
  }

  .now .tag {
    position: absolute;
    bottom: -18px;
    transform: translateX(-50%);
    font-weight: 700;
  }
</style>
