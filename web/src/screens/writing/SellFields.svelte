<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import SaidFaults from '../../parts/SaidFaults.svelte'
  import SizeFields from './SizeFields.svelte'

  interface Props {
    /** The recipe as it is written. */
    written: Schemas['ProductDraft']
    /** The bakery's pans. */
    pans: Schemas['PanDraft'][]
    failure: Failure | undefined
  }
  const { written, pans, failure }: Props = $props()

  const sizes = $derived((written.sizes ?? []).filter((size) => size !== null))
  const others = $derived(pans.filter((pan) => !pan.retired && sizes.every((size) => size.pan !== pan.id)))
  const nameOf = (id: string | null | undefined) => pans.find((pan) => pan.id === id)?.name ?? id ?? ''
  let begun = $state('')

  function add(id: string) {
    begun = ''
    if (id === '') return
    written.sizes = [...sizes, { pan: id, price: null, packaging: null, bakeLeast: null, bakeMost: null }]
    written.referencePan ??= id
  }
  const faulty = $derived(Object.keys(failure?.fields ?? {}).filter((field) => /^(sizes|referencePan)/.test(field)))
</script>

<!-- In which pans it is made, at what price, and what goes out with it. -->
<fieldset class="mt-3">
  <legend><h2>Sell</h2></legend>
  {#each sizes as size (size.pan)}
    <div class="said border-line border-t" role="group" aria-label={nameOf(size.pan)}>
      <strong>{nameOf(size.pan)}</strong>
      <SizeFields {size} name={nameOf(size.pan)} bind:referencePan={written.referencePan} />
      {#if sizes.length > 1}
        <button
          class="link"
          type="button"
          aria-label="Take out {nameOf(size.pan)}"
          onclick={() => (written.sizes = sizes.filter((one) => one.pan !== size.pan))}>Take out</button
        >
      {/if}
    </div>
  {/each}
  {#if others.length > 0}
    <p class="said">
      <select class="field" aria-label="Add a size" bind:value={() => begun, add}>
        <option value="">Add a size</option>
        {#each others as pan (pan.id)}<option value={pan.id}>{pan.name}</option>{/each}
      </select>
    </p>
  {/if}
  <p class="said">
    Every pie goes out with
    <input
      class="field"
      style:width="28ch"
      aria-label="Counted by the pie, by commas"
      aria-invalid={!!failure?.fields.packaging}
      placeholder="Pie box, Label"
      bind:value={
        () => (written.packaging ?? '').replaceAll('\n', ', '),
        (things) => (written.packaging = things.replaceAll(/\s*,\s*/g, '\n'))
      }
    />.
  </p>
  <SaidFaults fields={[...faulty, 'packaging']} {failure} />
</fieldset>
