<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'
  import { live } from '../../parts/live.svelte'

  let recipes = $state<Schemas['RecipeListed'][]>()
  let failure = $state<Failure>()
  const tops: Record<string, string> = { open: 'open', lid: 'with a lid', lattice: 'with a lattice' }

  function load() {
    void ask(api.GET('/api/recipes')).then((outcome) => {
      failure = outcome.failure
      if (outcome.data) recipes = outcome.data
    })
  }

  $effect(load)
  $effect(() => live.on(load))
</script>

<svelte:head><title>Recipes · Lumpet</title></svelte:head>
<FailureNote {failure} />
{#if recipes}
  <h1 class="sentence">
    {recipes.length === 0
      ? 'No recipe is written yet.'
      : `${recipes.length === 1 ? '1 recipe. Open it' : `${recipes.length} recipes. Open one`} to scale it to a pan and a count.`}
  </h1>
  <p class="mt-3 flex flex-wrap gap-x-5 gap-y-2">
    <a class="press press-main" href="#/write">Write a recipe</a>
    <a class="press" href="#/doughs">Doughs</a>
    <a class="press" href="#/ingredients">Ingredients</a>
  </p>
  <ul class="mt-4">
    {#each recipes as recipe (recipe.id)}
      <li class="border-line border-t py-2">
        <a class="link text-lg font-bold" href="#/recipes/{recipe.id}">{recipe.name}</a>, {tops[recipe.top]}, in {recipe.pans.join(
          ' or ',
        )}
        <p class="small">
          {recipe.dough} dough. Bakes at {recipe.bake}. {recipe.allergens.length > 0
            ? `Contains ${recipe.allergens.join(', ')}.`
            : ''}
          {#if recipe.notStated.length > 0}<b>Allergens not stated yet: {recipe.notStated.join(', ')}.</b>{/if}
          Version {recipe.version}.
        </p>
      </li>
    {/each}
  </ul>
{/if}
