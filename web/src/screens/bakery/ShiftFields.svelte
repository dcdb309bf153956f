<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import ShiftRow from './ShiftRow.svelte'
  import { newShift } from './newShift'

  interface Props {
    draft: Schemas['BakeryDraft']
    failure: Failure | undefined
  }
  let { draft = $bindable(), failure }: Props = $props()
</script>

<section aria-label="Shifts">
  <h2>Shifts of the week</h2>
  <p class="small">
    When people are at work. In a break nobody is at the bench; whoever watches the ovens takes turns. All days of
    pick-ups share these shifts, and those that come first have them first.
  </p>
  {#each draft.shifts ?? [] as shift, at (at)}
    {#if shift}
      <ShiftRow
        {shift}
        path="shifts[{at}]"
        name="Shift {at + 1}"
        ofTheWeek
        {failure}
        onremove={() => draft.shifts?.splice(at, 1)}
      />
    {/if}
  {/each}
  <button class="press" type="button" onclick={() => draft.shifts?.push(newShift())}>Another shift</button>
  <div class="fields mt-3">
    <NumberField
      label="Work for a pick-up may begin so many days before"
      field="daysAhead"
      {failure}
      bind:value={draft.daysAhead}
      size={5}
    />
  </div>
</section>

<section aria-label="Special dates">
  <h2>Special dates</h2>
  <p class="small">On these dates the shifts of the week do not begin; those said here do, or none.</p>
  {#each draft.specialDates ?? [] as special, at (at)}
    {#if special && draft.specialDates}
      <div class="special">
        <div class="fields">
          <Field label="Date" field="specialDates[{at}].date" {failure}>
            {#snippet children(ties)}<input class="field" type="date" bind:value={special.date} {...ties} />{/snippet}
          </Field>
          <TextField
            label="Why"
            field="specialDates[{at}].words"
            {failure}
            bind:value={special.words}
            size={24}
            placeholder="Lantern Fair"
          />
          {#if (special.shifts ?? []).length === 0}<strong class="self-center">Nobody works.</strong>{/if}
          <button
            class="link"
            type="button"
            aria-label="Special date {at + 1}: a shift"
            onclick={() => (special.shifts = [...(special.shifts ?? []), newShift()])}>A shift</button
          >
          <button
            class="link"
            type="button"
            aria-label="Take out special date {at + 1}"
            onclick={() => draft.specialDates?.splice(at, 1)}>Take out the date</button
          >
        </div>
        {#each special.shifts ?? [] as shift, number (number)}
          {#if shift}
            <ShiftRow
              {shift}
              path="specialDates[{at}].shifts[{number}]"
              name="Special date {at + 1}, shift {number + 1}"
              ofTheWeek={false}
              {failure}
              onremove={() => special.shifts?.splice(number, 1)}
            />
          {/if}
        {/each}
      </div>
    {/if}
  {/each}
  <button
    class="press"
    type="button"
    onclick={() => (draft.specialDates = [...(draft.specialDates ?? []), { date: '', words: '', shifts: [] }])}
    >A special date</button
  >
</section>

<style>
  .special {
    padding: 0.4rem 0 0.6rem 0.8rem;
    border-left: 3px solid var(--color-line);
    margin: 0.5rem 0;
  }
</style>
