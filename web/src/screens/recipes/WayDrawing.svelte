<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { duration } from '../../parts/amounts'
  import { Asked } from '../../parts/asked.svelte'
  import { heatOf } from './way'
  import WayLines from './WayLines.svelte'

  interface Props {
    id: string
    pan: string
    count: number
  }
  const { id, pan, count }: Props = $props()

  const asked = new Asked<Schemas['WayAnswer']>()
  asked.follow(['recipes', 'ingredients'], () => {
    const query = { pan, count }
    return (signal) => api.GET('/api/recipes/{id}/way', { params: { path: { id }, query }, signal })
  })
  const way = $derived(asked.current)

  let opened = $state<{ line: number; piece: string }>()
  const open = $derived(
    opened && way?.lines[opened.line]?.pieces.find((piece) => piece.id === opened?.piece && piece.name),
  )
</script>

{#if way}
  <section class="together mt-8" aria-label="The way of a pie">
    <h2>Its way, {duration(way.minutes)} from the first work to the box</h2>
    <p class="small">
      To scale, with every wait as it is wanted and hands for {count}
      {count === 1 ? 'pie' : 'pies'}. What is outlined is work; press a step to read it.
    </p>
    <WayLines {way} {opened} onopen={(line, piece) => (opened = { line, piece: piece.id })} />
    {#if open}
      <p class="note mt-2" role="status">
        <strong>{open.name}</strong>, {open.station}, {duration(open.endMin - open.startMin)}, {heatOf(open)}.
        {#if open.readyWhen}Ready when: {open.readyWhen}.{/if}
        {#if open.caution}<b>Caution:</b> {open.caution}{/if}
      </p>
    {/if}
  </section>
{/if}
