<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    draft: Schemas['BakeryDraft']
    failure: Failure | undefined
  }
  let { draft = $bindable(), failure }: Props = $props()
</script>

<section class="mt-5" aria-label="Ovens">
  <h2>Ovens</h2>
  {#each draft.ovens ?? [] as oven, at (at)}
    {#if oven}
      <fieldset class="fields">
        <legend class="sr-only">Oven {at + 1}</legend>
        <TextField label="Name" field="ovens[{at}].name" {failure} bind:value={oven.name} size={18} />
        <NumberField label="Shelves" field="ovens[{at}].shelves" {failure} bind:value={oven.shelves} size={5} />
        <NumberField
          label="Floor places (empty: none apart)"
          field="ovens[{at}].floorPlaces"
          {failure}
          bind:value={oven.floorPlaces}
          size={5}
        />
        <NumberField label="Lowest, °C" field="ovens[{at}].minC" {failure} bind:value={oven.minC} size={6} />
        <NumberField label="Highest, °C" field="ovens[{at}].maxC" {failure} bind:value={oven.maxC} size={6} />
        <NumberField
          label="Gains, °C a min"
          field="ovens[{at}].heatCPerMin"
          {failure}
          bind:value={oven.heatCPerMin}
          size={6}
        />
        <NumberField
          label="Loses, °C a min"
          field="ovens[{at}].coolCPerMin"
          {failure}
          bind:value={oven.coolCPerMin}
          size={6}
        />
        <NumberField
          label="Dial differs by, °C (fan: −20)"
          field="ovens[{at}].dialOffsetC"
          {failure}
          bind:value={oven.dialOffsetC}
          size={6}
        />
        <NumberField
          label="Hands for a tray in or out, min"
          field="ovens[{at}].actionMin"
          {failure}
          bind:value={oven.actionMin}
          size={6}
        />
        <NumberField
          label="An hour hot costs"
          field="ovens[{at}].hourPrice"
          {failure}
          bind:value={oven.hourPrice}
          size={7}
        />
        <button
          class="link"
          type="button"
          aria-label="Take out oven {at + 1}"
          onclick={() => draft.ovens?.splice(at, 1)}>Take out</button
        >
      </fieldset>
    {/if}
  {/each}
  <button
    class="press"
    type="button"
    onclick={() =>
      draft.ovens?.push({
        name: '',
        shelves: 4,
        minC: 60,
        maxC: 280,
        heatCPerMin: 8,
        coolCPerMin: 4,
        dialOffsetC: 0,
        floorPlaces: null,
        hourPrice: null,
        actionMin: null,
      })}>Another oven</button
  >
</section>
