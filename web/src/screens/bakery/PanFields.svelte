<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import KindField from '../../parts/KindField.svelte'
  import { words } from '../../parts/words.svelte'

  interface Props {
    draft: Schemas['BakeryDraft']
    failure: Failure | undefined
    /** What is counted by the piece, as which a pan may be bought. */
    packaging: { id: string; name: string }[]
  }
  let { draft = $bindable(), failure, packaging }: Props = $props()

  const isLong = (pan: Schemas['PanDraft']) =>
    pan.family === 'rectangular' || pan.family === 'slab' || pan.topWidthCm !== null
  const fresh: Schemas['PanDraft'] = {
    id: '',
    name: '',
    family: 'sloped',
    material: 'steel',
    topCm: 26,
    bottomCm: 22,
    topWidthCm: null,
    bottomWidthCm: null,
    depthCm: 4,
    rimCm: 1,
    perTray: 2,
    boughtAs: null,
    owned: null,
    retired: null,
  }
</script>

<section class="mt-5" aria-label="Pans">
  <h2>Pans</h2>
  <p class="small">
    Inner measures. The short name is what an order line says after the @. <a class="link" href="#/pans"
      >See them drawn</a
    >
  </p>
  {#each draft.pans ?? [] as pan, at (at)}
    {#if pan}
      <fieldset class="fields">
        <legend class="sr-only">Pan {at + 1}</legend>
        <TextField label="Short name" field="pans[{at}].id" {failure} bind:value={pan.id} size={9} />
        <TextField label="Name" field="pans[{at}].name" {failure} bind:value={pan.name} size={16} />
        <KindField
          label="Family"
          field="pans[{at}].family"
          {failure}
          options={words.current.panFamilies}
          bind:value={pan.family}
        />
        <KindField
          label="Of"
          field="pans[{at}].material"
          {failure}
          options={words.current.panMaterials}
          bind:value={pan.material}
        />
        <NumberField
          label={isLong(pan) ? 'Length at the top, cm' : 'Across the top, cm'}
          field="pans[{at}].topCm"
          {failure}
          bind:value={pan.topCm}
          size={6}
        />
        <NumberField
          label={isLong(pan) ? 'of the floor, cm' : 'Across the floor, cm'}
          field="pans[{at}].bottomCm"
          {failure}
          bind:value={pan.bottomCm}
          size={6}
        />
        {#if isLong(pan)}
          <NumberField
            label="Width at the top, cm"
            field="pans[{at}].topWidthCm"
            {failure}
            bind:value={pan.topWidthCm}
            size={6}
          />
          <NumberField
            label="of the floor, cm"
            field="pans[{at}].bottomWidthCm"
            {failure}
            bind:value={pan.bottomWidthCm}
            size={6}
          />
        {/if}
        <NumberField label="Deep, cm" field="pans[{at}].depthCm" {failure} bind:value={pan.depthCm} size={6} />
        <NumberField label="Rim, cm" field="pans[{at}].rimCm" {failure} bind:value={pan.rimCm} size={5} />
        <NumberField label="On a tray" field="pans[{at}].perTray" {failure} bind:value={pan.perTray} size={5} />
        <NumberField
          label="How many (empty: not counted)"
          field="pans[{at}].owned"
          {failure}
          bind:value={pan.owned}
          size={6}
        />
        <label class="flex flex-col">
          <span class="small">Goes with the pie, bought as</span>
          <select class="field" bind:value={pan.boughtAs} aria-invalid={!!failure?.fields[`pans[${at}].boughtAs`]}>
            <option value={null}>no, it comes back</option>
            {#each packaging as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
          </select>
          {#each failure?.fields[`pans[${at}].boughtAs`] ?? [] as fault (fault)}<b role="alert">{fault}</b>{/each}
        </label>
        <label class="flex min-h-11 items-center gap-2 self-end"
          ><input
            type="checkbox"
            class="size-5"
            checked={pan.retired ?? false}
            onchange={(event) => (pan.retired = event.currentTarget.checked ? true : null)}
          /> retired</label
        >
        <button class="link" type="button" aria-label="Take out pan {at + 1}" onclick={() => draft.pans?.splice(at, 1)}
          >Take out</button
        >
      </fieldset>
    {/if}
  {/each}
  <button class="press" type="button" onclick={() => draft.pans?.push({ ...fresh })}>Another pan</button>
</section>
