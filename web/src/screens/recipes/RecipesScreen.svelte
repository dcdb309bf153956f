<script lang="ts">
  import { replace, router } from 'svelte-spa-router'
  import { SvelteSet, SvelteURLSearchParams } from 'svelte/reactivity'
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import ChoiceWord from '../../parts/ChoiceWord.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Mark from '../../parts/Mark.svelte'
  import Sentence from '../../parts/Sentence.svelte'
  import { words } from '../../parts/words.svelte'

  const chosen = new SvelteSet<string>()

  // What is looked for is kept in the address, so that a list can be passed on as it stands.
  const query = $derived(new SvelteURLSearchParams(router.querystring ?? ''))
  const q = $derived(query.get('q') ?? '')
  const kind = $derived(query.get('kind') ?? '')
  const without = $derived(query.get('without') ?? '')

  const asked = new Asked<Schemas['RecipesFound']>()
  asked.follow(['recipes', 'ingredients'], () => {
    const query = { q, kind, without }
    return (signal) => api.GET('/api/recipes', { params: { query }, signal })
  })
  const found = $derived(asked.current)

  function go(change: Record<string, string>) {
    const next = new SvelteURLSearchParams(query)
    for (const [name, value] of Object.entries(change)) {
      if (value) next.set(name, value)
      else next.delete(name)
    }
    void replace(`/recipes${next.size > 0 ? `?${next}` : ''}`)
  }

  function choose(id: string) {
    if (chosen.has(id)) chosen.delete(id)
    else chosen.add(id)
  }

  const isNarrowed = $derived(q !== '' || kind !== '' || without !== '')
  const spoken = $derived(
    found ? `${found.matching} of ${found.total} recipes${without ? `, without ${without}` : ''}` : '',
  )
  const pair = $derived([...chosen])
</script>

<svelte:head><title>Recipes · Lumpet</title></svelte:head>
<FailureNote failure={asked.failure} />
{#if found}
  {#if found.total === 0}
    <h1 class="sentence">No recipe is written yet.</h1>
  {:else}
    <Sentence {spoken}>
      {isNarrowed ? `${found.matching} of ${found.total}` : found.total}
      {found.total === 1 ? 'recipe' : 'recipes'} with
      <ChoiceWord
        label="Kind of filling"
        value={kind}
        options={[
          { value: '', words: 'any filling' },
          ...found.kinds.map((one) => ({ value: one.value, words: one.words })),
        ]}
        onchange={(value) => go({ kind: value })}
      />, leaving out
      <ChoiceWord
        label="Leaving out an allergen"
        value={without}
        options={[
          { value: '', words: 'nothing' },
          ...words.current.allergens.map((one) => ({ value: one, words: `what contains ${one}` })),
        ]}
        onchange={(value) => go({ without: value })}
      />.
    </Sentence>
  {/if}
  <div class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
    {#if found.total > 0}
      <label class="grow">
        <span class="small block">Find by name, dough or ingredient</span>
        <input
          class="field w-full max-w-96"
          type="search"
          value={q}
          maxlength="200"
          oninput={(event) => go({ q: event.currentTarget.value })}
        />
      </label>
    {/if}
    <a class="press press-main" href="#/write">Write a recipe</a>
    <a class="press" href="#/doughs">Doughs</a>
    <a class="press" href="#/preparations">Preparations</a>
    <a class="press" href="#/ingredients">Ingredients</a>
    <a class="press" href="#/pans">Pans</a>
    <a class="press" href="#/library">Take in, give out</a>
  </div>
  {#if without}
    <p class="small mt-2">
      Left out is what carries it, and what has an ingredient whose allergens nobody has stated. Cross-contact stays
      possible: what this kitchen handles stands on each recipe.
    </p>
  {/if}
  {#if pair.length > 0}
    <p class="note mt-3 flex flex-wrap items-center gap-3" role="status">
      {#if pair.length === 2}
        <a class="press press-main" href="#/compare/{pair[0]}/{pair[1]}">Compare these two</a>
      {:else}
        {pair.length === 1 ? 'One chosen to compare; choose another.' : 'Two can be compared; leave out some.'}
      {/if}
      <button class="press" onclick={() => chosen.clear()}>Choose none</button>
    </p>
  {/if}
  <ul class="mt-3">
    {#each found.recipes as recipe (recipe.id)}
      <li class="border-line grid grid-cols-[1.9rem_1fr] border-t py-2">
        <input
          type="checkbox"
          class="mt-1 size-5"
          aria-label="Compare {recipe.name}"
          checked={chosen.has(recipe.id)}
          onchange={() => choose(recipe.id)}
        />
        <div class="flex flex-wrap items-baseline justify-between gap-x-6">
          <span>
            <Mark product={recipe.name} />
            <a class="link text-lg font-bold" href="#/recipes/{recipe.id}">{recipe.name}</a>
            <span>{recipe.filling}, {recipe.top}</span>
          </span>
          <span class="small"
            >{recipe.allergens.length > 0
              ? `contains ${recipe.allergens.join(', ')}`
              : 'no major allergen stated'}{#if recipe.alcohol}, <b>alcohol</b>{/if}{#if recipe.isRetired}; <b
                >retired</b
              >{/if}{#if recipe.toReview > 0}; <b>{recipe.toReview} to look at</b
              >{/if}{#if recipe.notStated.length > 0}; <b>not stated: {recipe.notStated.join(', ')}</b>{/if}</span
          >
          <span class="small w-full">
            {recipe.dough}; {recipe.base}; {recipe.bake}. In {recipe.pans.join(' or ')}. Version {recipe.version}.
          </span>
        </div>
      </li>
    {/each}
  </ul>
  {#if found.matching > found.recipes.length}
    <p class="small border-line border-t py-2">
      The first {found.recipes.length} of {found.matching}. Another word finds the rest.
    </p>
  {/if}
  {#if found.total > 0 && found.matching === 0}
    <p class="mt-3">
      Nothing is like that.
      <button class="link" onclick={() => go({ q: '', kind: '', without: '' })}>Show all recipes</button>
    </p>
  {/if}
{/if}
