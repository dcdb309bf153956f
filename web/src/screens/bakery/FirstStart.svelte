<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { api, ask, type Failure } from '../../api/client'
  import { bakery } from '../../parts/bakery.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  let failure = $state<Failure>()
  let doing = $state('')

  /** Saves the suggested bakery under a name that can be changed; everything in it is common practice. */
  async function beginWithUsual(then: string) {
    doing = 'Setting up a usual bakery…'
    const suggested = await ask(api.GET('/api/bakery/description'))
    failure = suggested.failure
    if (!suggested.data) return (doing = '')
    const here = Intl.DateTimeFormat().resolvedOptions().timeZone
    const zone = suggested.data.zones.includes(here) ? here : suggested.data.draft.zone
    const saved = await ask(
      api.PUT('/api/bakery/description', {
        params: { header: { 'If-Match': '"0"' } },
        body: { ...suggested.data.draft, name: 'My bakery', zone },
      }),
    )
    failure = saved.failure
    doing = ''
    if (saved.failure) return
    await bakery.load()
    await push(then)
  }

  async function lookRound() {
    doing = 'Setting up the demo…'
    const { failure: refused } = await ask(api.POST('/api/demo'))
    doing = ''
    failure = refused
    if (refused) return
    await bakery.load()
    await push('/orders')
  }
</script>

<svelte:head><title>Begin · Lumpet</title></svelte:head>
<h1 class="sentence">Nothing is set up here yet. How do you want to begin?</h1>
<FailureNote {failure} />
<p class="small" role="status">{doing}</p>
<ul class="mt-3">
  <li>
    <a class="press press-main" href="#/bakery">Describe your bakery</a>
    <span>Shifts, ovens, mixer and pans, about five minutes; then a dough, a recipe and the first orders.</span>
  </li>
  <li>
    <button class="press" disabled={doing !== ''} onclick={() => beginWithUsual('/bakery')}
      >Begin with a usual bakery</button
    >
    <span>One oven, one mixer, an afternoon and a night shift, a 23 cm pan; change what is different with you.</span>
  </li>
  <li>
    <button class="press" disabled={doing !== ''} onclick={() => beginWithUsual('/library')}>Take in a library</button>
    <span>Recipes, doughs, ingredients and pans from a file; a usual bakery is set up for them first.</span>
  </li>
  <li>
    <button class="press" disabled={doing !== ''} onclick={lookRound}>Look round a demo</button>
    <span
      >Tern Quay Bakehouse, made up, on the eve of its fair. It fills this database: for your own, start with another
      file.</span
    >
  </li>
</ul>

<style>
  li {
    display: grid;
    grid-template-columns: 16rem 1fr;
    gap: 0.3rem 1.2rem;
    align-items: center;
    border-top: 1px solid var(--color-line);
    padding: 0.8rem 0;
  }

  li > :first-child {
    justify-self: start;
  }

  @media (max-width: 700px) {
    li {
      grid-template-columns: 1fr;
    }
  }
</style>
