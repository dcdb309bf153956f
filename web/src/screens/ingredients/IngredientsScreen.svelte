<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import { live } from '../../parts/live.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import IngredientForm from './IngredientForm.svelte'

  let opened = $state<string>()
  let said = $state('')
  let shown = $state('all')
  let q = $state('')

  const asked = new Asked<Schemas['IngredientsAnswer']>()
  asked.follow(['ingredients', 'recipes'], () => (signal) => api.GET('/api/ingredients', { signal }))
  const answer = $derived(asked.current)

  type Ingredient = Schemas['IngredientAnswer']
  const ways: Record<string, (one: Ingredient) => boolean> = {
    all: () => true,
    used: (one) => one.usedIn > 0,
    unstated: (one) => one.allergens === null,
    unpriced: (one) => one.price === null && one.usedIn > 0 && !one.isMadeHere,
    own: (one) =>
      one.density?.isOwn === true ||
      one.pieces.some((piece) => piece.isOwn) ||
      one.yields.some((yielded) => yielded.isOwn),
  }
  const unknown = $derived((answer?.ingredients ?? []).filter((one) => one.allergens === null))
  const unpriced = $derived((answer?.ingredients ?? []).filter(ways.unpriced ?? (() => false)))
  // What is missing comes first: it is what one is here for.
  const inOrder = $derived(
    (answer?.ingredients ?? [])
      .filter(ways[shown] ?? (() => true))
      .filter((one) =>
        [one.name, ...one.otherNames].some((name) => name.toLowerCase().includes(q.trim().toLowerCase())),
      )
      .toSorted((one, other) => Number(one.allergens !== null) - Number(other.allergens !== null)),
  )
  const weights = (one: Ingredient) =>
    [
      ...(one.density ? [`a US cup ${one.density.gramsPerCup} g`] : []),
      ...one.pieces.map((piece) => `${piece.piece === 'one' ? 'one' : `a ${piece.piece}`} ${piece.grams} g`),
      ...one.yields.map((yielded) => `${yielded.preparation} ${yielded.percent} %`),
    ].join(', ')
</script>

<svelte:head><title>Ingredients · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if answer}
  <p class="small"><a class="link" href="#/recipes">All recipes</a></p>
  <Sentence spoken="{inOrder.length} of {answer.ingredients.length} ingredients">
    {answer.ingredients.length} ingredients, of which
    <ChoiceWord
      label="Which are shown"
      value={shown}
      options={[
        { value: 'all', words: 'all are shown' },
        { value: 'used', words: 'those in recipes are shown' },
        { value: 'unpriced', words: 'those in recipes without a price are shown' },
        { value: 'unstated', words: 'those without stated allergens are shown' },
        { value: 'own', words: 'those with figures of your own are shown' },
      ]}
      onchange={(value) => (shown = value)}
    />. {unknown.length === 0
      ? 'The allergens of all are stated'
      : `Of ${unknown.length} nobody has said what allergens they carry`}{unpriced.length === 0
      ? '.'
      : `, and ${unpriced.length} in recipes have no price.`}
  </Sentence>
  <div class="mt-2 flex flex-wrap items-end gap-4">
    <label class="grow"
      ><span class="small block">Find</span><input class="field w-full max-w-80" type="search" bind:value={q} /></label
    >
    <button class="press" onclick={() => (opened = opened === 'new' ? undefined : 'new')}
      >{opened === 'new' ? 'Leave it' : 'A new ingredient'}</button
    >
  </div>
  <p class="small mt-2">
    Cups and counts are weighed by these figures; each names its source, and your own wins over the one that ships.
    Local codes decide what a label must say; the US names {answer.usAllergens.length} allergens, the EU fourteen.
  </p>
  <p role="status">{said}</p>
  {#if opened === 'new'}
    <IngredientForm
      {answer}
      ondone={(words) => {
        said = words
        opened = undefined
        live.saved('ingredients')
      }}
    />
  {/if}
  <ul class="mt-2">
    {#each inOrder as one (one.id)}
      <li class="border-line border-t py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <strong class="min-w-52">{one.name}</strong>
          <span class="grow">
            {#if one.allergens === null}<b>allergens not stated</b>
            {:else if one.allergens.length === 0}<span class="small">no major allergen</span>
            {:else}carries {one.allergens.join(', ')}{/if}{#if one.mayContain.length > 0}<span class="small"
                >, may contain {one.mayContain.join(', ')}</span
              >{/if}{#if one.alcoholPercent > 0}, <b>{one.alcoholPercent} % alcohol</b>{/if}{#if one.unsafeRaw}<span
                class="small">, not to be tasted raw</span
              >{/if}<span class="small"
              >{one.price ? `; ${one.price}` : one.isMadeHere ? '; made here' : '; no price'}</span
            >
          </span>
          <button
            class="link"
            aria-expanded={opened === one.id}
            aria-label="{opened === one.id ? 'Close' : 'Change'} {one.name}"
            onclick={() => (opened = opened === one.id ? undefined : one.id)}
            >{opened === one.id ? 'Close' : 'Change'}</button
          >
        </div>
        {#if weights(one)}<p class="small">{weights(one)}</p>{/if}
        {#if opened === one.id}
          <IngredientForm
            {answer}
            ingredient={one}
            ondone={(words) => {
              said = words
              opened = undefined
              live.saved('ingredients')
            }}
          />
        {/if}
      </li>
    {/each}
  </ul>
  {#if inOrder.length === 0}<p class="mt-3">None is like that.</p>{/if}
{/if}
