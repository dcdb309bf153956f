<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { colourOf } from '../../parts/temperature'
  import HeatCurve from './HeatCurve.svelte'
  import { labelRows, leastWidth, ovenTops, shelfRuns, sizes, timeScale } from './layout'

  interface Props {
    ovens: Schemas['OvensAnswer']
    now: Schemas['PlanAnswer']['now']
  }
  const { ovens, now }: Props = $props()
  type Oven = Schemas['OvenAnswer']
  type Layer = Schemas['LayerAnswer']

  let width = $state(1200)
  let opened = $state<Layer>()
  const wide = $derived(Math.max(width, leastWidth(ovens)))
  const scale = $derived(timeScale(ovens, wide))
  const places = $derived(ovenTops(ovens))
  const shelvesTop = (index: number) => (places.tops[index] ?? 0) + sizes.labels + sizes.curve

  function settingWords(oven: Oven, setting: Schemas['SettingAnswer']): string {
    if (setting.tempC === null) return `off ${setting.at.clock}`
    const dial = oven.dialOffsetC === 0 ? '' : ` (dial ${setting.dialC})`
    return `${setting.isDrop ? 'drop ' : ''}${setting.at.clock} ${setting.tempC}°${dial}`
  }

  const labelsOf = (oven: Oven) => {
    const labels = oven.settings.map((setting) => ({
      setting,
      words: settingWords(oven, setting),
      x: scale.x(setting.at.min),
    }))
    const rows = labelRows(labels.map(({ x, words }) => ({ x, width: words.length * 7 + 6 })))
    return labels.map((label, index) => ({ ...label, row: rows[index] ?? 0 }))
  }

  const nameOf = (layer: Layer) => (layer.step ? `${layer.product} ${layer.step}` : layer.product)
  const shortName = (layer: Layer) => layer.step || (layer.product.split(' ')[0] ?? '')
  /** What stands on a layer's paper tag: shorter where there is less room. */
  const tagOf = (layer: Layer, room: number) => `${layer.pies} ${room < 110 ? shortName(layer) : nameOf(layer)}`
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
          return {
            x1: scale.x(left?.stages.at(-1)?.end.min ?? entry),
            y1: shelvesTop(from) + ((left?.shelves[0] ?? 1) - 0.5) * sizes.shelf,
            x2: scale.x(entry),
            y2: shelvesTop(to) + ((layer.shelves[0] ?? 1) - 0.5) * sizes.shelf,
          }
        }),
    ),
  )
</script>

<section class="mt-5" aria-label="Ovens">
  <div class="scroller" bind:clientWidth={width}>
    <div class="drawing" style:height="{places.height}px" style:width="{wide}px">
      {#each ovens.blocks as block, at (block.from.min)}
        {#each block.hours as hour, index (hour.min)}
          <div class="hour" style:left="{scale.x(hour.min)}px" style:height="{places.height - 8}px">
            <span>{index === 0 || hour.clock === '00:00' ? `${hour.day} ` : ''}{hour.clock}</span>
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
        <div class="name" style:top="{(places.tops[index] ?? 0) + sizes.labels + 12}px">
          <strong class="block text-lg leading-tight">{oven.name}</strong>
          <span class="small">{oven.shelves} shelves{oven.dialOffsetC ? ', fan' : ''}</span>
        </div>
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
          <span
            class="setting"
            class:drop={label.setting.isDrop}
            class:left={label.x + label.words.length * 7 > wide}
            style:left="{label.x}px"
            style:top="{(places.tops[index] ?? 0) + (label.row === 0 ? 20 : 4)}px">{label.words}</span
          >
        {/each}
        {#each oven.layers as layer (`${layer.load} ${layer.product} ${layer.step} ${layer.pan} ${layer.pickUp.min} ${layer.shelves[0]}`)}
          {#each shelfRuns(layer) as run (run.first)}
            {@const start = scale.x(layer.stages[0]?.start.min ?? 0)}
            {@const end = scale.x(layer.stages.at(-1)?.end.min ?? 0)}
            <button
              class="layer"
              class:open={opened === layer}
              style:left="{start}px"
              style:width="{end - start}px"
              style:top="{shelvesTop(index) + (run.first - 1) * sizes.shelf}px"
              style:height="{run.count * sizes.shelf - 2}px"
              aria-label="{tagOf(layer, end - start)}. {wordsOf(layer)}"
              aria-pressed={opened === layer}
              title={wordsOf(layer)}
              onclick={() => (opened = opened === layer ? undefined : layer)}
            >
              {#each layer.stages as stage (stage.number)}
                <span
                  class="stage"
                  style:width="{scale.x(stage.end.min) - scale.x(stage.start.min)}px"
                  style:background={colourOf(stage.tempC)}
                ></span>
              {/each}
              <span class="tag">{tagOf(layer, end - start)}</span>
            </button>
          {/each}
        {/each}
      {/each}

      <svg class="moves" width={wide} height={places.height} aria-hidden="true">
        {#each moves as move, index (index)}
          <path
            d="M {move.x1} {move.y1} C {move.x1 + 14} {move.y1 + 30}, {move.x2 - 14} {move.y2 -
              30}, {move.x2} {move.y2}"
          />
          <circle cx={move.x2} cy={move.y2} r="3" />
        {/each}
      </svg>
      {#if now && now.min >= ovens.from.min && now.min <= ovens.to.min}
        <div class="now" style:left="{scale.x(now.min)}px" style:height="{places.height - sizes.between}px">
          <span class="tag">now {now.clock}</span>
        </div>
      {/if}
    </div>
  </div>
  <p class="small min-h-6" role="status">
    {#if opened}
      <strong>{wordsOf(opened)}</strong>; shelves {opened.shelves.join(', ')}; for {opened.pickUp.day}
      {opened.pickUp.clock}. Ready when: {opened.readyWhen}.
    {:else}
      {wide > width ? 'The drawing goes on to the right. ' : ''}Times are the earliest end of each stage; press a load
      to see its stages and its test. Dots show trays moving from one oven to the other.
    {/if}
  </p>
</section>

<style>
  .scroller {
    overflow-x: auto;
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

  .name {
    position: absolute;
    left: 0;
    width: 98px;
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
    padding-left: 3px;
    border-left: 1px solid var(--color-base-content);
  }

  /* Near the right edge a label stands before its minute. */
  .setting.left {
    transform: translateX(-100%);
    border-left: 0;
    border-right: 1px solid var(--color-base-content);
    padding: 0 3px 0 0;
  }

  .setting.drop {
    font-weight: 800;
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
    stroke-width: 2.5;
    stroke-dasharray: 0.1 5;
    stroke-linecap: round;
  }

  .moves circle {
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
