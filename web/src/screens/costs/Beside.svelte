<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { difference, money } from '../../parts/money'

  interface Props {
    product: string
    pan: string
  }
  const { product, pan }: Props = $props()
  let count = $state<number>()
  const asked = new Asked<Schemas['BesideAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => {
    const path = { product, pan }
    const query = count ? { count } : {}
    return (signal) => api.GET('/api/costs/{product}/{pan}/beside', { params: { path, query }, signal })
  })
  const answer = $derived(asked.current)
  const kinds: Record<string, string> = {
    asItIs: '',
    pan: 'in the pan',
    dough: 'of the dough',
    school: 'by the school',
    version: 'as in',
  }
  const shown = (amount: number | null) => (amount === null ? '–' : money(amount))
</script>

<section class="mt-6" aria-label="Side by side">
  <div class="flex flex-wrap items-end gap-4">
    <h2 class="font-headline text-lg font-semibold">Other ways, side by side</h2>
    {#if answer}
      <label
        ><span class="small block">Pies made by themselves</span><input
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
    <p class="mt-2 max-w-[52rem]"><strong>{answer.sentence}</strong></p>
    {#if answer.changes.length > 1}
      <ol class="mt-1">
        {#each answer.changes as one (`${one.kind}/${one.words}`)}
          <li>
            {one.words}: ingredients {money(one.cost)} of {money(one.price)},
            <strong>{one.sharePercent.toFixed(1)} %</strong>{one.reaches ? '' : ', still over the aim'}
          </li>
        {/each}
      </ol>
    {/if}
    <div class="overflow-x-auto">
      <table class="mt-2 w-full">
        <caption class="sr-only">What one pie costs by each way of making it</caption>
        <thead>
          <tr class="small text-left">
            <th scope="col">One pie</th>
            <th scope="col" class="figure">Ingredients</th>
            <th scope="col" class="figure">Left over</th>
            <th scope="col" class="figure">Hands</th>
            <th scope="col" class="figure">Heat</th>
            <th scope="col" class="figure">Together</th>
            <th scope="col" class="figure">A kilogram</th>
            <th scope="col" class="figure">Against as it is</th>
            <th scope="col" class="figure">Share of price</th>
          </tr>
        </thead>
        <tbody>
          {#each answer.ways as way (`${way.kind}/${way.name}`)}
            <tr class="border-line border-t" class:first={way.kind === 'asItIs'}>
              <th scope="row"><span class="small">{kinds[way.kind]}</span> {way.name}</th>
              <td class="figure">{shown(way.ingredients)}</td>
              <td class="figure">{shown(way.left)}</td>
              <td class="figure">{shown(way.hands)}</td>
              <td class="figure">{shown(way.heat)}</td>
              <td class="figure weight">{shown(way.total)}</td>
              <td class="figure">{shown(way.perKilogram)}</td>
              <td class="figure">{way.more === null ? '' : difference(way.more)}</td>
              <td class="figure">{way.sharePercent === null ? '–' : `${way.sharePercent.toFixed(1)} %`}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <p class="small mt-1">
      Another dough is cut as this one is; whether it suits the pie only a trial says. Earlier versions with what the
      bakery has and pays now.
    </p>
  {/if}
</section>

<style>
  th {
    padding: 0.15rem 0;
    text-align: left;
    font-weight: 400;
  }

  tbody th {
    min-width: 11rem;
  }

  .figure {
    padding: 0.15rem 0.6rem;
    text-align: right;
    white-space: nowrap;
  }

  .first th {
    font-weight: 600;
  }
</style>
