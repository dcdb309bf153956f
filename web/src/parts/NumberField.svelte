<script lang="ts">
  import type { Failure } from '../api/client'
  import Field from './Field.svelte'

  interface Props {
    label: string
    /** Its path in the server's answer: "ovens[1].shelves". */
    field: string
    failure: Failure | undefined
    value: number | null | undefined
    /** Characters it is wide; a field of figures needs few. */
    size?: number
    step?: number | 'any'
  }
  let { label, field, failure, value = $bindable(), size = 7, step = 'any' }: Props = $props()
</script>

<Field {label} {field} {failure}>
  {#snippet children(ties)}
    <input class="field" style:width="{size + 3}ch" type="number" {step} bind:value {...ties} />
  {/snippet}
</Field>
