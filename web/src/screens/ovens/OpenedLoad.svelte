<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import PanSpots from '../../parts/PanSpots.svelte'
  import { colourOf } from '../../parts/heat'
  import { loadOf, placeOf, whatOf } from './layout'

  interface Props {
    layer: Schemas['LayerAnswer']
    oven: Schemas['OvenAnswer']
    onclose: () => void
  }
  const { layer, oven, onclose }: Props = $props()

  // Pixels for a centimetre: a tray of 66 x 46 cm is drawn to scale.
  const scale = 2
</script>

<section class="opened" aria-label="The opened load">
  <div>
    <h2>{loadOf(layer)} in {oven.name}: {whatOf(layer)}</h2>
    <ol class="stages">
      {#each layer.stages as stage (stage.number)}
        <li>
          <span class="heat" style:background={colourOf(stage.tempC)}></span>
          <span
            ><strong>{stage.start.clock} to {stage.end.clock}</strong>, {stage.tempC} °C, {duration(
              stage.end.min - stage.start.min,
            )}{stage.number === 1 && layer.fromOven === null ? ', in from the bench' : ''}{layer.fromOven !== null &&
            stage === layer.stages[0]
              ? `, moved here from ${layer.fromOven}`
              : ''}{stage.number > 1 && stage !== layer.stages[0] ? ', after the drop' : ''}</span
          >
        </li>
      {/each}
    </ol>
    <p>Ready when: {layer.readyWhen}.</p>
    <p class="small">
      Times are the earliest end of each stage; the test decides. {layer.pies > 0 ? 'For the pick-up at' : 'Used from'}
      {layer.pickUp.day}
      {layer.pickUp.clock}.
    </p>
    <button class="press mt-2" onclick={onclose}>Close the load</button>
  </div>
  <ul class="trays" aria-label="Its trays from above">
    {#each layer.trays as tray, index (index)}
      <li>
        <svg
          width={66 * scale}
          height={46 * scale}
          viewBox="0 0 66 46"
          role="img"
          aria-label="{placeOf(oven, layer.shelves[index])}: {layer.pies > 0 ? `${tray.pies} pies` : layer.product}"
        >
          <rect x="0.3" y="0.3" width="65.4" height="45.4" rx="1" />
          <PanSpots
            spots={tray.spots}
            width={layer.panCm}
            length={layer.panLengthCm}
            isTurned={tray.isTurned}
            rim={1}
          />
        </svg>
        <span class="small"
          >{placeOf(oven, layer.shelves[index])}: {layer.pies === 0
            ? layer.product.toLowerCase()
            : tray.pies === 1
              ? '1 pie'
              : `${tray.pies} pies`}</span
        >
      </li>
    {/each}
  </ul>
</section>

<style>
  .opened {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem 3rem;
    margin-top: 0.8rem;
    padding: 0.8rem 1rem;
    background: var(--color-paper);
    border: 1px solid var(--color-damson);
    border-radius: 8px;
  }

  .stages li {
    display: flex;
    align-items: center;
    gap: 0.6rem;
  }

  .heat {
    width: 14px;
    height: 14px;
    border-radius: 3px;
    border: 1px solid rgb(42 29 23 / 45%);
  }

  .trays {
    display: flex;
    flex-wrap: wrap;
    gap: 0.8rem;
  }

  .trays li {
    display: flex;
    flex-direction: column;
  }

  rect {
    fill: var(--color-base-200);
    stroke: #8b7763;
    stroke-width: 0.6;
  }
</style>
