<script lang="ts">
  import type { Difference } from './differences'

  interface Props {
    /** What was changed by both: "this recipe". */
    what: string
    /** Where theirs and yours differ. */
    rows: Difference[]
    onkeep: () => void
    onsave: () => void
  }
  const { what, rows, onkeep, onsave }: Props = $props()
</script>

<div class="note my-3 w-full" role="alert">
  <p><strong>Someone else has changed {what} since you opened it.</strong> Nothing of yours is saved yet.</p>
  {#if rows.length === 0}
    <p>Theirs and yours are the same.</p>
  {:else}
    <table class="mt-1">
      <thead class="small">
        <tr>
          <td></td>
          <th scope="col" class="px-4 text-left font-normal">theirs, saved</th>
          <th scope="col" class="text-left font-normal">yours</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as row (row.field)}
          <tr class="border-line border-t align-top">
            <th scope="row" class="small py-1 text-left">{row.field}</th>
            <td class="px-4 whitespace-pre-line">{row.theirs || '–'}</td>
            <td class="whitespace-pre-line">{row.mine || '–'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <div class="mt-2 flex flex-wrap gap-2">
    <button class="press press-main" type="button" onclick={onkeep}>Take theirs</button>
    <button class="press" type="button" onclick={onsave}>Save mine over it</button>
  </div>
</div>
