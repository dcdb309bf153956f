<script lang="ts" generics="T extends string | number">
  import { stepsOf, type WordKind } from './word.svelte'

  interface Props {
    value: T
    kind: WordKind<T>
    /** What it is, for those who cannot see the sentence around it. */
    label: string
    onchange: (value: T) => void
  }
  const { value, kind, label, onchange }: Props = $props()

  let typed = $state<string>()
  // Where it was stepped to while the answer is under way: steps add up, however fast they come.
  let ahead = $state<T>()
  const current = $derived(ahead ?? value)
  let isOpen = $state(false)
  const words = $derived(typed ?? kind.words(current))
  const isWrong = $derived(typed !== undefined && kind.read(typed) === undefined)

  $effect(() => {
    void value
    ahead = undefined
  })

  function go(next: T) {
    if (next === current) return
    ahead = next
    onchange(next)
  }

  function type(text: string) {
    typed = text
    const read = kind.read(text)
    if (read !== undefined) go(read)
  }

  function step(steps: number) {
    typed = undefined
    go(kind.step(current, steps))
  }

  function key(event: KeyboardEvent) {
    const steps = stepsOf(event.key)
    if (steps === 0) return
    event.preventDefault()
    step(steps)
  }
</script>

<span
  class="holder"
  onfocusin={() => (isOpen = true)}
  onfocusout={(event) => {
    if (!event.currentTarget.contains(event.relatedTarget as Node | null)) isOpen = false
  }}
>
  <input
    class="word"
    class:wrong={isWrong}
    style:--letters="{Math.max(1, words.length) + 0.4}ch"
    inputmode={kind.inputmode}
    role="spinbutton"
    aria-label={label}
    aria-valuenow={kind.now(current)}
    aria-valuetext={kind.words(current)}
    aria-valuemin={kind.least}
    aria-valuemax={kind.most}
    aria-invalid={isWrong}
    title={kind.hint}
    autocomplete="off"
    value={words}
    oninput={(event) => type(event.currentTarget.value.trim())}
    onkeydown={key}
    onfocus={(event) => event.currentTarget.select()}
    onblur={() => (typed = undefined)}
  />
  {#if isOpen}
    <!-- For fingers; keys have the arrows. Above the word, where nothing is to be pressed. The buttons keep the focus in the word. -->
    <span class="steps">
      <button
        type="button"
        tabindex="-1"
        aria-label="Less"
        onpointerdown={(event) => event.preventDefault()}
        onclick={() => step(-1)}>−</button
      >
      <button
        type="button"
        tabindex="-1"
        aria-label="More"
        onpointerdown={(event) => event.preventDefault()}
        onclick={() => step(1)}>+</button
      >
    </span>
  {/if}
</span>

<style>
  .holder {
    position: relative;
    display: inline-block;
  }

  input {
    text-align: center;
    min-width: 1ch;
    field-sizing: content;
  }

  /* Where a browser does not size an input by its content, its letters are counted. */
  @supports not (field-sizing: content) {
    input {
      width: var(--letters);
    }
  }

  .wrong {
    text-decoration: line-through;
  }

  .steps {
    position: absolute;
    left: 50%;
    bottom: calc(100% + 2px);
    transform: translateX(-50%);
    display: flex;
    gap: 6px;
    padding: 5px;
    background: var(--color-paper);
    border: 1px solid var(--color-damson);
    border-radius: 8px;
    z-index: 10;
  }

  .steps button {
    width: 44px;
    height: 44px;
    border-radius: 8px;
    font-family: var(--font-sans);
    font-size: 1.4rem;
    line-height: 1;
    color: var(--color-damson);
    cursor: pointer;
  }

  .steps button:hover {
    background: var(--color-base-200);
  }

  @media print {
    .steps {
      display: none;
    }
  }
</style>
