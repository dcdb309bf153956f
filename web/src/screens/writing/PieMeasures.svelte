<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'

  interface Props {
    /** The recipe as it is written. */
    written: Schemas['ProductDraft']
    /** The doughs that can be chosen. */
    doughs: Schemas['WrittenDough'][]
    failure: Failure | undefined
  }
  const { written, doughs, failure }: Props = $props()
</script>

<!-- What is counted by the pie, how its dough is rolled and cut, and how its filling moves and keeps. -->
<div class="row mt-3">
  <Field label="Counted by the pie, one a line" field="packaging" {failure}>
    {#snippet children(ties)}<textarea class="field w-64" rows="2" bind:value={written.packaging} {...ties}
      ></textarea>{/snippet}
  </Field>
  <NumberField label="Dough rolled to, mm" field="thicknessMm" {failure} bind:value={written.thicknessMm} size={6} />
  <NumberField
    label="Base over the rim, cm"
    field="baseOverhangCm"
    {failure}
    bind:value={written.baseOverhangCm}
    size={6}
  />
  {#if written.top === 'lid' || written.top === 'lattice'}
    <NumberField
      label="Top over the rim, cm"
      field="topOverhangCm"
      {failure}
      bind:value={written.topOverhangCm}
      size={6}
    />
  {/if}
  {#if written.top === 'lid' || written.top === 'lattice' || written.top === 'cutOuts'}
    <Field label="Dough on top" field="topDough" {failure}>
      {#snippet children(ties)}<select
          class="field"
          bind:value={() => written.topDough ?? '', (id) => (written.topDough = id === '' ? null : id)}
          {...ties}
          ><option value="">the same</option
          >{#each doughs.filter((one) => one.id !== written.dough) as dough (dough.id)}<option value={dough.id}
              >{dough.draft.name}</option
            >{/each}</select
        >{/snippet}
    </Field>
    <NumberField
      label="Top rolled to, mm, if not the same"
      field="topThicknessMm"
      {failure}
      bind:value={written.topThicknessMm}
      size={6}
    />
  {/if}
  {#if written.top === 'lattice'}
    <NumberField label="Strips wide, cm" field="stripWidthCm" {failure} bind:value={written.stripWidthCm} size={6} />
    <NumberField label="Gaps, cm" field="stripGapCm" {failure} bind:value={written.stripGapCm} size={6} />
  {/if}
  {#if written.top === 'cutOuts'}
    <NumberField label="Cut-outs across, cm" field="cutOutCm" {failure} bind:value={written.cutOutCm} size={6} />
    <NumberField label="Cut-outs a pie" field="cutOuts" {failure} bind:value={written.cutOuts} size={6} />
  {/if}
  {#if written.lining === 'smallRounds'}
    <NumberField label="Scraps rolled again, times" field="rerolls" {failure} bind:value={written.rerolls} size={6} />
  {/if}
  {#if written.top === 'cutOuts' && !written.topDough}
    <label class="flex min-h-11 items-center gap-2 self-end"
      ><input
        type="checkbox"
        class="size-5"
        checked={written.cutOutsFromTrim ?? true}
        onchange={(event) => (written.cutOutsFromTrim = event.currentTarget.checked)}
      /> cut-outs from the base's trim</label
    >
  {/if}
  <NumberField label="Trimmed off, %" field="trimPercent" {failure} bind:value={written.trimPercent} size={6} />
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
