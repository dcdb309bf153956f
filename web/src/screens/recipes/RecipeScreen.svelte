<script lang="ts">
  import { replace } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { grams, kilograms, money } from '../../parts/amounts'
  import FailureNote from '../../parts/FailureNote.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import { live } from '../../parts/live.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import StepWord from '../../parts/StepWord.svelte'
  import { wholeNumber } from '../../parts/word.svelte'
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
  const pies = wholeNumber(1, 100_000)

  let answer = $state<Schemas['ScaleAnswer']>()
  let failure = $state<Failure>()
  let asked = 0

  const count = $derived(/^\d{1,6}$/.test(params.count ?? '') ? Number(params.count) : 1)

  function load(id: string, pan: string | undefined, wanted: number) {
    const mine = ++asked
    void ask(
      api.POST('/api/recipes/{id}/scale', { params: { path: { id } }, body: { pan: pan ?? null, count: wanted } }),
    ).then((outcome) => {
      if (mine !== asked) return
      failure = outcome.failure
      if (outcome.data) answer = outcome.data
    })
  }

  $effect(() => load(params.id, params.pan, count))
  $effect(() => live.on(() => load(params.id, params.pan, count)))

  const spoken = $derived(
    answer
      ? `${answer.count} in the ${answer.pan.name} pan: ${kilograms(answer.fillingKilograms)} of filling, ${kilograms(answer.doughKilograms)} of dough${answer.cost.total === null ? '' : `, ${money(answer.cost.total, answer.cost.currency)} each`}`
      : '',
  )
  // The pan and the count are kept in the address, so that a recipe can be passed on as it stands.
  const go = (pan: string, wanted: number) => replace(`/recipes/${params.id}/${pan}/${wanted}`)
</script>

<svelte:head><title>{answer?.name ?? 'Recipe'} · Lumpet</title></svelte:head>
<FailureNote {failure} />
{#if answer}
  <p class="small">
    <a class="link screen-only" href="#/recipes">All recipes</a> <strong>{answer.name}</strong>, version {answer.version}.
    {answer.allergens.length > 0 ? `Contains ${answer.allergens.join(', ')}.` : 'No allergen is stated.'}
    {#if answer.notStated.length > 0}
      <b>Not stated yet: what {answer.notStated.join(', ')} {answer.notStated.length === 1 ? 'carries' : 'carry'}.</b>
      <a class="link screen-only" href="#/ingredients">State it</a>
    {/if}
    Made where nuts, egg, milk, wheat, soy and sesame are handled.
  </p>
  <Sentence {spoken}>
    <StepWord
      value={answer.count}
      kind={pies}
      label="Pies"
      onchange={(wanted) => answer && go(answer.pan.id, wanted)}
    />
    {answer.count === 1 ? 'pie' : 'pies'} in the
    <ChoiceWord
      label="Pan"
      value={answer.pan.id}
      options={answer.pans.map((pan) => ({ value: pan.id, words: pan.name }))}
      onchange={(pan) => answer && go(pan, answer.count)}
    />
    pan {answer.count === 1 ? 'takes' : 'take'}
    {kilograms(answer.fillingKilograms)} of filling and {kilograms(answer.doughKilograms)} of dough,
    {#if answer.cost.total !== null}and {answer.count === 1 ? 'costs' : 'cost'}
      {money(answer.cost.total, answer.cost.currency)} each{answer.cost.foodCostPercent !== null
        ? `: ${answer.cost.foodCostPercent} % of the price`
        : ''}.{:else}and the cost is incomplete.{/if}
  </Sentence>
  <p class="small">
    Filling {answer.filling.factor.toFixed(4)} times the {answer.referencePan.name} pie (by volume), dough
    {answer.dough.factor.toFixed(4)} times (by area). Nothing is rounded before the last step.
  </p>
  <p class="small screen-only flex gap-5">
    <a class="link" href="#/write/{answer.id}">Change the recipe</a>
    <button class="link" onclick={() => window.print()}>Print</button>
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
