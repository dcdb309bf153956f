<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import { differences } from '../../parts/differences'

  interface Props {
    id: string
    version: number
    /** What is written now, saved or not. */
    written: Schemas['DoughDraft']
    /** Takes what an old version wrote into the form; saving makes it the next version. */
    ontake: (draft: Schemas['DoughDraft'], number: number) => void
  }
  const { id, version, written, ontake }: Props = $props()

  const asked = new Asked<Schemas['DoughVersion'][]>()
  asked.follow(['recipes'], () => {
    const path = { id }
    return (signal) => api.GET('/api/doughs/{id}/versions', { params: { path }, signal })
  })
  const versions = $derived(asked.current ?? [])
  const older = $derived(versions.filter((one) => one.number < version))

  const when = (at: string) => new Date(at).toLocaleDateString('en-GB', { dateStyle: 'medium' })
</script>

{#if older.length > 0}
  <section class="border-line mt-6 border-t pt-3" aria-label="Versions before this one">
    <h2>Versions before this one</h2>
    {#each older as one (one.number)}
      {@const rows = differences(one.draft, written)}
      <div class="border-line border-t py-2">
        <p class="flex flex-wrap items-baseline gap-4">
          <strong>Version {one.number}</strong> <span class="small grow">saved {when(one.savedAt)}</span>
          <button class="press" type="button" onclick={() => ontake(one.draft, one.number)}
            >Take what version {one.number} wrote</button
          >
        </p>
        {#if rows.length === 0}<p class="small">Written as above.</p>{/if}
        <ul>
          {#each rows as row (row.field)}
            <li class="small"><b>{row.field}</b>: {row.theirs || '–'} then, {row.mine || '–'} now</li>
          {/each}
        </ul>
      </div>
    {/each}
  </section>
{/if}
