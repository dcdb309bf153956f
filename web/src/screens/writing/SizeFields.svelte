<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    size: Schemas['SizeDraft']
    /** Name of the pan. */
    name: string
    /** Id of the pan for which the recipe is written. */
    referencePan: string | null | undefined
  }
  let { size, name, referencePan = $bindable() }: Props = $props()
</script>

<label class="flex items-center gap-1"
  ><span class="small">sells for</span>
  <input
    class="field w-24"
    type="number"
    step="any"
    min="0"
    bind:value={size.price}
    aria-label="Selling price in {name}"
  /></label
>
<label class="flex items-center gap-1"
  ><input type="radio" name="reference" class="size-5" value={size.pan} bind:group={referencePan} />
  <span class="small">written for this one</span></label
>
<span class="flex items-center gap-1"
  ><span class="small">bakes</span>
  <input
    class="field w-16"
    type="number"
    min="1"
    bind:value={size.bakeLeast}
    aria-label="Least minutes that it bakes in {name}; empty for what the steps say"
  />
  <span class="small">to</span>
  <input
    class="field w-16"
    type="number"
    min="1"
    bind:value={size.bakeMost}
    aria-label="Most minutes that it bakes in {name}"
  />
  <span class="small">min, if not as its steps say</span></span
>
<label class="flex items-center gap-1"
  ><span class="small">packed with, beside the rest</span>
  <input
    class="field w-40"
    bind:value={
      () => (size.packaging ?? '').replaceAll('\n', ', '),
      (value) => (size.packaging = value.trim() === '' ? null : value.replaceAll(/\s*,\s*/g, '\n'))
    }
    placeholder="Pie box, large"
    aria-label="Packed with in {name}, beside what every size has"
  /></label
>
