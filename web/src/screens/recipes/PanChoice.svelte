<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    pans: Schemas['PanAnswer'][]
    chosen: string
    onchoose: (pan: string) => void
  }
  const { pans, chosen, onchoose }: Props = $props()
  // Pixels for a centimetre: the pans stand side by side to scale.
  const scale = 3.2
</script>

<div class="flex flex-wrap items-end gap-4" role="group" aria-label="Pans, to scale">
  {#each pans as pan (pan.id)}
    {@const length = (pan.topCm + 2 * pan.rimCm) * scale}
    {@const width = (pan.topWidthCm + 2 * pan.rimCm) * scale}
    <button
      class="pan"
      class:chosen={pan.id === chosen}
      aria-pressed={pan.id === chosen}
      class:long={!pan.isRound}
      class:free={pan.isFreeForm}
      style:width="{length}px"
      style:height="{width}px"
      aria-label={pan.name}
      onclick={() => onchoose(pan.id)}
      ><span class="floor" style:width="{pan.bottomCm * scale}px" style:height="{pan.bottomWidthCm * scale}px"
        >{length > 56 ? pan.name : ''}</span
      ></button
    >
  {/each}
</div>

<style>
  .pan {
    display: grid;
    place-items: center;
    border-radius: 50%;
    border: 2px solid #8b7763;
    background: var(--color-paper);
    cursor: pointer;
  }

  .floor {
    display: grid;
    place-items: center;
    border-radius: 50%;
    border: 1px solid var(--color-line);
  }

  .long,
  .long .floor {
    border-radius: 4px;
  }

  .free {
    border-style: dashed;
  }

  .chosen {
    border: 3px solid var(--color-damson);
    font-weight: 700;
  }
</style>
