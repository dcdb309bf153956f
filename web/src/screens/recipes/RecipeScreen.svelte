<script lang="ts">
  import { push, replace } from 'svelte-spa-router'
  import { api, type Schemas } from '../../api/client'
  import { grams, kilograms, money } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import MadeFirst from '../../parts/MadeFirst.svelte'
  import Mark from '../../parts/Mark.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import Shelving from '../../parts/Shelving.svelte'
  import StepWord from '../../parts/StepWord.svelte'
  import { wholeNumber } from '../../parts/word.svelte'
  import CostPie from './CostPie.svelte'
  import DoughRounds from './DoughRounds.svelte'
  import FormulaTable from './FormulaTable.svelte'
  import HaveField from './HaveField.svelte'
  import PanChoice from './PanChoice.svelte'
  import PanSection from './PanSection.svelte'
  import RecipeFacts from './RecipeFacts.svelte'
  import StepList from './StepList.svelte'
  import WayDrawing from './WayDrawing.svelte'
  import VariationField from '../writing/VariationField.svelte'
  import WholePieces from './WholePieces.svelte'

  interface Props {
    params: { id: string; pan?: string; count?: string }
  }
  const { params }: Props = $props()
  const pies = wholeNumber(1, 100_000)

  const count = $derived(/^\d{1,6}$/.test(params.count ?? '') ? Number(params.count) : 1)

  /** Another thickness than is written: a question that is not kept, of this recipe only. */
  let thickness = $state<{ of: string; mm: number }>()
  const thicknessMm = $derived(thickness?.of === params.id ? thickness.mm : null)

  const asked = new Asked<Schemas['ScaleAnswer']>()
  asked.follow(['recipes', 'ingredients', 'bakery'], () => {
    const path = { id: params.id }
    const body = { pan: params.pan ?? null, count, have: null, thicknessMm }
    return (signal) => api.POST('/api/recipes/{id}/scale', { params: { path }, body, signal })
  })
  const answer = $derived(asked.current)

  const fillings = $derived(answer?.layers.filter((layer) => layer.part === 'filling') ?? [])
  const doughs = $derived(answer ? [answer.dough, answer.topDough].filter((dough) => dough !== null) : [])
  const crust = $derived(
    answer?.dough.isShell
      ? `${answer.count} ${answer.count === 1 ? 'shell' : 'shells'}`
      : `${kilograms(answer?.doughKilograms ?? 0)} of dough`,
  )
  const spoken = $derived(
    answer
      ? `${answer.count} in the ${answer.pan.name} pan: ${kilograms(answer.fillingKilograms)} of filling, ${crust}${answer.cost.total === null ? '' : `, ${money(answer.cost.total, answer.cost.currency)} each`}`
      : '',
  )
  // The pan and the count are kept in the address, so that a recipe can be passed on as it stands.
  const go = (pan: string, wanted: number) => replace(`/recipes/${params.id}/${pan}/${wanted}`)
</script>

{#snippet weighed(layer: Schemas['PieLayerAnswer'])}
  {#if answer}
    <FormulaTable
      of={{ id: answer.id, layer: answer.layers.indexOf(layer) }}
      title="{layer.title}{layer.part === 'filling'
        ? `, ${layer.kind}`
        : layer.part === 'topping'
          ? `, ${answer.facts.top}`
          : ''}"
      note="as written, {answer.referencePan.name}"
      lines={layer.lines}
      factor={layer.factor}
      count={answer.count}
      foot="{layer.scaled}{layer.reduced ? ` ${layer.reduced}` : ''}{layer.keptPercent < 100
        ? ` ${layer.keptPercent} % of it goes into the pan, ${grams(layer.gramsPerPie)} a pie: the rest boils away or stays in the pot.`
        : ''}"
    />
  {/if}
{/snippet}

