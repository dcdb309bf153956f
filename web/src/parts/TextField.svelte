<script lang="ts">
  import type { Failure } from '../api/client'
  import Field from './Field.svelte'

  interface Props {
    label: string
    /** Its path in the server's answer: "ovens[1].name". */
    field: string
    failure: Failure | undefined
    value: string | null | undefined
    /** Characters it is wide; without it, as wide as there is room. */
    size?: number
    /** Id of a list of suggestions. */
    list?: string
    placeholder?: string
    inputmode?: 'numeric' | 'text'
  }
  let { label, field, failure, value = $bindable(), size, list, placeholder, inputmode }: Props = $props()
</script>

<Field {label} {field} {failure}>
  {#snippet children(ties)}
    <input
      class="field"
      style:width={size ? `${size + 3}ch` : '100%'}
      maxlength="300"
      {list}
      {placeholder}
      {inputmode}
      bind:value
      {...ties}
    />
  {/snippet}
</Field>
