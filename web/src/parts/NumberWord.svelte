<script lang="ts">
  interface Props {
    /** The number shown; whole. */
    value: number
    least: number
    most: number
    /** What it is, for those who cannot see the sentence around it. */
    label: string
    onchange: (value: number) => void
  }
  const { value, least, most, label, onchange }: Props = $props()

  let typed = $state<string>()
  const words = $derived(typed ?? String(value))
  const isWrong = $derived(typed !== undefined && !isWhole(typed))

  function isWhole(text: string): boolean {
    return /^\d{1,7}$/.test(text) && Number(text) >= least && Number(text) <= most
  }

  function type(text: string) {
    typed = text
    if (isWhole(text)) onchange(Number(text))
  }

  function step(event: KeyboardEvent) {
    const by = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[event.key]
    if (!by) return
    event.preventDefault()
    typed = undefined
    onchange(Math.min(most, Math.max(least, value + by)))
  }
</script>

<input
  class="word"
  class:wrong={isWrong}
  style:width="{Math.max(1, words.length) + 0.4}ch"
  inputmode="numeric"
  role="spinbutton"
  aria-label={label}
  aria-valuenow={value}
  aria-valuemin={least}
  aria-valuemax={most}
  aria-invalid={isWrong}
  title="Type a number, or step it with the arrow keys"
  value={words}
  oninput={(event) => type(event.currentTarget.value.trim())}
  onkeydown={step}
  onfocus={(event) => event.currentTarget.select()}
  onblur={() => (typed = undefined)}
/>

<style>
  input {
    text-align: center;
    min-width: 1.5ch;
  }

  .wrong {
    text-decoration: line-through;
  }
</style>
