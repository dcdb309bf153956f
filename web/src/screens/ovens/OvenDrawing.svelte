<script lang="ts">
  import { tick } from 'svelte'
  import type { Schemas } from '../../api/client'
  import Mark from '../../parts/Mark.svelte'
  import { colourOf } from '../../parts/heat'
  import HeatCurve from './HeatCurve.svelte'
  import OvenMoves from './OvenMoves.svelte'
  import OvenSettings from './OvenSettings.svelte'
  import {
    countOf,
    fitting,
    mostZoom,
    ovenTops,
    rowsOf,
    loadOf,
    shelfRuns,
    sizes,
    timeScale,
    whatOf,
    widthOf,
    zoomStep,
  } from './layout'

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

  const nameOf = (layer: Layer) => (layer.step ? `${layer.product} ${layer.step}` : layer.product)
  const shortName = (layer: Layer) => layer.step || (layer.product.split(' ')[0] ?? '')
  /** What stands on a layer's paper tag: shorter where there is less room, and nothing where a number would not fit. */
  const tagOf = (layer: Layer, width: number) =>
    fitting(
      [
        `${countOf(layer)} ${nameOf(layer)}`,
        ...(layer.pies > 0 ? [] : [layer.product]),
        `${countOf(layer)} ${shortName(layer)}`,
        countOf(layer),
      ],
      width,
    )
  const wordsOf = (layer: Layer) =>
    `${loadOf(layer)}: ${whatOf(layer)}${layer.isOnFloor ? ', on the floor' : ''}, ${layer.stages
      .map((stage) => `${stage.tempC} °C ${stage.start.clock} to ${stage.end.clock}`)
      .join(
        ', then ',
      )}${layer.heatedFrom ? `, empty trays heated from ${layer.heatedFrom.clock}` : ''}${layer.fromOven ? `, from ${layer.fromOven}` : ''}`

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

  /** A mouse takes hold of the empty parts and moves the drawing; fingers and wheels scroll it as they do everywhere. */
  let held = $state(false)

  function hold(event: PointerEvent) {
    if (event.pointerType !== 'mouse' || event.button !== 0 || (event.target as Element).closest('button')) return
    held = true
    scroller?.setPointerCapture(event.pointerId)
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
<div
  class="scroller"
  bind:clientWidth={room}
  bind:this={scroller}
  onwheel={wheel}
  class:held
  onpointerdown={hold}
  onpointermove={(event) => held && scroller?.scrollBy(-event.movementX, 0)}
  onpointerup={() => (held = false)}
  onpointercancel={() => (held = false)}
  role="presentation"
>
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
        {#each [{ above: 0, rows: oven.shelves }, { above: oven.shelves, rows: oven.floorPlaces }] as bed (bed.above)}
          {#if bed.rows > 0}
            <div
              class="bed"
              class:floor={bed.above > 0}
              style:left="{block.left}px"
              style:width="{(block.to - block.from) * scale.perMinute}px"
              style:top="{shelvesTop(index) + bed.above * sizes.shelf}px"
              style:height="{bed.rows * sizes.shelf}px"
              style:--shelf="{sizes.shelf}px"
            ></div>
          {/if}
        {/each}
      {/each}
      {#if oven.settings.length === 0}
        <p class="cold small" style:top="{shelvesTop(index) + 6}px">stays cold</p>
      {/if}
      <HeatCurve {oven} x={scale.x} top={(places.tops[index] ?? 0) + sizes.labels} />
      <OvenSettings {oven} {scale} end={wide} top={places.tops[index] ?? 0} />
      {#each oven.layers as layer (layer.id)}
        {#each shelfRuns(layer) as run (run.first)}
          {@const start = scale.x(layer.stages[0]?.start.min ?? 0)}
          {@const end = scale.x(layer.stages.at(-1)?.end.min ?? 0)}
          {@const tag = tagOf(layer, end - start)}
          {#if layer.heatedFrom}
            <div
              class="heated"
              style:left="{scale.x(layer.heatedFrom.min)}px"
              style:width="{start - scale.x(layer.heatedFrom.min)}px"
              style:top="{shelvesTop(index) + (run.first - 1) * sizes.shelf}px"
              style:height="{run.count * sizes.shelf - 2}px"
              title="Empty trays heat from {layer.heatedFrom.clock} for {loadOf(layer).toLowerCase()}"
            ></div>
          {/if}
          <button
            class="layer"
            class:open={opened === layer}
            class:other={layer.day !== ''}
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
            {#if tag && (layer.pies === 0 || tag !== countOf(layer))}<span class="tag">{tag}</span>
            {:else if layer.pies > 0 && tag && end - start >= 46}<span class="tag"
                ><Mark product={layer.product} size={15} /> {tag}</span
              >{:else if layer.pies > 0 && end - start >= 18}<span class="tag bare"
                ><Mark product={layer.product} size={15} /></span
              >{/if}
          </button>
        {/each}
      {/each}
    {/each}

    <OvenMoves {ovens} {scale} {shelvesTop} width={wide} height={places.height} />
    {#if now && now.min >= ovens.from.min && now.min <= ovens.to.min}
      <div class="now" style:left="{scale.x(now.min)}px" style:height="{places.height - sizes.between}px">
        <span class="tag">now {now.clock}</span>
      </div>
    {/if}
    <!-- Last, so that names stay in view over what is scrolled below them. -->
    {#each ovens.ovens as oven, index (oven.id)}
      <div class="name" style:top="{(places.tops[index] ?? 0) + sizes.labels + 4}px">
        <div style:height="{sizes.curve + rowsOf(oven) * sizes.shelf - 4}px">
          <strong class="block text-lg leading-tight">{oven.name}</strong>
          <span class="small"
            >{oven.shelves} shelves{oven.floorPlaces ? `, floor ${oven.floorPlaces}` : ''}{oven.dialOffsetC
              ? ', fan'
              : ''}</span
          >
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

  .scroller.held {
    cursor: grabbing;
    user-select: none;
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

  /* The floor is stone: a thick line under the shelves, and closer ruling. */
  .floor {
    border-top: 2px solid var(--color-soft);
  }

  /* Nothing on it yet: an empty outline. */
  .heated {
    position: absolute;
    border: 1.5px dashed var(--color-soft);
    border-radius: 3px;
  }

  .cold {
    position: absolute;
    left: 116px;
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

  /* What an earlier day has in the oven is there, and not this day's: pale, in a dashed outline. */
  .layer.other {
    opacity: 0.55;
    outline: 2px dashed var(--color-base-content);
    outline-offset: -2px;
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

  .layer .bare {
    left: 1px;
    padding: 0;
    background: none;
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
