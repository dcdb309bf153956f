<script lang="ts">
  import { onMount } from 'svelte'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'

  interface Props {
    id: string
    /** Which layer. */
    layer: number
    /** Which line of it. */
    at: number
    ondone: () => void
  }
  const { id, layer, at, ondone }: Props = $props()

  let written = $state.raw<Schemas['WrittenRecipe']>()
  let typed = $state('')
  let understood = $state.raw<Schemas['ReadLineAnswer']>()
  let failure = $state<Failure>()
  let input = $state<HTMLInputElement>()
  let asked = 0
  const ties = $props.id()

  const linesOf = (draft: Schemas['ProductDraft']) => (draft.layers?.[layer]?.lines ?? '').split('\n')

  onMount(async () => {
    const outcome = await ask(api.GET('/api/recipes/{id}/written', { params: { path: { id } } }))
    failure = outcome.failure
    written = outcome.data
    typed = outcome.data ? (linesOf(outcome.data.draft)[at] ?? '') : ''
    input?.focus()
  })

  $effect(() => {
    const mine = ++asked
    void ask(api.POST('/api/writing/lines', { body: { text: typed } })).then(({ data }) => {
      if (mine === asked) understood = data?.[0]
    })
  })

  async function save(event: SubmitEvent) {
    event.preventDefault()
    if (!written) return
    const lines = linesOf(written.draft)
    lines[at] = typed
    const kept = lines.filter((line) => line.trim() !== '').join('\n')
    const layers = (written.draft.layers ?? []).map((one, other) =>
      one && other === layer ? { ...one, lines: kept } : one,
    )
    const body = { ...written.draft, layers }
    const outcome = await ask(
      api.PUT('/api/recipes/{id}', {
        params: { path: { id }, header: { 'If-Match': `"${written.version}"` } },
        body,
      }),
    )
    failure = outcome.failure
    // The screen follows by the line to the server, like anyone else's.
    if (outcome.data) ondone()
  }
</script>

<form class="flex flex-wrap items-center gap-2" onsubmit={save} novalidate>
  <input
    class="field grow"
    bind:this={input}
    bind:value={typed}
    onkeydown={(event) => event.key === 'Escape' && ondone()}
    maxlength="300"
    aria-label="The line as written"
    aria-describedby={ties}
    spellcheck="false"
  />
  <button class="press press-main" type="submit">Save as version {(written?.version ?? 0) + 1}</button>
  <button class="press" type="button" onclick={ondone}>Leave it</button>
  <span id={ties} class="small w-full" role="status">
    {#if failure}<b>{Object.values(failure.fields).flat().join(' ') || failure.title}</b>
    {:else if understood?.fault}<b>{understood.fault}</b>
    {:else if understood?.name}{grams(understood.grams ?? 0)}
      {understood.name}{understood.preparation ? `, ${understood.preparation}` : ''}{understood.how
        ? `: ${understood.how}`
        : ''}
    {:else if typed.trim() === ''}An empty line takes it out.{/if}
  </span>
</form>
