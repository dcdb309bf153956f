<script lang="ts">
  import type { Failure } from '../api/client'

  interface Props {
    /** What it is, for those who do not see the sentence around it. */
    label: string
    /** Its path in the server's answer, so that a fault finds it. */
    field: string
    failure: Failure | undefined
    value: number | null | undefined
    /** Characters it is wide. */
    size?: number
  }
  let { label, field, failure, value = $bindable(), size = 4 }: Props = $props()
</script>

<!-- A number within a sentence. What is wrong with it is said below the sentence, by SaidFaults. -->
<input
  class="field n"
  style:width="{size + 3}ch"
  type="number"
  step="any"
  bind:value
  aria-label={label}
  aria-invalid={!!failure?.fields[field]}
/>
