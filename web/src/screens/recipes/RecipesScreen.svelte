<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'

  let recipes = $state<Schemas['RecipeListed'][]>()
  let failure = $state<Failure>()
  const tops: Record<string, string> = { open: 'open', lid: 'with a lid', lattice: 'with a lattice' }

  $effect(() => {
    ask(api.GET('/api/recipes')).then((outcome) => {
      failure = outcome.failure
      recipes = outcome.data
    })
  })
</script>

<svelte:head><title>Recipes · Lumpet</title></svelte:head>
<FailureNote {failure} />
{#if recipes}
  <h1 class="sentence">
    {recipes.length === 0
      ? 'No recipe is written yet.'
      : `${recipes.length} recipes. Open one to scale it to a pan and a count.`}
  </h1>
  <ul class="mt-4">
    {#each recipes as recipe (recipe.id)}
      <li class="border-line border-t py-2">
        <a class="link text-lg font-bold" href="#/recipes/{recipe.id}">{recipe.name}</a>, {tops[recipe.top]}, in {recipe.pans.join(
          ' or ',
        )}
        <p class="small">
          {recipe.dough} dough. Bakes at {recipe.bake}. Contains {recipe.allergens.join(', ')}. Version {recipe.version}.
        </p>
      </li>
    {/each}
  </ul>
{/if}
