<script lang="ts">
  import { api, ask, type Failure } from '../api/client'

  interface Props {
    kind: 'recipes' | 'doughs' | 'ingredients'
    id: string
    name: string
    isRetired: boolean
    /** Called when it was removed. */
    ongone: () => void
    /** Called when it was retired or taken back. */
    onretired?: () => void
  }
  const { kind, id, name, isRetired, ongone, onretired }: Props = $props()
  let failure = $state<Failure>()
  let isAsking = $state(false)
  const why = $derived(failure ? (Object.values(failure.fields).flat()[0] ?? failure.title) : '')

  async function retire() {
    const path = { id }
    const body = { retired: !isRetired }
    const { failure: refused } = await ask(
      kind === 'recipes'
        ? api.POST('/api/recipes/{id}/retired', { params: { path }, body })
        : kind === 'doughs'
          ? api.POST('/api/doughs/{id}/retired', { params: { path }, body })
          : api.POST('/api/ingredients/{id}/retired', { params: { path }, body }),
    )
    failure = refused
    if (!refused) onretired?.()
  }

  async function remove() {
    isAsking = false
    const path = { id }
    const { failure: refused } = await ask(
      kind === 'recipes'
        ? api.DELETE('/api/recipes/{id}', { params: { path } })
        : kind === 'doughs'
          ? api.DELETE('/api/doughs/{id}', { params: { path } })
          : api.DELETE('/api/ingredients/{id}', { params: { path } }),
    )
    failure = refused
    if (!refused) ongone()
  }
</script>

<button class="link" type="button" onclick={retire}>{isRetired ? 'Take it back' : 'Retire it'}</button>
{#if isAsking}
  <span role="group" aria-label="Remove {name} for good?">
    Remove {name} for good?
    <button class="press" type="button" onclick={remove}>Remove it</button>
    <button class="press" type="button" onclick={() => (isAsking = false)}>Keep it</button>
  </span>
{:else}
  <button class="link" type="button" onclick={() => (isAsking = true)}>Remove it</button>
{/if}
{#if why}<b class="w-full" role="alert">{why}</b>{/if}
