<script lang="ts">
  import type { Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'
  import PanSection from '../recipes/PanSection.svelte'

  interface Props {
    pie: Schemas['PieAnswer'] | undefined
  }
  const { pie }: Props = $props()
</script>

<!-- The pie as it is written so far: it stands beside the words and grows with them. -->
<aside aria-label="The pie so far">
  {#if pie}
    <PanSection pan={pie.pan} filling={pie.filling} layers={pie.layers} top={pie.top} isBrief />
    <p>
      {grams(pie.doughGrams)} of dough a pie, {pie.pan.name} pan:
      {pie.pieces.join('; ')}.
    </p>
    {#if pie.said}<p class="small">{pie.said}</p>{/if}
    {#each pie.room as said (said)}<p class="font-bold">{said}</p>{/each}
  {:else}
    <p class="small">The pie is drawn here as soon as a dough, a pan and a filling hold together.</p>
  {/if}
</aside>

<style>
  @media (min-width: 1100px) {
    aside {
      position: sticky;
      top: 1rem;
    }
  }
</style>
