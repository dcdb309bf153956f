<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { live } from '../../parts/live.svelte'
  import { differences } from '../../parts/differences'
  import DraftConflict from '../../parts/DraftConflict.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import Field from '../../parts/Field.svelte'
  import TextField from '../../parts/TextField.svelte'
  import KindField from '../../parts/KindField.svelte'
  import { words } from '../../parts/words.svelte'
  import { withLayer } from './layers'
  import KeepFields from './KeepFields.svelte'
  import LayersField from './LayersField.svelte'
  import CrustFields from './CrustFields.svelte'
  import PieSoFar from './PieSoFar.svelte'
  import SellFields from './SellFields.svelte'
  import SchoolsField from './SchoolsField.svelte'
  import StepsField from './StepsField.svelte'
  import WayField from './WayField.svelte'

  interface Props {
    params?: { id?: string }
  }
  const { params }: Props = $props()
  type Draft = Schemas['ProductDraft']

  let usual = $state<Schemas['UsualProduct'][]>([])
  let doughs = $state<Schemas['WrittenDough'][]>([])
  let shells = $state.raw<Schemas['ShellAnswer'][]>([])
  /** What a crust may be of: the doughs, then shells that are baked here by the piece. */
  const offered = $derived([
    ...doughs
      .filter((one) => !one.isRetired || one.id === draft?.dough)
      .map((one) => ({ id: one.id, name: one.draft.name ?? '' })),
    ...shells,
  ])
  let pans = $state<Schemas['PanDraft'][]>([])
  let draft = $state<Draft>()
  let version = $state(0)
  let failure = $state<Failure>()
  let isSending = $state(false)
  let theirs = $state.raw<Schemas['WrittenRecipe']>()

  async function load(id: string | undefined) {
    const [begin, written, house, baked] = await Promise.all([
      ask(api.GET('/api/writing/usual')),
      ask(api.GET('/api/doughs')),
      ask(api.GET('/api/bakery/description')),
      ask(api.GET('/api/shells')),
    ])
    usual = begin.data?.products ?? []
    doughs = written.data ?? []
    shells = baked.data ?? []
    pans = (house.data?.draft.pans ?? []).filter((pan) => pan !== null)
    failure = begin.failure ?? written.failure ?? house.failure
    draft = undefined
    pie = undefined
    version = 0
    if (!id) return
    const one = await ask(api.GET('/api/recipes/{id}/written', { params: { path: { id } } }))
    failure = one.failure
    draft = one.data?.draft
    version = one.data?.version ?? 0
  }

  $effect(() => {
    void load(params?.id)
  })

  function begin(kind: Schemas['UsualProduct']) {
    const pan = pans[0]?.id ?? null
    draft = {
      ...structuredClone($state.snapshot(kind.draft)),
      name: '',
      dough: offered[0]?.id ?? null,
      referencePan: pan,
      sizes: [{ pan, price: null, packaging: null, bakeLeast: null, bakeMost: null }],
    }
  }

  async function save(event?: SubmitEvent) {
    event?.preventDefault()
    if (!draft || isSending) return
    isSending = true
    const outcome =
      version > 0 && params?.id
        ? await ask(
            api.PUT('/api/recipes/{id}', {
              params: { path: { id: params.id }, header: { 'If-Match': `"${version}"` } },
              body: draft,
            }),
          )
        : await ask(api.POST('/api/recipes', { body: draft }))
    isSending = false
    failure = outcome.failure
    theirs =
      failure?.status === 412 && params?.id
        ? (await ask(api.GET('/api/recipes/{id}/written', { params: { path: { id: params.id } } }))).data
        : undefined
    if (!outcome.data) return
    live.saved('recipes')
    await push(`/recipes/${outcome.data.id}`)
  }

  const ofPan = (id: string | undefined) => draft?.sizes?.find((size) => size?.pan === id)

  /** A shell by the piece is not rolled: the lining follows. */
  function takeShell() {
    if (draft && shells.some((shell) => shell.id === draft?.dough)) draft.lining = 'boughtShell'
  }

  /** Crumble and meringue are layers of their own: one is begun for them. */
  function choose(top: string | null | undefined) {
    if (!draft) return
    draft.top = top ?? null
    const layers = draft.layers ?? []
    if ((top === 'crumble' || top === 'meringue') && layers.every((layer) => layer?.part !== 'topping'))
      draft.layers = withLayer(
        layers.filter((layer) => layer !== null),
        'topping',
      )
  }

  /** Steps that go with what is chosen; what was changed in them by hand is lost, so it is asked for. */
  async function takeUsualSteps() {
    if (!draft) return
    const { baseTreatment = null, top = null, lining = null } = draft
    const fillingKind = draft.layers?.find((layer) => layer?.part === 'filling')?.fillingKind ?? null
    const outcome = await ask(api.POST('/api/writing/steps', { body: { fillingKind, baseTreatment, top, lining } }))
    failure = outcome.failure
    if (!outcome.data) return
    draft.steps = outcome.data.steps
    draft.links = outcome.data.links
  }

  /** What is being done to the steps: the next begins when it is done, or it would be done to steps that are no more. */
  let doing = Promise.resolve()
  function edit(act: string, step: string, other?: string) {
    doing = doing.then(() => editNow(act, step, other))
  }

  /** One thing is done to the steps, by the rules that the server knows; what is typed meanwhile stays. */
  async function editNow(act: string, step: string, other?: string) {
    const edited = draft
    if (!edited) return
    const { steps = null, links = null } = $state.snapshot(edited) as Draft
    const outcome = await ask(
      api.POST('/api/writing/steps/edit', { body: { steps, links, act, step, other: other ?? null } }),
    )
    if (draft !== edited) return
    failure = outcome.failure
    if (!outcome.data) return
    const sent = new Map(steps?.map((one) => [one?.id, JSON.stringify(one)]))
    const live = new Map(edited.steps?.map((one) => [one?.id, one]))
    edited.steps = (outcome.data.steps ?? []).map((one) =>
      sent.get(one?.id) === JSON.stringify(one) ? (live.get(one?.id) ?? one) : one,
    )
    edited.links = outcome.data.links
  }

  /** What does not hold together in the steps as they are written now; the rest is said when it is saved. */
  let checked = $state.raw<Record<string, string[]>>({})
  let takes = $state.raw<Schemas['TakesAnswer'][]>([])
  let pie = $state.raw<Schemas['PieAnswer']>()
  let way = $state.raw<Schemas['WayAnswer']>()
  let asked = 0
  $effect(() => {
    const body = draft && { id: version > 0 ? (params?.id ?? null) : null, draft: $state.snapshot(draft) as Draft }
    const mine = ++asked
    if (!body) return
    const soon = setTimeout(() => {
      void ask(api.POST('/api/writing/recipe', { body })).then(({ data }) => {
        if (!data || mine !== asked) return
        if (Object.keys(data.fields).length === 0) takes = data.takes
        // The last that held together stays, rather than a hole while a word is typed.
        pie = data.pie ?? pie
        way = data.way ?? way
        checked = Object.fromEntries(Object.entries(data.fields).filter(([field]) => /^(steps|links)/.test(field)))
      })
    }, 150)
    return () => clearTimeout(soon)
  })
  const counted = $derived(Object.keys(failure?.fields ?? {}).length)
