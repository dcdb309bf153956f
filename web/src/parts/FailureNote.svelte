<script lang="ts">
  import type { Failure } from '../api/client'

  interface Props {
    failure: Failure | undefined
  }
  const { failure }: Props = $props()
</script>

{#if failure}
  <p class="note my-3" role="alert">
    {failure.title}
    {#each Object.entries(failure.fields) as [field, messages] (field)}
      {#each messages as message (message)}
        <span class="block">{message}</span>
      {/each}
    {/each}
  </p>
{/if}
