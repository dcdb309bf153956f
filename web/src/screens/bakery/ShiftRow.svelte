<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { everyDay } from '../../parts/week'
  import WeekDays from '../../parts/WeekDays.svelte'

  interface Props {
    shift: Schemas['ShiftDraft']
    /** Where it stands in the draft: "shifts[0]". */
    path: string
    /** What it is called for those who cannot see it: "Shift 1". */
    name: string
    /** Whether it is worked on days of the week. */
    ofTheWeek: boolean
    failure: Failure | undefined
    onremove: () => void
  }
  const { shift, path, name, ofTheWeek, failure, onremove }: Props = $props()

  const hours = (minutes: number | null) =>
    minutes ? `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60}` : ''}` : ''
  const all = everyDay.map((one) => one.day)
</script>

<fieldset class="fields">
  <legend class="sr-only">{name}</legend>
  <TextField label="Name" field="{path}.name" {failure} bind:value={shift.name} size={16} />
  <TextField
    label="From"
    field="{path}.start"
    {failure}
    bind:value={shift.start}
    size={6}
    placeholder="04:30"
    inputmode="numeric"
  />
  <NumberField
    label="For, min ({hours(shift.lengthMin)})"
    field="{path}.lengthMin"
    {failure}
    bind:value={shift.lengthMin}
    size={8}
    step={15}
  />
  <NumberField label="People (empty: not counted)" field="{path}.people" {failure} bind:value={shift.people} size={6} />
  {#if ofTheWeek}
    <div>
      <span class="small block">Begins on</span>
      <WeekDays
        label="{name}: days on which it begins"
        days={(shift.days ?? all).map((day) => day ?? '')}
        fault={failure?.fields[`${path}.days`]?.join(' ')}
        onturn={(days) => (shift.days = days.length === all.length ? null : days)}
      />
    </div>
  {/if}
  {#each shift.breaks ?? [] as pause, at (at)}
    {#if pause}
      <span class="pause">
        <TextField
          label="Break at"
          field="{path}.breaks[{at}].start"
          {failure}
          bind:value={pause.start}
          size={6}
          placeholder="17:30"
          inputmode="numeric"
        />
        <NumberField
          label="min"
          field="{path}.breaks[{at}].lengthMin"
          {failure}
          bind:value={pause.lengthMin}
          size={5}
          step={5}
        />
        <button
          class="link"
          type="button"
          aria-label="{name}: take out break {at + 1}"
          onclick={() => shift.breaks?.splice(at, 1)}>Take out</button
        >
      </span>
    {/if}
  {/each}
  <button
    class="link"
    type="button"
    aria-label="{name}: a break"
    onclick={() => (shift.breaks = [...(shift.breaks ?? []), { start: '', lengthMin: 30 }])}>A break</button
  >
  <button class="link" type="button" aria-label="Take out {name.toLowerCase()}" onclick={onremove}>Take out</button>
</fieldset>

<style>
  .pause {
    display: inline-flex;
    gap: 0.5rem;
    align-items: end;
    padding-left: 0.6rem;
    border-left: 2px solid var(--color-line);
  }
</style>
