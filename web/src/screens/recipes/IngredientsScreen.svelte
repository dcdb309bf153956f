<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'
  import IngredientForm from './IngredientForm.svelte'

  let answer = $state<Schemas['IngredientsAnswer']>()
  let failure = $state<Failure>()
  let opened = $state<string>()
  let said = $state('')

  async function load() {
    const outcome = await ask(api.GET('/api/ingredients'))
    failure = outcome.failure
    if (outcome.data) answer = outcome.data
  }

  $effect(() => void load())
  $effect(() => live.on(() => void load()))

  const unknown = $derived((answer?.ingredients ?? []).filter((one) => one.allergens === null))
  const unpriced = $derived((answer?.ingredients ?? []).filter((one) => one.price === null))
  // What is missing comes first: it is what one is here for.
  const inOrder = $derived(
    (answer?.ingredients ?? []).toSorted(
      (one, other) => Number(one.allergens !== null) - Number(other.allergens !== null),
    ),
  )
</script>

<svelte:head><title>Ingredients · Lumpet</title></svelte:head>
<FailureNote {failure} />
{#if answer}
  <p class="small"><a class="link" href="#/recipes">All recipes</a></p>
  <h1 class="sentence">
    {answer.ingredients.length} ingredients. {unknown.length === 0
      ? 'The allergens of all are stated'
      : `Of ${unknown.length} nobody has said what allergens they carry`}{unpriced.length === 0
      ? '.'
      : `, and ${unpriced.length} have no price.`}
  </h1>
  <p class="small">
    What is not stated is shown as not stated wherever allergens are shown. Local codes decide what a label must say.
  </p>
  <p role="status">{said}</p>
  <ul class="mt-2">
    {#each inOrder as one (one.id)}
      <li class="border-line border-t py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-4">
          <strong class="min-w-52">{one.name}</strong>
          <span class="grow">
            {#if one.allergens === null}<b>allergens not stated</b>
            {:else if one.allergens.length === 0}<span class="small">no major allergen</span>
            {:else}carries {one.allergens.join(', ')}{/if}<span class="small"
              >{one.price ? `; ${one.price}` : '; no price'}</span
            >
          </span>
          <button
            class="link"
            aria-expanded={opened === one.id}
            aria-label="Change {one.name}"
            onclick={() => (opened = opened === one.id ? undefined : one.id)}
            >{opened === one.id ? 'Close' : 'Change'}</button
          >
        </div>
        {#if opened === one.id}
          <IngredientForm
            ingredient={one}
            allergens={answer.allergens}
            ondone={(words) => {
              said = words
              opened = undefined
              void load()
            }}
          />
        {/if}
      </li>
    {/each}
  </ul>
{/if}
