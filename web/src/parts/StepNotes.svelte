<script lang="ts">
  interface Props {
    /** The sensory test; may be empty. */
    readyWhen: string
    /** What can hurt; may be empty. */
    caution: string
  }
  const { readyWhen, caution }: Props = $props()
</script>

{#if readyWhen}<span class="small block">Ready when: {readyWhen}</span>{/if}
{#if caution}<span class="small block"><b>Caution:</b> {caution}</span>{/if}
