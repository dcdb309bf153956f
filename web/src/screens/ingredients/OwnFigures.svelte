<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    draft: Schemas['IngredientDraft']
    /** With the figures in force; none for a new ingredient. */
    first: Schemas['IngredientAnswer'] | undefined
    failure: Failure | undefined
  }
  let { draft = $bindable(), first, failure }: Props = $props()

  const rows = $derived([
    ...(first?.density ? [`${first.density.gramsPerMl} g/ml: ${first.density.source}`] : []),
    ...(first?.pieces.map((piece) => `${piece.piece} ${piece.grams} g: ${piece.source}`) ?? []),
    ...(first?.yields.map((one) => `${one.preparation} ${one.percent} % left: ${one.source}`) ?? []),
  ])
</script>

<section class="mt-2" aria-label="Figures of your own">
  <p class="small">
    {rows.length > 0 ? `In force: ${rows.join('; ')}.` : 'No density and no weight of one is known.'} A figure of your own
    wins; take it out and the one that ships is in force again.
  </p>
  <div class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
    <NumberField
      label="Density of your own, g/ml"
      field="gramsPerMl"
      {failure}
      bind:value={draft.gramsPerMl}
      size={8}
    />
    <TextField
      label="Where it comes from"
      field="densitySource"
      {failure}
      bind:value={draft.densitySource}
      size={22}
      placeholder="weighed here"
    />
    <NumberField label="Weighed to, g" field="weighedTo" {failure} bind:value={draft.weighedTo} size={6} />
    <NumberField
      label="Alcohol, % by volume (0 for none)"
      field="alcoholPercent"
      {failure}
      bind:value={draft.alcoholPercent}
      size={6}
    />
    <NumberField label="Of it is water, %" field="waterPercent" {failure} bind:value={draft.waterPercent} size={6} />
    {#each [{ label: 'Not to be tasted raw', field: 'unsafeRaw' as const, now: first?.unsafeRaw }, { label: 'Needs time and temperature control', field: 'needsControl' as const, now: first?.needsControl }] as one (one.field)}
      <label class="flex flex-col"
        ><span class="small">{one.label}</span>
        <select
          class="field"
          value={draft[one.field] === true ? 'yes' : draft[one.field] === false ? 'no' : ''}
          onchange={(event) =>
            (draft[one.field] = event.currentTarget.value === '' ? null : event.currentTarget.value === 'yes')}
        >
          <option value=""
            >as it ships{draft[one.field] === null && one.now !== undefined
              ? `: ${one.now ? 'yes' : 'no'}`
              : ''}</option
          >
          <option value="yes">yes</option>
          <option value="no">no</option>
        </select></label
      >
    {/each}
  </div>
  {#each draft.pieces ?? [] as piece, at (at)}
    {#if piece}
      <div class="mt-1 flex flex-wrap items-end gap-x-4">
        <TextField
          label="One of it: one, tin, stick"
          field="pieces[{at}].piece"
          {failure}
          bind:value={piece.piece}
          size={14}
        />
        <NumberField label="weighs, g" field="pieces[{at}].grams" {failure} bind:value={piece.grams} size={8} />
        <TextField
          label="Where it comes from"
          field="pieces[{at}].source"
          {failure}
          bind:value={piece.source}
          size={22}
        />
        <button class="link" type="button" onclick={() => draft.pieces?.splice(at, 1)}>Take out</button>
      </div>
    {/if}
  {/each}
  {#each draft.yields ?? [] as one, at (at)}
    {#if one}
      <div class="mt-1 flex flex-wrap items-end gap-x-4">
        <TextField
          label="Preparation"
          field="yields[{at}].preparation"
          {failure}
          bind:value={one.preparation}
          size={18}
          placeholder="pared and cored"
        />
        <NumberField label="leaves, %" field="yields[{at}].percent" {failure} bind:value={one.percent} size={6} />
        <TextField
          label="Where it comes from"
          field="yields[{at}].source"
          {failure}
          bind:value={one.source}
          size={22}
        />
        <button class="link" type="button" onclick={() => draft.yields?.splice(at, 1)}>Take out</button>
      </div>
    {/if}
  {/each}
  <p class="mt-1 flex flex-wrap gap-4">
    <button
      class="link"
      type="button"
      onclick={() => (draft.pieces = [...(draft.pieces ?? []), { piece: 'one', grams: null, source: 'weighed here' }])}
      >Add a weight of one</button
    >
    <button
      class="link"
      type="button"
      onclick={() =>
        (draft.yields = [...(draft.yields ?? []), { preparation: '', percent: null, source: 'weighed here' }])}
      >Add a yield</button
    >
  </p>
</section>
