<script lang="ts">
  import { keys } from './keys.svelte'
  import { places, screens } from './places'

  let dialog = $state<HTMLDialogElement>()

  $effect(() => {
    if (keys.isHelpOpen) dialog?.showModal()
    else dialog?.close()
  })

  const others = [
    ['n', 'a new order'],
    [', .', 'the day before, the day after, of those with orders'],
    ['t', 'light or dark'],
    ['?', 'this list'],
    ['↑ ↓', 'step a dotted word; with Page up and Page down in larger steps'],
    ['+ − 0', 'on the oven drawing: closer, wider, the whole'],
  ]
</script>

<dialog bind:this={dialog} onclose={() => (keys.isHelpOpen = false)} aria-labelledby="keys-title">
  <h2 id="keys-title">Keys</h2>
  <dl>
    {#each [...places, ...screens] as place (place.id)}
      <dt><kbd>{place.key}</kbd></dt>
      <dd>{place.name}</dd>
    {/each}
    {#each others as [key, words] (key)}
      <dt><kbd>{key}</kbd></dt>
      <dd>{words}</dd>
    {/each}
  </dl>
  <div class="mt-4 flex gap-3">
    <button class="press press-main" onclick={() => (keys.isHelpOpen = false)}>Close</button>
    <button class="press" aria-pressed={!keys.isOn} onclick={() => keys.switch()}>
      {keys.isOn ? 'Switch single keys off' : 'Switch single keys on'}
    </button>
  </div>
</dialog>

<style>
  dialog {
    margin: auto;
    border: 1px solid var(--color-damson);
    border-radius: 8px;
    background: var(--color-paper);
    color: var(--color-base-content);
    padding: 1.2rem 1.6rem;
    max-width: 34rem;
  }

  dialog::backdrop {
    background: rgb(42 29 23 / 45%);
  }

  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.3rem 1rem;
    margin-top: 0.6rem;
  }

  kbd {
    font: inherit;
    font-weight: 700;
    border: 1px solid #8b7763;
    border-radius: 3px;
    padding: 0 0.5rem;
    white-space: nowrap;
  }
</style>
