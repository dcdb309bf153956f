<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    draft: Schemas['BakeryDraft']
    failure: Failure | undefined
  }
  let { draft = $bindable(), failure }: Props = $props()

  const days = [
    { value: 0, words: 'on the day of the pick-ups' },
    { value: -1, words: 'the day before' },
    { value: -2, words: 'two days before' },
  ]
  const hours = (minutes: number | null) =>
    minutes ? `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60}` : ''}` : ''
</script>

<section aria-label="Shifts">
  <h2>Shifts</h2>
  {#each draft.shifts ?? [] as shift, at (at)}
    {#if shift}
      <fieldset class="fields">
        <legend class="sr-only">Shift {at + 1}</legend>
        <TextField label="Name" field="shifts[{at}].name" {failure} bind:value={shift.name} size={18} />
        <Field label="When" field="shifts[{at}].dayOffset" {failure}>
          {#snippet children(ties)}<select class="field" bind:value={shift.dayOffset} {...ties}
              >{#each days as day (day.value)}<option value={day.value}>{day.words}</option>{/each}</select
            >{/snippet}
        </Field>
        <TextField
          label="From"
          field="shifts[{at}].start"
          {failure}
          bind:value={shift.start}
          size={6}
          placeholder="04:30"
          inputmode="numeric"
        />
        <NumberField
          label="For, min ({hours(shift.lengthMin)})"
          field="shifts[{at}].lengthMin"
          {failure}
          bind:value={shift.lengthMin}
          size={8}
          step={15}
        />
        <NumberField
          label="People (empty: not counted)"
          field="shifts[{at}].people"
          {failure}
          bind:value={shift.people}
          size={6}
        />
        <button
          class="link"
          type="button"
          aria-label="Take out shift {at + 1}"
          onclick={() => draft.shifts?.splice(at, 1)}>Take out</button
        >
      </fieldset>
    {/if}
  {/each}
  <button
    class="press"
    type="button"
    onclick={() => draft.shifts?.push({ name: '', dayOffset: 0, start: '04:00', lengthMin: 360, people: null })}
    >Another shift</button
  >
</section>
