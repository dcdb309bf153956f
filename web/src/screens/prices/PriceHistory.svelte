<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { money, perUnit } from '../../parts/money'

  interface Props {
    ingredient: string
    ondone: (words: string) => void
  }
  const { ingredient, ondone }: Props = $props()
  const asked = new Asked<Schemas['PriceHistoryAnswer']>()
  asked.follow(['ingredients'], () => {
    const path = { ingredient }
    return (signal) => api.GET('/api/prices/{ingredient}', { params: { path }, signal })
  })
  const answer = $derived(asked.current)
  const counts = $derived(answer?.steps.at(-1)?.price.supplier)
  const others = $derived([...new Set(answer?.rows.map((row) => row.supplier))].filter((one) => one !== counts))
  let failure = $state<Failure>()
  const words: Record<string, string> = { list: ', by list', feed: ', by its service', typed: '' }

  async function makeUsual(supplier: string) {
    const outcome = await ask(api.POST('/api/prices/usual', { body: { ingredient, supplier, validFrom: null } }))
    failure = outcome.failure
    if (!outcome.failure) ondone(`${answer?.name} is bought from ${supplier} from today on.`)
  }
</script>

<section aria-label="What it cost before">
  <FailureNote failure={failure ?? asked.failure} />
  {#if answer}
    {#if answer.rows.length === 0}<p class="small">Nothing is known yet.</p>{/if}
    <ol>
      {#each answer.steps.toReversed() as step (step.day)}
        <li class="grid grid-cols-[7rem_6rem_4.5rem_1fr] gap-x-3">
          <span>{step.dayName}</span>
          <span class="weight text-right"
            >{perUnit(step.price.perUnit)} <span class="small">a {step.price.unit}</span></span
          >
          <span class="text-right"
            >{step.changePercent === null ? '' : `${step.changePercent > 0 ? '+' : ''}${step.changePercent} %`}</span
          >
          <span class="small"
            >{money(step.price.paid)} for {step.price.pack}, {step.price.supplier}{words[step.price.origin] ?? ''}</span
          >
        </li>
      {/each}
    </ol>
    {#each others as supplier (supplier)}
      <button class="press mt-2 mr-2" onclick={() => makeUsual(supplier)}>Buy it from {supplier} from today</button>
    {/each}
  {/if}
</section>
