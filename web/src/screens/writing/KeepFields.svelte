<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import SaidFaults from '../../parts/SaidFaults.svelte'
  import SaidLength from '../../parts/SaidLength.svelte'
  import SaidNumber from '../../parts/SaidNumber.svelte'

  interface Props {
    /** The recipe as it is written. */
    written: Schemas['ProductDraft']
    /** Whether one of its pans is of glass or earthenware. */
    isBrittle: boolean
    failure: Failure | undefined
  }
  const { written, isBrittle, failure }: Props = $props()
  const fields = ['bakeChangeCm', 'oldestMin', 'assessment', 'glassFromFreezer']
  /** What is usual needs no looking at; what is stated or missing does. */
  const isOpen = $derived((written.assessment ?? '') !== '' || !!failure?.fields.assessment)
</script>

<!-- How it moves in the oven, and how it keeps. -->
<fieldset class="mt-3">
  <legend><h2>Bake and keep</h2></legend>
  <p class="said">
    While it bakes its middle moves by
    <SaidNumber label="Middle moves in the bake, cm" field="bakeChangeCm" {failure} bind:value={written.bakeChangeCm} /> cm
    <span class="small">(below nothing: it sinks)</span>.
  </p>
  <p class="said">
    At its pick-up it is out of the oven for
    <SaidLength label="Oldest at pick-up" field="oldestMin" {failure} bind:value={written.oldestMin} />
    at most.
  </p>
  {#if isBrittle}
    <label class="flex min-h-11 items-center gap-2"
      ><input
        type="checkbox"
        class="size-5"
        checked={written.glassFromFreezer ?? false}
        onchange={(event) => (written.glassFromFreezer = event.currentTarget.checked)}
      /> glass or earthenware may go from the freezer into a hot oven</label
    >
  {/if}
  <details open={isOpen}>
    <summary class="small"
      >{isOpen ? 'Assessed for time and temperature' : 'Its steps keep to the rule for time and temperature'}</summary
    >
    <label class="flex grow flex-col"
      ><span class="small"
        >Where its steps leave the rule: who assessed it, how, and when. It then stands wherever the product is.</span
      >
      <textarea
        class="field w-full"
        rows="2"
        bind:value={
          () => written.assessment ?? '', (value) => (written.assessment = value.trim() === '' ? null : value)
        }
        aria-invalid={!!failure?.fields.assessment}></textarea></label
    >
  </details>
  <SaidFaults {fields} {failure} />
</fieldset>

<style>
  summary {
    cursor: pointer;
    text-decoration: underline dotted;
    min-height: 36px;
    display: flex;
    align-items: center;
  }
</style>
