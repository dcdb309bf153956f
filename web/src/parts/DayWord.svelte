<script lang="ts">
  import { push, router } from 'svelte-spa-router'
  import { bakery } from './bakery.svelte'
  import ChoiceWord from './ChoiceWord.svelte'
  import { ofAnotherDay } from './places'

  interface Props {
    /** The day on screen, ISO date. */
    day: string
    name: string
  }
  const { day, name }: Props = $props()

  const days = $derived.by(() => {
    const known = bakery.current?.days ?? []
    return known.some((one) => one.day === day) ? known : [...known, { day, name, pies: 0 }]
  })
</script>

<ChoiceWord
  label="Day of the pick-ups"
  value={day}
  options={days.map((one) => ({ value: one.day, words: one.name }))}
  onchange={(chosen) => push(ofAnotherDay(router.location, chosen))}
/>