</script>

<svelte:head><title>Write a recipe · Lumpet</title></svelte:head>
<p class="small"><a class="link" href="#/recipes">All recipes</a> · <a class="link" href="#/doughs">Doughs</a></p>
{#if !draft}
  <h1 class="sentence">A new recipe: how is it made?</h1>
  {#if offered.length === 0}
    <p class="note mt-3">A recipe needs a dough first. <a class="link" href="#/doughs">Write a dough</a></p>
  {:else}
    <p class="small">Each brings its usual steps, times and temperatures; everything can be changed.</p>
    <ul class="mt-3">
      {#each usual as kind (kind.id)}
        <li class="border-line flex flex-wrap items-baseline gap-x-4 border-t py-2">
          <button class="press" onclick={() => begin(kind)}>{kind.name}</button>
          <span>{kind.why}</span>
        </li>
      {/each}
    </ul>
  {/if}
  <FailureNote {failure} />
{:else}
  {@const written = draft}
  <h1 class="sentence">
    {version > 0
      ? `${draft.name}, version ${version}: saving makes version ${version + 1}.`
      : 'A new recipe, for one pie.'}
  </h1>
  <form class="mt-3" onsubmit={save} novalidate>
    <div class="beside">
      <div class="min-w-0">
        {#if written.review}
          <div class="note mb-3">
            <strong>Still to look at; taken in from elsewhere:</strong>
            <ul class="list-disc pl-5">
              {#each written.review.split('\n') as line, index (index)}<li>{line}</li>{/each}
            </ul>
            <button class="press mt-2" type="button" onclick={() => (written.review = null)}>All looked at</button>
          </div>
        {/if}
        <div class="row">
          <TextField label="Name" field="name" {failure} bind:value={written.name} size={26} />
          <TextField
            label="Other words for it, by commas"
            field="aliases"
            {failure}
            bind:value={written.aliases}
            size={24}
          />
        </div>
        <div class="row">
          <Field label="Dough" field="dough" {failure}>
            {#snippet children(ties)}<select class="field" bind:value={written.dough} onchange={takeShell} {...ties}
                >{#each offered as dough (dough.id)}<option value={dough.id}>{dough.name}</option>{/each}</select
              >{/snippet}
          </Field>
          <KindField
            label="Top"
            field="top"
            {failure}
            options={words.current.tops}
            bind:value={() => written.top, (top) => choose(top)}
          />
          <KindField
            label="Base"
            field="baseTreatment"
            {failure}
            options={words.current.schools}
            bind:value={written.baseTreatment}
          />
          <KindField
            label="Lined"
            field="lining"
            {failure}
            options={words.current.linings}
            bind:value={written.lining}
          />
          <button class="press self-end" type="button" onclick={takeUsualSteps}>Take the usual steps for these</button>
        </div>

        <LayersField
          bind:layers={
            () => (written.layers ?? []).filter((layer) => layer !== null), (layers) => (written.layers = layers)
          }
          {failure}
        />
        <CrustFields {written} doughs={offered} {failure} />
        <SellFields {written} {pans} {failure} />
        <KeepFields
          {written}
          isBrittle={pans.some(
            (pan) => ofPan(pan.id ?? undefined) && (pan.material === 'glass' || pan.material === 'ceramic'),
          )}
          {failure}
        />
      </div>
      <PieSoFar {pie} />
    </div>

    {#if draft.steps}
      <SchoolsField
        id={version > 0 ? (params?.id ?? null) : null}
        {written}
        ontake={(taken) => {
          written.steps = taken.steps
          written.links = taken.links
          written.layers = taken.layers
          written.baseTreatment = taken.baseTreatment
        }}
      />
      {#if way}
        <WayField
          {way}
          steps={draft.steps}
          onedit={(act, step, other) => void edit(act, step, other)}
          onfields={(step) => document.getElementById(`step-${step}`)?.querySelector('input')?.focus()}
        />
      {/if}
      <StepsField
        steps={draft.steps}
        links={(draft.links ??= [])}
        {failure}
        faults={checked}
        {takes}
        onedit={(act, step, other) => void edit(act, step, other)}
      />
    {/if}

    <div class="mt-5 flex flex-wrap items-center gap-3">
      <button class="press press-main" type="submit">Save the recipe</button>
      <a class="press" href={params?.id ? `#/recipes/${params.id}` : '#/recipes'}>Leave it</a>
      {#if counted > 0}<strong role="alert"
          >Not saved: {counted} {counted === 1 ? 'field' : 'fields'} to look at.</strong
        >{/if}
    </div>
    {#if theirs}
      <DraftConflict
        what="this recipe"
        rows={differences(theirs.draft, draft)}
        onkeep={() => ((theirs = undefined), load(params?.id))}
        onsave={() => {
          version = theirs?.version ?? version
          void save()
        }}
      />
    {:else if failure && counted === 0}<FailureNote {failure} />{/if}
  </form>
{/if}

<style>
  .beside {
    display: grid;
    gap: 1rem 2.5rem;
  }

  @media (min-width: 1100px) {
    .beside {
      grid-template-columns: 1fr 22rem;
    }
  }

  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 1rem;
    align-items: flex-start;
    padding: 0.4rem 0;
  }
</style>