<svelte:head><title>{answer?.name ?? 'Recipe'} · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small">
    <a class="link screen-only" href="#/recipes">All recipes</a><span class="screen-only">&nbsp;· </span><Mark
      product={answer.name}
    /> <strong>{answer.name}</strong>, version {answer.version}:
    {answer.facts.filling}, {answer.facts.top}, {answer.facts.base}; cools {answer.facts.cooling}; {answer.facts
      .keeping}.
    {#if answer.facts.isRetired}<b>Retired: it is offered no more.</b>{/if}
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
    {kilograms(answer.fillingKilograms)} of filling and {crust},
    {#if answer.cost.total !== null}and {answer.count === 1 ? 'costs' : 'cost'}
      {money(answer.cost.total, answer.cost.currency)} each{answer.cost.foodCostPercent !== null
        ? `: ${answer.cost.foodCostPercent} % of the price`
        : ''}.{:else}and the cost is incomplete.{/if}
  </Sentence>
  <RecipeFacts {answer} />
  <div class="screen-only mt-1 flex flex-wrap items-end gap-x-5 gap-y-1">
    <HaveField id={answer.id} pan={answer.pan.id} onfound={(pies) => answer && go(answer.pan.id, pies)} />
    <a class="link" href="#/write/{answer.id}">Change the recipe</a>
    <a class="link" href="#/labels/{answer.id}/{answer.pan.id}">Its label</a>
    <a class="link" href="#/versions/{answer.id}">Versions</a>
    <VariationField id={answer.id} name={answer.name} onadded={(id) => push(`/write/${id}`)} />
    <a class="link" href="/api/recipes/{answer.id}/recipe.jsonld" download="{answer.id}.jsonld">Give it out</a>
    <button class="link" onclick={() => window.print()}>Print the formula sheet</button>
    <Shelving
      kind="recipes"
      id={answer.id}
      name={answer.name}
      isRetired={answer.facts.isRetired}
      ongone={() => push('/recipes')}
    />
  </div>

  <div class="together mt-4 grid gap-x-12 gap-y-6 lg:grid-cols-[1fr_27rem]">
    <div>
      <PanChoice pans={answer.pans} chosen={answer.pan.id} onchoose={(pan) => answer && go(pan, answer.count)} />
      {#each fillings as layer (layer.id)}{@render weighed(layer)}{/each}
      {#if answer.facts.thickening}<p class="small mt-1">{answer.facts.thickening}</p>{/if}
      {#each doughs as dough (dough.name)}
        <FormulaTable
          title="{dough.isShell
            ? 'Crust'
            : answer.topDough === null
              ? 'Dough'
              : dough === answer.dough
                ? 'Dough of the base'
                : 'Dough on top'}, {dough.name}"
          note="formula as written"
          lines={dough.lines}
          count={answer.count}
          foot={dough.isShell
            ? 'One shell a pie.'
            : `${grams(dough.gramsPerPie)} of discs a pie, and ${dough.bowlPercent} % of each batch that stays in the bowl.`}
        />
        <p class="small mt-1">{dough.method}</p>
        {#if dough.judged.ratio}
          <p class="small mt-1">
            Flour : fat : water {dough.judged.ratio}, {dough.judged.family}. {dough.judged.findings
              .filter((finding) => finding.expect)
              .map(
                (finding) =>
                  `${finding.part} ${finding.percent} % of the flour (usual ${finding.least} to ${finding.most}): ${finding.expect}.`,
              )
              .join(' ') || 'Usual for its family.'}
          </p>
        {/if}
      {/each}
      {#each answer.layers.filter((layer) => layer.part !== 'filling') as layer (layer.id)}{@render weighed(
          layer,
        )}{/each}
      {#if answer.packaging.length > 0}
        <p class="mt-3"><strong>Packed with</strong> {answer.packaging.join(', ')}: {answer.count} of each.</p>
      {/if}
      <MadeFirst made={answer.made} takenBy={answer.count === 1 ? 'the pie takes' : `${answer.count} pies take`} />
      {#if answer.whole.length > 0}
        <WholePieces whole={answer.whole} count={answer.count} onchoose={(pies) => answer && go(answer.pan.id, pies)} />
      {/if}
    </div>
    <div>
      <PanSection pan={answer.pan} filling={answer.filling} layers={answer.layers} top={answer.facts.top} />
      {#if answer.estimate && answer.pan.id !== answer.referencePan.id}
        <p class="note mt-2">
          <strong>Perhaps {answer.estimate.least} to {answer.estimate.most} min in the oven</strong>, an estimate: the
          test for doneness decides.
          <span class="small block">{answer.estimate.why}</span>
        </p>
      {:else}
        <p class="small mt-1">{answer.facts.pan}</p>
      {/if}
      <DoughRounds
        dough={answer.dough}
        lining={answer.facts.lining}
        count={answer.count}
        onthickness={(mm) => (thickness = mm === answer?.dough.writtenThicknessMm ? undefined : { of: params.id, mm })}
      />
      {#if answer.topDough}<DoughRounds dough={answer.topDough} lining="" count={answer.count} />{/if}
    </div>
  </div>
  <CostPie cost={answer.cost} pan={answer.pan.name} />
  <WayDrawing id={answer.id} pan={answer.pan.id} count={answer.count} />
  <StepList steps={answer.steps} />
{/if}
