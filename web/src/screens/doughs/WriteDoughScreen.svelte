<script lang="ts">
  import { push, replace } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import NumberField from '../../parts/NumberField.svelte'
  import TextField from '../../parts/TextField.svelte'
  import Shelving from '../../parts/Shelving.svelte'
  import { live } from '../../parts/live.svelte'
  import DoughJudged from './DoughJudged.svelte'
  import DoughVersions from './DoughVersions.svelte'
  import KindField from '../../parts/KindField.svelte'
  import { words } from '../../parts/words.svelte'
  import LinesField from '../../parts/LinesField.svelte'

  interface Props {
    params?: { id?: string }
  }
  const { params }: Props = $props()
  type Draft = Schemas['DoughDraft']

  let doughs = $state<Schemas['WrittenDough'][]>()
  let usual = $state<Draft[]>([])
  let draft = $state<Draft>()
  let version = $state(0)
  let isRetired = $state(false)
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
    isRetired = one?.isRetired ?? false
  }

  $effect(() => {
    void load(params?.id)
  })
  // The list follows what others write; a dough that is open stays as it was opened.
  $effect(() => live.on(() => void (draft || load(params?.id))))

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
    {#if draft && version > 0}{draft.name}, version {version}{isRetired ? ', retired' : ''}.
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
          {#if dough.isRetired}<b>retired</b>{/if}
          <span class="small"
            >{dough.judged.family}{dough.judged.ratio ? `, flour : fat : water ${dough.judged.ratio}` : ''}</span
          >
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
      <div class="flex flex-wrap gap-x-4">
        <TextField label="Name" field="name" {failure} bind:value={written.name} size={34} />
        <KindField
          label="Family"
          field="family"
          {failure}
          options={words.current.doughFamilies}
          bind:value={written.family}
        />
      </div>
      <div class="mt-3">
        <LinesField
          label="What goes in: amount, ingredient, then how it is prepared"
          field="lines"
          {failure}
          bind:value={draft.lines}
          rows={7}
          placeholder="480 g Flour, plain"
        />
      </div>
      <DoughJudged {written} />
      <div class="mt-3 flex flex-wrap gap-x-4 gap-y-2">
        <NumberField
          label="Mix and divide a batch, min"
          field="mixMin"
          {failure}
          bind:value={written.mixMin}
          size={8}
        />
        <NumberField label="Rest at least, min" field="restLeast" {failure} bind:value={written.restLeast} size={8} />
        <NumberField label="Rest wanted, min" field="restAim" {failure} bind:value={written.restAim} size={8} />
        <NumberField label="Rest at most, min" field="restMost" {failure} bind:value={written.restMost} size={8} />
        <NumberField label="Turns" field="turns" {failure} bind:value={written.turns} size={5} />
        <NumberField label="A turn takes, min" field="turnMin" {failure} bind:value={draft.turnMin} size={6} />
        <NumberField
          label="Rest after a turn, min"
          field="turnRestMin"
          {failure}
          bind:value={written.turnRestMin}
          size={6}
        />
        <NumberField
          label="Water held back, %"
          field="heldBackPercent"
          {failure}
          bind:value={written.heldBackPercent}
          size={6}
        />
        <TextField label="Fat looks like" field="fatSize" {failure} bind:value={written.fatSize} size={14} />
        <NumberField label="Rolled from, mm" field="thinnestMm" {failure} bind:value={written.thinnestMm} size={5} />
        <NumberField label="to, mm" field="thickestMm" {failure} bind:value={written.thickestMm} size={5} />
        <NumberField
          label="Keeps cold, days"
          field="keepsColdDays"
          {failure}
          bind:value={written.keepsColdDays}
          size={5}
        />
        <NumberField
          label="Keeps frozen, days"
          field="keepsFrozenDays"
          {failure}
          bind:value={written.keepsFrozenDays}
          size={5}
        />
        <NumberField
          label="Density when rolled, g/ml"
          field="density"
          {failure}
          bind:value={written.density}
          size={8}
        />
        <NumberField
          label="Stays in the bowl, %"
          field="bowlLossPercent"
          {failure}
          bind:value={written.bowlLossPercent}
          size={8}
        />
      </div>
      <div class="mt-2 grid gap-x-4 gap-y-2 md:grid-cols-2">
        <TextField label="Ready when" field="readyWhen" {failure} bind:value={written.readyWhen} />
        <TextField label="If it is not: what then" field="cure" {failure} bind:value={written.cure} />
        <TextField label="Caution" field="caution" {failure} bind:value={written.caution} />
      </div>
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button class="press press-main" type="submit">Save the dough</button>
        <a class="press" href="#/write">Write a recipe with it</a>
        {#if version > 0 && params?.id}
          <Shelving
            kind="doughs"
            id={params.id}
            name={written.name ?? ''}
            {isRetired}
            ongone={() => push('/doughs')}
            onretired={() => (isRetired = !isRetired)}
          />
        {/if}
        <span role="status">{said}</span>
      </div>
      {#if theirs}
        <DraftConflict
          what="this dough"
          rows={differences(theirs.draft, draft)}
          onkeep={() => ((theirs = undefined), load(params?.id))}
          onsave={() => {
            version = theirs?.version ?? version
            void save()
          }}
        />
      {:else if failure && Object.keys(failure.fields).length === 0}<FailureNote {failure} />{/if}
    </form>
    {#if version > 0 && params?.id}
      <DoughVersions
        id={params.id}
        {version}
        {written}
        ontake={(old, number) => {
          draft = { ...old }
          said = `What version ${number} wrote is in the form; saving makes version ${version + 1}.`
        }}
      />
    {/if}
  {/if}
{:else}<FailureNote {failure} />{/if}
