<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'
  import TracePath from './TracePath.svelte'

  interface Props {
    params?: { kind?: string; id?: string } | null
  }
  const { params }: Props = $props()
  const traced = new Asked<Schemas['TraceAnswer']>()
  traced.follow(['stock'], () => {
    const [kind, id] = [params?.kind, params?.id]
    if (!id) return undefined
    return kind === 'orders'
      ? (signal) => api.GET('/api/trace/orders/{id}', { params: { path: { id } }, signal })
      : (signal) => api.GET('/api/trace/lots/{id}', { params: { path: { id } }, signal })
  })
  const trace = $derived(params?.id ? traced.current : undefined)
  const pies = $derived(trace?.orders.reduce((sum, order) => sum + order.pies, 0) ?? 0)
  const batches = $derived(trace?.batches ?? 0)
  const start = $derived(
    trace ? [...trace.sources, ...trace.stillHere].filter((one) => one.lot === trace.lot).slice(0, 1) : [],
  )

  let text = $state('')
  const found = new Asked<Schemas['TraceFoundAnswer'][]>()
  found.follow(['stock'], () => {
    const wanted = text
    if (params?.id) return undefined
    return (signal) => api.GET('/api/trace', { params: { query: { text: wanted } }, signal })
  })
</script>

<svelte:head><title>Trace · Lumpet</title></svelte:head>
<FailureNote failure={params?.id ? traced.failure : found.failure} />
{#if params?.id}
  <p class="small screen-only flex gap-4">
    <a class="link" href="#/trace">Trace something else</a>
    <a class="link" href="#/stock">All shelves</a>
  </p>
  {#if trace}
    <h1 class="sentence">
      {#if !trace.lot}
        {trace.sources.length} lots from outside went into the pies for {trace.about}.
      {:else if trace.after.length === 0 && trace.orders.length === 0}
        {trace.about}: nothing on the books was made of it.
      {:else}
        {trace.about}: {#if batches > 0}it went into {batches} {batches === 1 ? 'batch' : 'batches'}, and{:else}it went{/if}
        {trace.orders.length === 0
          ? 'to no order yet'
          : `with ${pies} pies to ${trace.orders.length} ${trace.orders.length === 1 ? 'order' : 'orders'}`}.
      {/if}
    </h1>
    <p class="small">
      From left to right: what came, what was made of it, who has it. What was entered is here and nothing else; what
      went in without being on the books stands with a broken line.
    </p>
    {#if trace.notShown > 0}
      <p class="note mt-3">
        {trace.notShown} more steps are not drawn: so many nobody follows by eye. Whoever has it and what is still here stands
        below in full.
      </p>
    {:else}
      <div class="mt-3"><TracePath before={trace.before} after={trace.after} {start} lot={trace.lot} /></div>
    {/if}

    {#if trace.lot}
      <section class="recall mt-4" aria-label="Recall sheet">
        <div class="flex flex-wrap items-baseline gap-4">
          <h2>If it is to be called back</h2>
          <button class="press screen-only" onclick={() => window.print()}>Print</button>
        </div>
        <h3 class="mt-2 font-bold">Hold, still on the shelves</h3>
        {#if trace.stillHere.length === 0}
          <p>Nothing of it is left here.</p>
        {:else}
          <ul>
            {#each trace.stillHere as one (one.lot)}
              <li>
                <strong class="whitespace-nowrap">{one.amount}</strong>
                {one.name}{one.code ? `, lot ${one.code}` : ''}
              </li>
            {/each}
          </ul>
        {/if}
        <h3 class="mt-2 font-bold">Tell, who has it</h3>
        {#if trace.orders.length === 0}
          <p>No order has any of it.</p>
        {:else}
          <table class="mt-1">
            <thead class="small text-left"
              ><tr><th>Who</th><th>Pick-up</th><th class="text-right">Pies</th><th>Which</th></tr></thead
            >
            <tbody>
              {#each trace.orders as order, at (at)}
                <tr>
                  <td><a class="link" href="#/trace/orders/{order.order}">{order.forWhom || 'Counter'}</a></td>
                  <td class="whitespace-nowrap">{order.pickUp}</td>
                  <td class="text-right">{order.pies}</td>
                  <td>{order.product}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        {/if}
        {#if trace.labels.length > 0}
          <h3 class="mt-2 font-bold">Labels that name it</h3>
          <ul>
            {#each trace.labels as one, at (at)}
              <li>
                <strong class="whitespace-nowrap">{one.copies}</strong>
                {one.pies}{one.code ? `, lot ${one.code}` : ''}, printed {one.at}
                <details class="screen-only small">
                  <summary class="link">What stands on them</summary>
                  {#each one.lines as line, row (row)}<p>{line}</p>{/each}
                </details>
              </li>
            {/each}
          </ul>
        {/if}
        <p class="small mt-2">
          Whether and how anything is called back, and who has to be told, the law and the authority of the place
          decide. Keep what is held apart, and marked, until they do.
        </p>
      </section>
    {:else}
      <h2 class="mt-4">What came from outside</h2>
      <ul>
        {#each trace.sources as one (one.lot)}
          <li>
            <a class="link" href="#/trace/lots/{one.lot}">{one.name}</a>{one.code
              ? `, lot ${one.code}`
              : ''}{one.supplier ? `, from ${one.supplier}` : ''}{one.useBy ? `, use by ${one.useBy}` : ''}
          </li>
        {/each}
      </ul>
    {/if}
    {@const baked = [...trace.before, ...trace.after].filter((step) => step.bakes.length > 0)}
    {#if baked.length > 0}
      <h2 class="mt-4">Bakes, as they were planned</h2>
      <ul>
        {#each baked as step (step.number)}
          <li>
            <strong>{step.to[0]?.name ?? ''}{step.to[0]?.code ? `, lot ${step.to[0].code}` : ''}</strong>: {step.bakes.join(
              '; ',
            )}
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
{:else}
  <p class="small"><a class="link" href="#/stock">All shelves</a></p>
  <h1 class="sentence">Which lot, or whose order?</h1>
  <label class="mt-2 block max-w-md">
    <span class="small">Lot number, what it is, or who it was for</span>
    <input class="field w-full" type="search" bind:value={text} maxlength="60" />
  </label>
  {#if found.current}
    {#if found.current.length === 0}
      <p class="mt-3">Nothing on the books has that in its name.</p>
    {:else}
      <ul class="mt-3">
        {#each found.current as one (one.lot ?? one.order)}
          <li class="border-line border-t py-1">
            <a class="link" href={one.lot ? `#/trace/lots/${one.lot}` : `#/trace/orders/${one.order}`}
              >{one.name}{one.code ? `, lot ${one.code}` : ''}</a
            >
            <span class="small">{one.order ? 'pick-up' : 'since'} {one.at}{one.more ? `, ${one.more}` : ''}</span>
          </li>
        {/each}
      </ul>
    {/if}
  {/if}
{/if}

<style>
  .recall th,
  .recall td {
    padding: 0.15rem 1.2rem 0.15rem 0;
    border-top: 1px solid var(--color-line);
  }

  .recall thead th {
    border-top: 0;
    font-weight: 400;
  }
</style>
