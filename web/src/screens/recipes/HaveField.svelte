<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import { grams } from '../../parts/amounts'

  interface Props {
    id: string
    pan: string
    onfound: (pies: number) => void
  }
  const { id, pan, onfound }: Props = $props()

  let typed = $state('')
  let failure = $state<Failure>()
  let found = $state.raw<Schemas['OnHandAnswer'] | null>()
  const fieldId = $props.id()

  async function reckon(event: SubmitEvent) {
    event.preventDefault()
    const outcome = await ask(
      api.POST('/api/recipes/{id}/scale', {
        params: { path: { id } },
        body: { pan, count: null, have: typed, thicknessMm: null },
      }),
    )
    failure = outcome.failure
    found = outcome.data?.onHand
    if (outcome.data) onfound(outcome.data.count)
  }
</script>

<form class="flex flex-wrap items-end gap-2" onsubmit={reckon}>
  <label>
    <span class="small block">What I have</span>
    <input
      class="field w-56"
      bind:value={typed}
      maxlength="200"
      placeholder="14.2 kg pears"
      aria-describedby={fieldId}
      aria-invalid={!!failure}
    />
  </label>
  <button class="press" type="submit" disabled={!typed.trim()}>How many pies?</button>
  <span id={fieldId} role="status" class="self-center">
    {#if failure}<b>{failure.fields.have?.join(' ') ?? failure.title}</b>
    {:else if found}Enough for {found.pies}: {grams(found.perPieGrams)} a pie, {grams(found.leftGrams)} left.{/if}
  </span>
</form>
