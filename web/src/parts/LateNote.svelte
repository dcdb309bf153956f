<script lang="ts">
  import { today } from './day.svelte'

  const late = $derived(today.plan?.late)
</script>

<!-- What should have begun by now stands first, before anything is promised. -->
{#if late}
  <div class="note mb-3" role="alert">
    <p><strong>{late.words}</strong> {late.still}</p>
    <p class="screen-only mt-2 flex flex-wrap gap-3" role="group" aria-label="Which plan is shown">
      <button class="press" aria-pressed={!late.isFromNow} onclick={() => today.begin(false)}>As it was planned</button>
      <button class="press" aria-pressed={late.isFromNow} onclick={() => today.begin(true)}>Begun now</button>
      <span class="small self-center"
        >{late.isFromNow
          ? 'Below: all of it begun now.'
          : 'Below: as it was planned, for a crew that is at work on it.'}</span
      >
    </p>
  </div>
{/if}

<style>
  [aria-pressed='true'] {
    background: var(--color-damson);
    color: var(--color-paper);
  }
</style>
