<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  interface Props {
    params: { one: string; other: string }
  }
  const { params }: Props = $props()

  const asked = new Asked<Schemas['ComparisonAnswer']>()
  asked.follow(['recipes'], () => {
    const query = { one: params.one, other: params.other }
    return (signal) => api.GET('/api/recipes/compare', { params: { query }, signal })
  })
  const answer = $derived(asked.failure ? undefined : asked.current)

  const changed = $derived(answer?.lines.filter((line) => !line.isSame).length ?? 0)
  const parts = $derived([...new Set(answer?.lines.map((line) => line.part) ?? [])])
  const amount = (grams: number | null) => (grams === null ? '–' : `${Number(grams.toFixed(1))} g`)
  /** Said in words too, so that nothing hangs on the look of a number. */
  function change(line: Schemas['ComparedAnswer']): string {
    if (line.isSame) return ''
    if (line.oneGrams === null) return 'new'
    if (line.otherGrams === null) return 'left out'
    return line.changePercent === null
      ? 'changed'
      : `${line.changePercent > 0 ? '+' : '−'}${Math.abs(line.changePercent)} %`
  }
</script>

<svelte:head><title>Compare · Lumpet</title></svelte:head>
<p class="small"><a class="link" href="#/recipes">All recipes</a></p>
{#if answer}
  <h1 class="sentence">
    {#if changed + answer.differences.length + answer.steps.length === 0}Both are written the same.
    {:else}{changed}
      {changed === 1 ? 'line differs' : 'lines differ'}, {answer.steps.length}
      {answer.steps.length === 1 ? 'step' : 'steps'}, and {answer.differences.length} other
      {answer.differences.length === 1 ? 'figure' : 'figures'}.{/if}
  </h1>
  <div class="overflow-x-auto">
    <table class="mt-3 w-full max-w-4xl">
      <thead>
        <tr class="align-bottom">
          <th scope="col" class="text-left"><span class="small font-normal">amounts as written, for one pie</span></th>
          <th scope="col" class="px-4 text-right">{answer.one}</th>
          <th scope="col" class="px-4 text-right">{answer.other}</th>
          <th scope="col" class="small w-24 text-left font-normal">change</th>
        </tr>
      </thead>
      {#each parts as part (part)}
        <tbody>
          <tr class="border-soft border-t"><th scope="rowgroup" colspan="4" class="small pt-2 text-left">{part}</th></tr
          >
          {#each answer.lines.filter((line) => line.part === part) as line, index (index)}
            <tr class="border-line border-t" class:font-bold={!line.isSame}>
              <th scope="row" class="py-1 text-left font-normal">{line.what}</th>
              <td class="px-4 text-right whitespace-nowrap">{amount(line.oneGrams)}</td>
              <td class="px-4 text-right whitespace-nowrap">{amount(line.otherGrams)}</td>
              <td class="whitespace-nowrap">{change(line)}</td>
            </tr>
          {/each}
        </tbody>
      {/each}
    </table>
    {#each [{ title: 'Steps', rows: answer.steps }, { title: 'Other figures', rows: answer.differences }] as block (block.title)}
      {#if block.rows.length > 0}
        <h2 class="mt-5">{block.title}</h2>
        <table class="w-full max-w-4xl table-fixed">
          <thead class="sr-only"
            ><tr><th scope="col">what</th><th scope="col">{answer.one}</th><th scope="col">{answer.other}</th></tr
            ></thead
          >
          <tbody>
            {#each block.rows as row, index (index)}
              <tr class="border-line border-t align-top">
                <th scope="row" class="py-1 pr-4 text-left font-normal">{row.what}</th>
                <td class="py-1 pr-4 break-words">{row.one}</td>
                <td class="py-1 break-words">{row.other}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    {/each}
  </div>
{:else}<FailureNote failure={asked.failure} />{/if}
