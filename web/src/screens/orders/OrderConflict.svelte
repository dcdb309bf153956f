<script lang="ts">
  import type { Schemas } from '../../api/client'

  interface Props {
    theirs: Schemas['OrderAnswer']
    mine: { label: string; theirs: string; mine: string }[]
    onkeep: () => void
    onsave: () => void
  }
  const { theirs, mine, onkeep, onsave }: Props = $props()
</script>

<div class="note w-full" role="alert">
  <p><strong>Someone else has changed this order since you opened it.</strong> Nothing of yours is saved yet.</p>
  <table class="mt-1">
    <thead class="small">
      <tr>
        <td></td>
        <th scope="col" class="px-4 text-left font-normal">theirs, saved</th>
        <th scope="col" class="text-left font-normal">yours</th>
      </tr>
    </thead>
    <tbody>
      {#each mine as row (row.label)}
        <tr class="border-line border-t" class:font-bold={row.theirs !== row.mine}>
          <th scope="row" class="small py-1 text-left">{row.label}</th>
          <td class="px-4">{row.theirs || '–'}</td>
          <td>{row.mine || '–'}{row.theirs !== row.mine ? ' (differs)' : ''}</td>
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="mt-2 flex flex-wrap gap-2">
    <button class="press press-main" type="button" onclick={onkeep}>Keep theirs ({theirs.count})</button>
    <button class="press" type="button" onclick={onsave}>Save mine over it</button>
  </div>
</div>
