<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { bakery } from './bakery.svelte'

  interface Props {
    /** The day on screen, ISO date. */
    day: string
    /** The place whose address follows: "orders", "plan"… */
    place: string
    name: string
  }
  const { day, place, name }: Props = $props()

  const days = $derived.by(() => {
    const known = bakery.current?.days ?? []
    return known.some((one) => one.day === day) ? known : [...known, { day, name, pies: 0 }]
  })
</script>

<select
  class="word"
  aria-label="Day of the pick-ups"
  value={day}
  onchange={(event) => push(`/${place}/${event.currentTarget.value}`)}
>
  {#each days as one (one.day)}
    <option value={one.day}>{one.name}</option>
  {/each}
</select>

<style>
  select {
    appearance: none;
    field-sizing: content;
  }
</style>
