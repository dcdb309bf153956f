<script lang="ts">
  import { today } from './day.svelte'
</script>

{#if today.moves.length > 0}
  <div class="note asked" role="status">
    <span>
      <strong>Only asked:</strong>
      {today.moves.map((move) => `the ${move.from} pick-up at ${move.to}`).join(', ')}. No order is changed yet.
    </span>
    <button class="press press-main" onclick={() => today.keep()}>Move the orders</button>
    <button class="press" onclick={() => today.leave()}>Leave them</button>
  </div>
{/if}

<style>
  .asked {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.5rem 0.8rem;
    margin-top: 0.5rem;
  }
</style>
