<script lang="ts">
  import type { Snippet } from 'svelte'

  interface Props {
    /** The whole sentence as plain words; told to assistive technology when it has come to rest after a change. */
    spoken: string
    children: Snippet
  }
  const { spoken, children }: Props = $props()

  let told = $state('')
  let first = true

  $effect(() => {
    const words = spoken
    // What stands there at first is read as a heading; only changes are announced.
    if (first) {
      first = false
      return
    }
    const rest = setTimeout(() => (told = words), 600)
    return () => clearTimeout(rest)
  })
</script>

<h1 class="sentence">{@render children()}</h1>
<p class="sr-only" aria-live="polite">{told}</p>
