<script lang="ts">
  interface Props {
    label: string
    allergens: string[]
    /** What is ticked; null while nobody has said. */
    value: string[] | null
    /** Whether "none" is said by a tick of its own, so that saying nothing stays possible. */
    canBeUnknown?: boolean
  }
  let { label, allergens, value = $bindable(), canBeUnknown = false }: Props = $props()

  function toggle(allergen: string) {
    const kept = (value ?? []).filter((one) => one !== allergen)
    const next = kept.length < (value ?? []).length ? kept : [...kept, allergen]
    // Nobody has said anything as long as neither an allergen nor "none" is ticked.
    value = next.length === 0 && canBeUnknown ? null : next
  }
</script>

<fieldset class="mt-2">
  <legend class="small">{label}</legend>
  <div class="flex flex-wrap gap-x-5 gap-y-1">
    {#each allergens as allergen (allergen)}
      <label class="flex min-h-8 items-center gap-1.5"
        ><input
          type="checkbox"
          class="size-5"
          checked={value?.includes(allergen) ?? false}
          onchange={() => toggle(allergen)}
        />
        {allergen}</label
      >
    {/each}
    {#if canBeUnknown}
      <label class="flex min-h-8 items-center gap-1.5 font-bold"
        ><input
          type="checkbox"
          class="size-5"
          checked={value?.length === 0}
          onchange={(event) => (value = event.currentTarget.checked ? [] : null)}
        /> none of these</label
      >
    {/if}
  </div>
</fieldset>
