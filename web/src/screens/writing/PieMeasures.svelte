<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'

  interface Props {
    /** The recipe as it is written. */
    written: Schemas['ProductDraft']
    failure: Failure | undefined
  }
  const { written, failure }: Props = $props()
</script>

<!-- What is counted by the pie, and how its filling moves and keeps. -->
<div class="row mt-3">
  <Field label="Counted by the pie, one a line" field="packaging" {failure}>
    {#snippet children(ties)}<textarea class="field w-64" rows="2" bind:value={written.packaging} {...ties}
      ></textarea>{/snippet}
  </Field>
  <NumberField
    label="Middle moves in the bake, cm"
    field="bakeChangeCm"
    {failure}
    bind:value={written.bakeChangeCm}
    size={6}
  />
  <NumberField label="Oldest at pick-up, min" field="oldestMin" {failure} bind:value={written.oldestMin} size={8} />
</div>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: flex-start;
    padding: 0.4rem 0;
  }
</style>
