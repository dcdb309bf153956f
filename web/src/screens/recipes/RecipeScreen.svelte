<script lang="ts">
  import { replace } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { grams, kilograms, money } from '../../parts/amounts'
  import FailureNote from '../../parts/FailureNote.svelte'
  import NumberWord from '../../parts/NumberWord.svelte'
  import CostPie from './CostPie.svelte'
  import DoughRounds from './DoughRounds.svelte'
  import FormulaTable from './FormulaTable.svelte'
  import PanChoice from './PanChoice.svelte'
  import PanSection from './PanSection.svelte'
  import StepList from './StepList.svelte'

  interface Props {
    params: { id: string; pan?: string; count?: string }
  }
  const { params }: Props = $props()
  const mostPies = 100_000

  let answer = $state<Schemas['ScaleAnswer']>()
  let failure = $state<Failure>()
  let asked = 0

  const count = $derived(/^\d{1,6}$/.test(params.count ?? '') ? Number(params.count) : 1)

  $effect(() => {
    const mine = ++asked
    ask(
      api.POST('/api/recipes/{id}/scale', {
        params: { path: { id: params.id } },
        body: { pan: params.pan ?? null, count },
      }),
    ).then((outcome) => {
      if (mine !== asked) return
      failure = outcome.failure
      if (outcome.data) answer = outcome.data
    })
  })

  // The pan and the count are kept in the address, so that a recipe can be passed on as it stands.
  const go = (pan: string, pies: number) => replace(`/recipes/${params.id}/${pan}/${pies}`)
</script>

<svelte:head><title>{answer?.name ?? 'Recipe'} · Lumpet</title></svelte:head>
<FailureNote {failure} />
{#if answer}
  <p class="small">
    <a class="link" href="#/recipes">All recipes</a> · <strong>{answer.name}</strong>, version {answer.version}.
    Contains
    {answer.allergens.join(', ')}. Made where nuts, egg, milk, wheat, soy and sesame are handled.
  </p>
  <h1 class="sentence mt-1">
    <NumberWord
      value={answer.count}
      least={1}
      most={mostPies}
      label="Pies"
      onchange={(pies) => answer && go(answer.pan.id, pies)}
    />
    {answer.count === 1 ? 'pie' : 'pies'} in the
    <select
      class="word"
      aria-label="Pan"
      value={answer.pan.id}
      onchange={(event) => answer && go(event.currentTarget.value, answer.count)}
    >
      {#each answer.pans as pan (pan.id)}<option value={pan.id}>{pan.name}</option>{/each}
    </select>
    pan {answer.count === 1 ? 'takes' : 'take'}
    {kilograms(answer.fillingKilograms)} of filling and {kilograms(answer.doughKilograms)} of dough,
    {#if answer.cost.total !== null}and {answer.count === 1 ? 'costs' : 'cost'}
      {money(answer.cost.total, answer.cost.currency)} each{answer.cost.foodCostPercent !== null
        ? `: ${answer.cost.foodCostPercent} % of the price`
        : ''}.{:else}and the cost is incomplete.{/if}
  </h1>
  <p class="small" aria-live="polite">
    Filling {answer.filling.factor.toFixed(4)} times the {answer.referencePan.name} pie (by volume), dough
    {answer.dough.factor.toFixed(4)} times (by area). Nothing is rounded before the last step.
  </p>

  <div class="mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_27rem]">
    <div>
      <PanChoice pans={answer.pans} chosen={answer.pan.id} onchoose={(pan) => answer && go(pan, answer.count)} />
      <FormulaTable
        title="Filling"
        note="as written, {answer.referencePan.name}"
        lines={answer.lines}
        factor={answer.filling.factor}
        count={answer.count}
      />
      <FormulaTable
        title="Dough, {answer.dough.name}"
        note="formula as written"
        lines={answer.dough.lines}
        count={answer.count}
        foot="{grams(answer.dough.gramsPerPie)} of discs a pie, and {answer.dough
          .bowlPercent} % of each batch that stays in the bowl."
      />
      {#if answer.finish.length > 0}
        <FormulaTable
          title="Finish"
          note="as written, {answer.referencePan.name}"
          lines={answer.finish}
          factor={answer.finishFactor}
          count={answer.count}
        />
      {/if}
    </div>
    <div>
      <PanSection
        pan={answer.pan}
        filling={answer.filling}
        lid={answer.dough.pieces.some((piece) => piece.name !== 'base')}
      />
      <DoughRounds dough={answer.dough} />
    </div>
  </div>
  <CostPie cost={answer.cost} pan={answer.pan.name} />
  <StepList steps={answer.steps} />
{/if}

<style>
  select {
    appearance: none;
    field-sizing: content;
  }
</style>
