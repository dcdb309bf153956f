<script lang="ts">
  import { push } from 'svelte-spa-router'
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  interface Props {
    params: { id: string }
  }
  const { params }: Props = $props()

  let failure = $state<Failure>()

  const asked = new Asked<Schemas['VersionsAnswer']>()
  asked.follow(['recipes'], () => {
    const path = { id: params.id }
    return (signal) => api.GET('/api/recipes/{id}/versions', { params: { path }, signal })
  })
  const answer = $derived(asked.current)

  async function goBack(version: number) {
    const outcome = await ask(
      api.POST('/api/recipes/{id}/versions/{version}/return', {
        params: { path: { id: params.id, version }, header: { 'If-Match': `"${answer?.present ?? 0}"` } },
      }),
    )
    failure = outcome.failure
    if (outcome.data) await push(`/recipes/${params.id}`)
  }

  const when = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<svelte:head><title>Versions · Lumpet</title></svelte:head>
{#if answer}
  <p class="small">
    <a class="link" href="#/recipes">All recipes</a> · <a class="link" href="#/recipes/{params.id}">{answer.name}</a>
  </p>
  <h1 class="sentence">
    {answer.name} is in version {answer.present}{answer.versions.length > 1
      ? `; ${answer.versions.length - 1} before it ${answer.versions.length === 2 ? 'is' : 'are'} kept.`
      : ', the first.'}
  </h1>
  <p class="small">
    A version never changes. Going back makes a new version that is written like the old one; cups and counts are
    weighed by what the ingredients say today.
  </p>
  <FailureNote failure={failure ?? asked.failure} />
  <ul class="mt-3">
    {#each answer.versions as version (version.number)}
      <li class="border-line flex flex-wrap items-baseline gap-x-5 gap-y-1 border-t py-2">
        <strong class="min-w-28">Version {version.number}</strong>
        <span class="grow">saved {when(version.savedAt)}</span>
        {#if version.number === answer.present}<span class="small">in use</span>
        {:else}
          <a class="link" href="#/compare/{params.id}:{version.number}/{params.id}:{answer.present}"
            >What changed since</a
          >
          <button class="press" onclick={() => goBack(version.number)}>Go back to version {version.number}</button>
        {/if}
      </li>
    {/each}
  </ul>
{:else}<FailureNote failure={failure ?? asked.failure} />{/if}
