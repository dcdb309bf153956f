<script lang="ts">
  import { untrack } from 'svelte'
  import { replace, router } from 'svelte-spa-router'
  import { SvelteURLSearchParams } from 'svelte/reactivity'
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import { today } from '../../parts/day.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import PickUps from '../../parts/PickUps.svelte'
  import PlanNote from '../../parts/PlanNote.svelte'
  import PlanSentence from '../../parts/PlanSentence.svelte'
  import OpenedLoad from './OpenedLoad.svelte'
  import OvenDrawing from './OvenDrawing.svelte'
  import OvenSteps from './OvenSteps.svelte'
  import Choices from '../../parts/Choices.svelte'
  import TryChange from '../../parts/TryChange.svelte'

  interface Props {
    params?: { day?: string }
  }
  const { params }: Props = $props()
  type Layer = Schemas['LayerAnswer']

  const plan = $derived(today.plan)

  $effect(() => {
    const day = params?.day
    untrack(() => today.show(day))
  })

  // The sheet follows the orders; while a question is open it stays that of the orders.
  const asked = new Asked<Schemas['OvenStepAnswer'][]>()
  asked.follow([], () => {
    const shown = today.isAsking ? undefined : plan
    if (!shown) return undefined
    const params = { path: { day: shown.day }, query: today.query }
    return (signal) => api.GET('/api/plan/{day}/oven-steps', { params, signal })
  })
  const steps = $derived(asked.current ?? [])

  // Zoom and the opened load are kept in the address: "?zoom=2.25&load=hearth-3-0".
  const query = $derived(new URLSearchParams(router.querystring ?? ''))
  const zoom = $derived(Math.min(8, Math.max(1, Number(query.get('zoom')) || 1)))
  const named = $derived(
    (plan?.ovens?.ovens ?? []).flatMap((oven) =>
      oven.layers.map((layer, index) => ({ name: `${oven.id}-${layer.load}-${index}`, layer, oven })),
    ),
  )
  const opened = $derived(named.find((one) => one.name === query.get('load')))

  function keep(changes: Record<string, string | undefined>) {
    const next = new SvelteURLSearchParams(router.querystring ?? '')
    for (const [key, value] of Object.entries(changes)) {
      if (value) next.set(key, value)
      else next.delete(key)
    }
    const words = next.toString()
    void replace(`/ovens/${today.day}${words ? `?${words}` : ''}`)
  }
  const open = (layer: Layer | undefined) => keep({ load: named.find((one) => one.layer === layer)?.name })
</script>

<svelte:head><title>Ovens · Lumpet</title></svelte:head>
<FailureNote failure={today.failure} />
{#if plan}
  <PlanSentence {plan} />
  <PlanNote {plan} />
  {#if plan.troubles.length > 0}
    <p class="note mt-3" role="alert">
      <strong>{plan.troubles[0]?.text}</strong>
      <a class="link" href="#/plan/{today.day}">All that does not work out</a>
    </p>
  {/if}
  {#if plan.ovens}
    <PickUps waves={plan.waves} />
    <div class="beside screen-only">
      <Choices title="Ways to plan these ovens, beside each other" first={(one) => one.change.school !== null} />
      <TryChange {plan} />
    </div>
    <div class="screen-only">
      <OvenDrawing
        ovens={plan.ovens}
        now={plan.now}
        {zoom}
        onzoom={(wanted) => keep({ zoom: wanted > 1 ? String(Number(wanted.toFixed(3))) : undefined })}
        opened={opened?.layer}
        onopen={open}
      />
      {#if opened}
        <OpenedLoad layer={opened.layer} oven={opened.oven} onclose={() => open(undefined)} />
      {/if}
    </div>
    <OvenSteps {steps} />
    <p class="small screen-only mt-6">
      The ovens' question and answer as files:
      <a class="link" href="/api/plan/{plan.day}/bake-problem.json" download="bake-problem.json">bake problem</a>,
      <a class="link" href="/api/plan/{plan.day}/bake-plan.json" download="bake-plan.json">bake plan</a>.
    </p>
  {:else}
    <p class="mt-4">
      Once there are orders, this shows each oven's heat over time, with the loads lying in it.
      <a class="link" href="#/orders/{today.day}">Type the first order</a>
    </p>
  {/if}
{:else if !today.failure}
  <p class="sentence" role="status">Planning the day…</p>
{/if}

<style>
  .beside {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(24rem, 1fr));
    gap: 0.4rem 2rem;
    margin-top: 0.6rem;
  }
</style>
