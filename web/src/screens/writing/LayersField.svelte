<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import LayerField from './LayerField.svelte'
  import { withLayer } from './layers'

  interface Props {
    layers: Schemas['LayerDraft'][]
    failure: Failure | undefined
  }
  let { layers = $bindable(), failure }: Props = $props()
  type Layer = Schemas['LayerDraft']

  const isFilling = (layer: Layer) => (layer.part ?? 'filling') === 'filling'
  const fillings = $derived(layers.filter(isFilling).length)

  const add = (part: string) => (layers = withLayer(layers, part))

  function move(at: number, by: number) {
    const moved = [...layers]
    const [layer] = moved.splice(at, 1)
    if (layer) moved.splice(at + by, 0, layer)
    layers = moved
  }
  /** Whether a filling lies there that this one can change places with. */
  const canMove = (at: number, by: number) => {
    const [one, other] = [layers[at], layers[at + by]]
    return !!one && !!other && (one.part ?? 'filling') === (other.part ?? 'filling')
  }
</script>

<fieldset class="mt-4">
  <legend><h2>What it is made of, for one pie</h2></legend>
  {#each layers as layer, at (at)}
    <LayerField
      bind:layer={() => layer, (changed) => (layers = layers.with(at, changed))}
      {at}
      {failure}
      isOneOfSeveral={fillings > 1}
      onlower={canMove(at, -1) ? () => move(at, -1) : undefined}
      onhigher={canMove(at, 1) ? () => move(at, 1) : undefined}
      ontakeout={!isFilling(layer) || fillings > 1 ? () => (layers = layers.toSpliced(at, 1)) : undefined}
    />
  {/each}
  <div class="border-line mt-2 flex flex-wrap items-center gap-2 border-t pt-2">
    <span class="small">Add</span>
    <button class="press" type="button" onclick={() => add('filling')}>another filling</button>
    <button class="press" type="button" onclick={() => add('topping')}>a topping</button>
    <button class="press" type="button" onclick={() => add('finish')}>wash, sugar and the like</button>
    <button class="press" type="button" onclick={() => add('beside')}>something beside</button>
  </div>
  {#each failure?.fields.layers ?? [] as fault (fault)}<p class="w-full font-bold" role="alert">{fault}</p>{/each}
</fieldset>
