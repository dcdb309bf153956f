<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import KindField from '../../parts/KindField.svelte'
  import NumberField from '../../parts/NumberField.svelte'

  let kilograms = $state<number | null>(20)
  let depthCm = $state<number | null>(25)
  let place = $state('fridge')
  let isMeasured = $state(false)
  let reading = $state<Schemas['CoolingReading']>({ firstC: 60, secondC: 45, minutes: 30 })

  const asked = new Asked<Schemas['CoolingAnswer']>()
  asked.follow([], () => {
    const body: Schemas['CoolingRequest'] = {
      kilograms,
      depthCm: isMeasured ? null : depthCm,
      place,
      placeC: null,
      fromC: null,
      reading: isMeasured ? { ...reading } : null,
    }
    return (signal) => api.POST('/api/cooling', { body, signal })
  })
  const answer = $derived(asked.failure ? undefined : asked.current)

  const places = [
    { value: 'fridge', words: 'in the fridge' },
    { value: 'blastChiller', words: 'in a blast chiller' },
    { value: 'iceBath', words: 'in an ice bath' },
    { value: 'rack', words: 'on a rack in the room' },
  ]
</script>

<!-- Whether a pot or pan of something cooked is cold in time, by what it is or by what a probe shows. -->
<section class="border-line screen-only mt-6 border-t pt-3" aria-label="Cold in time?">
  <h2>Cold in time?</h2>
  <div class="mt-1 flex flex-wrap items-start gap-4">
    <NumberField label="kg" field="kilograms" failure={asked.failure} bind:value={kilograms} size={5} />
    <KindField label="Cooled" field="place" failure={asked.failure} options={places} bind:value={place} />
    {#if isMeasured}
      <NumberField
        label="In the middle, °C"
        field="reading.firstC"
        failure={asked.failure}
        bind:value={reading.firstC}
        size={5}
      />
      <NumberField
        label="after, min"
        field="reading.minutes"
        failure={asked.failure}
        bind:value={reading.minutes}
        size={5}
      />
      <NumberField label="°C" field="reading.secondC" failure={asked.failure} bind:value={reading.secondC} size={5} />
    {:else}
      <NumberField label="How deep, cm" field="depthCm" failure={asked.failure} bind:value={depthCm} size={5} />
    {/if}
    <button class="press mt-5" type="button" onclick={() => (isMeasured = !isMeasured)}
      >{isMeasured ? 'By its depth' : 'By two readings of a probe'}</button
    >
  </div>
  <div aria-live="polite">
    {#if answer}
      <p class="mt-2 text-lg" class:late={!answer.isInTime}><strong>{answer.words}</strong> {answer.mend}</p>
      <p class="small">
        {#if answer.to57Min}The clock starts at 57 °C, after {duration(answer.to57Min)}.{/if}
        {answer.why} From 57 to 21 °C within 2 h, to 5 °C within 6 h in all (FDA Food Code 3-501.14, from memory). Local codes
        and licensed practice decide.
      </p>
    {/if}
  </div>
</section>

<style>
  .late {
    padding-left: 0.6rem;
    border-left: 4px solid var(--color-base-content);
  }
</style>
