<script lang="ts">
  import type { Failure } from '../api/client'
  import Field from './Field.svelte'

  interface Props {
    label: string
    /** Its path in the server's answer. */
    field: string
    failure: Failure | undefined
    options: { value: string; words: string }[]
    value: string | null | undefined
  }
  let { label, field, failure, options, value = $bindable() }: Props = $props()
</script>

<Field {label} {field} {failure}>
  {#snippet children(ties)}
    <select class="field" bind:value {...ties}
      >{#each options as option (option.value)}<option value={option.value}>{option.words}</option>{/each}</select
    >
  {/snippet}
</Field>
