<script lang="ts">
  import { replace } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'
  import LinesField from './LinesField.svelte'

  interface Props {
    params?: { id?: string }
  }
  const { params }: Props = $props()
  type Draft = Schemas['DoughDraft']

  let doughs = $state<Schemas['WrittenDough'][]>()
  let usual = $state<Draft[]>([])
  let draft = $state<Draft>()
  let version = $state(0)
  let failure = $state<Failure>()
  let said = $state('')
  let theirs = $state.raw<Schemas['WrittenDough']>()

  async function load(id: string | undefined) {
    const [written, begin] = await Promise.all([ask(api.GET('/api/doughs')), ask(api.GET('/api/writing/usual'))])
    failure = written.failure
    doughs = written.data ?? []
    usual = begin.data?.doughs ?? []
    const one = doughs.find((dough) => dough.id === id)
    draft = one ? { ...one.draft } : undefined
    version = one?.version ?? 0
  }

  $effect(() => {
    void load(params?.id)
  })

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (!draft) return
    const outcome =
      version > 0 && params?.id
        ? await ask(
            api.PUT('/api/doughs/{id}', {
              params: { path: { id: params.id }, header: { 'If-Match': `"${version}"` } },
              body: draft,
            }),
          )
        : await ask(api.POST('/api/doughs', { body: draft }))
    failure = outcome.failure
    theirs =
      failure?.status === 412
        ? (await ask(api.GET('/api/doughs'))).data?.find((dough) => dough.id === params?.id)
        : undefined
    said = ''
    if (!outcome.data) return
    said = `${outcome.data.draft.name} is saved, version ${outcome.data.version}.`
    const same = params?.id === outcome.data.id
    if (same) await load(params?.id)
    else await replace(`/doughs/${outcome.data.id}`)
  }
</script>

<svelte:head><title>Doughs · Lumpet</title></svelte:head>
{#if doughs}
  <h1 class="sentence">
    {#if draft && version > 0}{draft.name}, version {version}.
    {:else if draft}A new dough.
    {:else if doughs.length === 0}No dough is written yet. Begin with a usual one.
    {:else}{doughs.length} {doughs.length === 1 ? 'dough' : 'doughs'}.{/if}
  </h1>
  <p class="small"><a class="link" href="#/recipes">All recipes</a> · <a class="link" href="#/doughs">All doughs</a></p>
  {#if !draft}
    <ul class="mt-3">
      {#each doughs as dough (dough.id)}
        <li class="border-line border-t py-2">
          <a class="link text-lg font-bold" href="#/doughs/{dough.id}">{dough.draft.name}</a>
          <p class="small">{(dough.draft.lines ?? '').replaceAll('\n', '; ')}</p>
        </li>
      {/each}
    </ul>
    <h2 class="mt-5">Begin a new one with</h2>
    <p class="small">The proportions are common practice; change what is different in your kitchen.</p>
    <p class="mt-2 flex flex-wrap gap-2">
      {#each usual as one (one.name)}
        <button class="press" onclick={() => ((draft = { ...one }), (version = 0))}>{one.name}</button>
      {/each}
    </p>
  {:else}
    {@const written = draft}
    <form class="mt-3" onsubmit={save} novalidate>
      <Field label="Name" field="name" {failure}>
        {#snippet children(ties)}<input class="field w-72" bind:value={written.name} {...ties} />{/snippet}
      </Field>
      <div class="mt-3">
        <LinesField
          label="What goes in: weight, ingredient, then how it is prepared"
          field="lines"
          {failure}
          bind:value={draft.lines}
          rows={7}
          placeholder="480 g Flour, plain"
        />
      </div>
      <div class="mt-3 flex flex-wrap gap-x-4 gap-y-2">
        <Field label="Mix and divide a batch, min" field="mixMin" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              bind:value={written.mixMin}
              {...ties}
            />{/snippet}
        </Field>
        <Field label="Rest at least, min" field="restLeast" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              bind:value={written.restLeast}
              {...ties}
            />{/snippet}
        </Field>
        <Field label="Rest wanted, min" field="restAim" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              bind:value={written.restAim}
              {...ties}
            />{/snippet}
        </Field>
        <Field label="Rest at most, min" field="restMost" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              bind:value={written.restMost}
              {...ties}
            />{/snippet}
        </Field>
        <Field label="Density when rolled, g/ml" field="density" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              step="any"
              bind:value={written.density}
              {...ties}
            />{/snippet}
        </Field>
        <Field label="Stays in the bowl, %" field="bowlLossPercent" {failure}>
          {#snippet children(ties)}<input
              class="field w-28"
              type="number"
              step="any"
              bind:value={written.bowlLossPercent}
              {...ties}
            />{/snippet}
        </Field>
      </div>
      <div class="mt-2 grid gap-x-4 gap-y-2 md:grid-cols-2">
        <Field label="Ready when" field="readyWhen" {failure}>
          {#snippet children(ties)}<input class="field w-full" bind:value={written.readyWhen} {...ties} />{/snippet}
        </Field>
        <Field label="Caution" field="caution" {failure}>
          {#snippet children(ties)}<input class="field w-full" bind:value={written.caution} {...ties} />{/snippet}
        </Field>
      </div>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button class="press press-main" type="submit">Save the dough</button>
        <a class="press" href="#/write">Write a recipe with it</a>
        <span role="status">{said}</span>
      </div>
      {#if theirs}
        <DraftConflict
          what="this dough"
          theirs={theirs.draft}
          mine={draft}
          onkeep={() => ((theirs = undefined), load(params?.id))}
          onsave={() => {
            version = theirs?.version ?? version
            void save()
          }}
        />
      {:else if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
    </form>
  {/if}
{:else}<FailureNote {failure} />{/if}
