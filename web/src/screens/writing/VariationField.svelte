<script lang="ts">
  import { api, ask, type Failure } from '../../api/client'
  import TextField from '../../parts/TextField.svelte'

  interface Props {
    id: string
    name: string
    onadded: (id: string) => void
  }
  const { id, name, onadded }: Props = $props()

  let isOpen = $state(false)
  let wanted = $state('')
  let failure = $state<Failure>()

  async function add(event: SubmitEvent) {
    event.preventDefault()
    const outcome = await ask(
      api.POST('/api/recipes/{id}/variation', { params: { path: { id } }, body: { name: wanted } }),
    )
    failure = outcome.failure
    if (outcome.data) onadded(outcome.data.id)
  }
</script>

{#if isOpen}
  <form class="flex flex-wrap items-end gap-2" onsubmit={add}>
    <TextField label="Name of the variation" field="name" {failure} bind:value={wanted} size={26} />
    <button class="press press-main" type="submit">Write it</button>
    <button class="press" type="button" onclick={() => (isOpen = false)}>Leave it</button>
  </form>
{:else}
  <button class="link" onclick={() => ((wanted = `${name}, another way`), (isOpen = true))}>Write a variation</button>
{/if}
