<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { live } from '../../parts/live.svelte'

  let text = $state('')
  let fileName = $state('')
  let preview = $state.raw<Schemas['LibraryPreview']>()
  let failure = $state<Failure>()
  let said = $state('')
  let isBusy = $state(false)
  let asked = 0

  async function choose(files: FileList | null) {
    const file = files?.[0]
    if (!file) return
    said = ''
    preview = undefined
    failure = undefined
    fileName = file.name
    if (file.size > 16_000_000) {
      failure = { status: 413, title: `${file.name} is larger than 16 MB; nothing was read.`, fields: {} }
      return
    }
    text = await file.text()
    const mine = ++asked
    isBusy = true
    const outcome = await ask(api.POST('/api/library/preview', { body: { text } }))
    if (mine !== asked) return
    isBusy = false
    failure = outcome.failure
    preview = outcome.data
  }

  async function takeIn() {
    if (isBusy) return
    isBusy = true
    const outcome = await ask(api.POST('/api/library', { body: { text } }))
    isBusy = false
    failure = outcome.failure
    if (!outcome.data) return
    said = `${fileName} is taken in: ${outcome.data.changes} ${outcome.data.changes === 1 ? 'thing' : 'things'}.`
    preview = undefined
    text = ''
    live.saved('recipes')
  }

  const lists = $derived(
    preview
      ? [
          { title: 'New recipes', names: preview.newRecipes },
          { title: 'New versions', names: preview.changedRecipes },
          { title: 'Doughs', names: preview.doughs },
          { title: 'New ingredients', names: preview.newIngredients },
          { title: 'Ingredients stated anew', names: preview.restatedIngredients },
          { title: 'New pans', names: preview.pans },
        ].filter((list) => list.names.length > 0)
      : [],
  )
  const faults = $derived(
    Object.entries(failure?.fields ?? {}).flatMap(([field, messages]) =>
      messages.map((message) => ({ field, message })),
    ),
  )
</script>

<svelte:head><title>Take in, give out · Lumpet</title></svelte:head>
<p class="small"><a class="link" href="#/recipes">All recipes</a></p>
<h1 class="sentence">
  {#if preview}{preview.changes === 0
      ? `${fileName} changes nothing: all of it is there already.`
      : `${fileName} brings ${preview.changes} ${preview.changes === 1 ? 'thing' : 'things'}; ${preview.same} are there already.`}
  {:else if isBusy}Reading {fileName}…
  {:else}Recipes go out and come in as files.{/if}
</h1>
<section class="mt-3" aria-label="Give out">
  <h2>Give out</h2>
  <p class="mt-1 flex flex-wrap gap-3">
    <a class="press" href="/api/library.json" download="lumpet-library.json">The whole library, JSON</a>
    <a class="press" href="/api/ingredients.csv" download="ingredients.csv">Ingredients, CSV</a>
  </p>
  <p class="small mt-1">A single recipe goes out as schema.org JSON-LD, from the recipe itself.</p>
</section>
<section class="mt-6" aria-label="Take in">
  <h2>Take in</h2>
  <p class="small">
    A library, schema.org recipes from anywhere, or a table of ingredients, up to 16 MB and 2000 recipes. All of it is
    taken or nothing; you see first what it would do.
  </p>
  <label class="press mt-2"
    >Choose a file<input
      type="file"
      class="sr-only"
      accept=".json,.jsonld,.csv,application/json,application/ld+json,text/csv"
      onchange={(event) => void choose(event.currentTarget.files)}
    /></label
  >
  <p class="mt-2" role="status">{said}</p>
  {#if failure}
    <div class="note mt-2" role="alert">
      <p><strong>{failure.title}</strong></p>
      <ul>
        {#each faults as fault, index (index)}<li><b>{fault.field}</b> {fault.message}</li>{/each}
      </ul>
    </div>
  {/if}
  {#if preview}
    {#each lists as list (list.title)}
      <h3 class="mt-3 font-bold">{list.title}, {list.names.length}</h3>
      <p>{list.names.join('; ')}</p>
    {/each}
    {#if preview.noteCount > 0}
      <h3 class="mt-3 font-bold">To look at afterwards, {preview.noteCount}</h3>
      <ul>
        {#each preview.notes as note, index (index)}
          <li class="border-line border-t py-1"><strong>{note.recipe}</strong> {note.what}</li>
        {/each}
      </ul>
      {#if preview.noteCount > preview.notes.length}<p class="small">
          The first {preview.notes.length}; each recipe keeps its own.
        </p>{/if}
    {/if}
    {#if preview.changes > 0}
      <button class="press press-main mt-4" onclick={takeIn} disabled={isBusy}
        >Take in {preview.changes === 1 ? 'this' : `these ${preview.changes}`}</button
      >
    {/if}
  {/if}
</section>
