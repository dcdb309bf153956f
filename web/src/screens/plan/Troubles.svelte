<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    /** The worst first. */
    troubles: Schemas['TroubleAnswer'][]
  }
  const { troubles }: Props = $props()
  // More than this nobody reads down before doing something about the first.
  const most = 12
  let isWhole = $state(false)
  const shown = $derived(isWhole ? troubles : troubles.slice(0, most))
</script>

<div class="note mt-3" role="alert">
  <h2>{troubles.length === 1 ? 'One thing does' : `${troubles.length} things do`} not work out</h2>
  <ul>
    {#each shown as trouble, index (index)}
      <li class="mt-1"><strong>{trouble.text}</strong> {trouble.mend}</li>
    {/each}
  </ul>
  {#if troubles.length > most}
    <button class="link screen-only mt-2" onclick={() => (isWhole = !isWhole)}
      >{isWhole ? `Only the worst ${most}` : `All ${troubles.length}`}</button
    >
  {/if}
</div>
