<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { money } from '../../parts/money'

  interface Props {
    product: string
    pan: string
  }
  const { product, pan }: Props = $props()
  let count = $state<number>()
  const asked = new Asked<Schemas['RunCostAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => {
    const path = { product, pan }
    const query = count ? { count } : {}
    return (signal) => api.GET('/api/costs/{product}/{pan}/run', { params: { path, query }, signal })
  })
  const answer = $derived(asked.current)
  const ladder = $derived(answer?.ladder.filter((step) => step.perPie !== null) ?? [])
  const dearest = $derived(Math.max(0.01, ...ladder.map((step) => step.perPie ?? 0)))
  const tall = 150
</script>

<section class="mt-6" aria-label="A run by itself">
  <div class="flex flex-wrap items-end gap-4">
    <h2 class="font-headline text-lg font-semibold">So many made by themselves</h2>
    {#if answer}
      <label
        ><span class="small block">Pies</span><input
          class="field w-24"
          type="number"
          min="1"
          max="500"
          value={answer.count}
          onchange={(event) => (count = event.currentTarget.valueAsNumber || undefined)}
        /></label
      >
    {/if}
  </div>
  <FailureNote failure={asked.failure} />
  {#if answer}
    <p class="mt-2 max-w-[48rem]"><strong>{answer.sentence}</strong></p>
    <div class="mt-2 grid items-start gap-6 lg:grid-cols-[27rem_1fr]">
      <table class="w-full">
        <caption class="sr-only">What the run costs</caption>
        <tbody>
          <tr class="border-line border-t"
            ><th scope="row">Ingredients and boxes</th><td class="figure weight"
              >{answer.ingredients === null ? 'not known' : money(answer.ingredients)}</td
            ></tr
          >
          <tr class="border-line border-t"
            ><th scope="row"
              >Left over <span class="small"
                >{answer.unused.length === 0
                  ? 'nothing: it comes out even'
                  : answer.unused.map((one) => `${one.weight} ${one.name}`).join('; ')}</span
              ></th
            ><td class="figure weight">{answer.left === null ? 'not known' : money(answer.left)}</td></tr
          >
          <tr class="border-line border-t"
            ><th scope="row">Hands <span class="small">{answer.handsMin} min by the recipe</span></th><td
              class="figure weight">{answer.hands === null ? 'not counted' : money(answer.hands)}</td
            ></tr
          >
          <tr class="border-line border-t"
            ><th scope="row"
              >Heat <span class="small"
                >{answer.oven ? `${answer.oven} on for ${answer.ovenMin} min, heating up too` : ''}</span
              ></th
            ><td class="figure weight">{answer.heat === null ? 'not counted' : money(answer.heat)}</td></tr
          >
          <tr class="border-t-2 border-(--color-base-content)"
            ><th scope="row" class="font-semibold!">Together</th><td class="figure weight"
              >{answer.total === null ? 'not known' : money(answer.total)}</td
            ></tr
          >
          {#if answer.perPie !== null}
            <tr class="border-line border-t"
              ><th scope="row">A pie</th><td class="figure weight">{money(answer.perPie)}</td></tr
            >
          {/if}
        </tbody>
      </table>
      {#if ladder.length > 0}
        <figure>
          <figcaption class="small">
            A pie costs, by how many are made: its ingredients filled, what is left over, hands and heat above
          </figcaption>
          <div class="ladder mt-1" style:height="{tall + 46}px">
            {#each ladder as step (step.count)}
              <div class="rung" class:chosen={step.count === answer.count}>
                <span class="small">{money(step.perPie ?? 0)}</span>
                <div class="bar" style:height="{((step.perPie ?? 0) / dearest) * tall}px">
                  <div class="food" style:height="{((step.ingredients ?? 0) / dearest) * tall}px"></div>
                </div>
                <span class="small">{step.count}</span>
              </div>
            {/each}
          </div>
        </figure>
      {/if}
    </div>
    {#if answer.pays.length > 0}
      <ul class="mt-2">
        {#each answer.pays as one (one.channel)}
          <li>
            <strong>{one.channel}</strong>, {money(one.perPie)} a pie {one.isSet
              ? 'at the price that is set'
              : 'at the least price that keeps to the aim'}: {one.from === null
              ? `pays for none of up to ${one.most}`
              : `pays from ${one.from} ${one.from === 1 ? 'pie' : 'pies'} on`}
          </li>
        {/each}
      </ul>
    {/if}
    <p class="small mt-1">
      {answer.batches.join('; ')}. Whole bowls, batches, eggs and tins, with nobody else’s pies to share them, hands and
      oven; on a day with others it costs less: see the <a class="link" href="#/bill">bill of a day</a>. What hands and
      ovens cost stands with <a class="link" href="#/bakery">the bakery</a>.
    </p>
  {/if}
</section>

<style>
  th {
    padding: 0.15rem 0;
    text-align: left;
    font-weight: 400;
  }

  .figure {
    padding: 0.15rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }

  .ladder {
    display: flex;
    gap: 0.25rem;
    align-items: flex-end;
    overflow-x: auto;
  }

  .rung {
    display: flex;
    min-width: 2.1rem;
    flex: 1;
    flex-direction: column;
    align-items: center;
  }

  .bar {
    position: relative;
    width: 100%;
    max-width: 2.2rem;
    border: 1px solid var(--color-base-content);
  }

  .food {
    position: absolute;
    right: 0;
    bottom: 0;
    left: 0;
    background: var(--color-base-content);
    opacity: 0.55;
  }

  .chosen {
    font-weight: 700;
    text-decoration: underline 3px;
    text-underline-offset: 0.2em;
  }
</style>
