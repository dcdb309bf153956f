<script lang="ts">
  import type { Schemas } from '../api/client'
  import { today } from './day.svelte'
  import DayWord from './DayWord.svelte'
  import LateNote from './LateNote.svelte'
  import Sentence from './Sentence.svelte'
  import StepWord from './StepWord.svelte'
  import WhatIf from './WhatIf.svelte'
  import { clockTime } from './word.svelte'

  interface Props {
    plan: Schemas['PlanAnswer']
  }
  const { plan }: Props = $props()
</script>

<LateNote />
<Sentence spoken={plan.sentence.map((part) => part.text).join('')}>
  {#each plan.sentence as part, index (index)}{#if part.control === 'day'}<DayWord
        day={today.day}
        name={plan.dayName}
      />{:else if part.control === 'orders'}<a class="word" href="#/orders/{today.day}">{part.text}</a
      >{:else if part.control === 'pickUp' && part.value}<StepWord
        value={part.value}
        kind={clockTime}
        label="Pick-up at {part.value}"
        onchange={(to) => today.ask(part.value ?? '', to)}
      />{:else}{part.text}{/if}{/each}
</Sentence>
<WhatIf {plan} />
