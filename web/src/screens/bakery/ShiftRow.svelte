<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import { everyDay } from './week'

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
  const isOn = (day: string) => !shift.days || shift.days.includes(day)
  function turn(day: string) {
    const days = everyDay.map((one) => one.day).filter((one) => isOn(one) !== (one === day))
    shift.days = days.length === everyDay.length ? null : days
  }
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
      <span class="week" role="group" aria-label="{name}: days on which it begins">
        {#each everyDay as { day, short, words } (day)}<button
            type="button"
            class="day"
            aria-pressed={isOn(day)}
            title={words}
            onclick={() => turn(day)}>{short}</button
          >{/each}
      </span>
      {#if failure?.fields[`${path}.days`]}<span class="block font-bold" role="alert"
          >{failure.fields[`${path}.days`]?.join(' ')}</span
        >{/if}
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
  .week {
    display: inline-flex;
    gap: 2px;
  }

  .day {
    min-width: 2.75rem;
    min-height: 2.75rem;
    border: 1px solid var(--color-line);
    border-radius: 4px;
    color: var(--color-soft);
    cursor: pointer;
  }

  .day[aria-pressed='true'] {
    background: var(--color-base-200);
    border-color: var(--color-base-content);
    color: var(--color-base-content);
    font-weight: 700;
  }

  .pause {
    display: inline-flex;
    gap: 0.5rem;
    align-items: end;
    padding-left: 0.6rem;
    border-left: 2px solid var(--color-line);
  }
</style>
