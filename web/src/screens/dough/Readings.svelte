<script lang="ts">
  import type { Failure, Schemas } from '../../api/client'
  import Field from '../../parts/Field.svelte'
  import { measured } from './measured.svelte'

  interface Props {
    /** What the water was reckoned with. */
    readings: Schemas['DoughReadings']
    failure: Failure | undefined
  }
  const { readings, failure }: Props = $props()

  const fields = [
    { field: 'wantedC', label: 'Dough wanted at, °C' },
    { field: 'dryC', label: 'Flour, °C' },
    { field: 'coldC', label: 'Fat and egg, °C' },
    { field: 'waterC', label: 'Tap water, °C' },
    { field: 'frictionC', label: 'Mixing warms by, °C' },
  ] as const
</script>

<section class="screen-only mt-3 flex flex-wrap items-start gap-4" aria-label="Measured today">
  {#each fields as { field, label } (field)}
    <Field {label} {field} {failure}>
      {#snippet children(ties)}
        <input
          class="field"
          style:width="8ch"
          type="number"
          step="0.5"
          placeholder={String(readings[field])}
          value={measured.readings[field] ?? ''}
          oninput={(event) =>
            measured.set(field, event.currentTarget.value === '' ? null : event.currentTarget.valueAsNumber)}
          {...ties}
        />
      {/snippet}
    </Field>
  {/each}
  <p class="small min-w-64 flex-1 pt-5">
    Pale figures are usual ones. Butter softens from about 15 to 18 °C. How far mixing warms a dough is measured once:
    the dough after less what went in.
  </p>
</section>
<p class="print-only small">
  Reckoned with flour at {readings.dryC} °C, fat and egg at {readings.coldC} °C, tap water at {readings.waterC} °C, mixing
  that warms by {readings.frictionC} °C, for dough at {readings.wantedC} °C.
</p>
