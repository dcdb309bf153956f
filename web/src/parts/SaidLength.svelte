<script lang="ts">
  import type { Failure } from '../api/client'
  import { lengthOf, minutesOf } from './lengths'

  interface Props {
    /** What it is, for those who do not see the sentence around it. */
    label: string
    /** Its path in the server's answer, so that a fault finds it. */
    field: string
    failure: Failure | undefined
    /** Minutes. */
    value: number | null | undefined
    /** Characters it is wide. */
    size?: number
  }
  let { label, field, failure, value = $bindable(), size = 8 }: Props = $props()

  // What cannot be read is sent as what no length can be, and refused there like any other number out of range.
  const unread = -1
  const read = (text: string) => minutesOf(text) ?? (text.trim() === '' ? null : unread)
  let typed = $state<string>()
  const isOdd = $derived(value === unread)
</script>

<!-- A length of time within a sentence: "90 min", "12 h", "3 days"; a bare number is minutes. -->
<span class="whole">
  <input
    class="field"
    style:width="{size + 3}ch"
    value={typed ?? lengthOf(value)}
    oninput={(event) => {
      typed = event.currentTarget.value
      value = read(typed)
    }}
    onblur={() => (typed = isOdd ? typed : undefined)}
    aria-label={label}
    aria-invalid={isOdd || !!failure?.fields[field]}
    title="90 min, 12 h, 3 days"
    inputmode="text"
  />
  {#if isOdd}<b role="alert">write 90 min, 12 h or 3 days</b>{/if}
</span>

<style>
  .whole {
    display: inline-flex;
    align-items: center;
    gap: 0.3rem;
  }
</style>
