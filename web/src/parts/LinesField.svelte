<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../api/client'
  import { grams } from './amounts'
  import Field from './Field.svelte'

  interface Props {
    label: string
    field: string
    failure: Failure | undefined
    value: string | null | undefined
    rows: number
    placeholder: string
  }
  let { label, field, failure, value = $bindable(), rows, placeholder }: Props = $props()

  let understood = $state<Schemas['ReadLineAnswer'][]>([])
  let asked = 0

  $effect(() => {
    const text = value ?? ''
    const mine = ++asked
    if (!text.trim()) {
      understood = []
      return
    }
    void ask(api.POST('/api/writing/lines', { body: { text } })).then(({ data }) => {
      if (data && mine === asked) understood = data
    })
  })
  const sum = $derived(understood.reduce((total, line) => total + (line.grams ?? 0), 0))
</script>

<div class="lines">
  <Field {label} {field} {failure}>
    {#snippet children(ties)}
      <textarea class="field w-full" {rows} {placeholder} spellcheck="false" bind:value {...ties}></textarea>
    {/snippet}
  </Field>
  <div aria-live="polite">
    <span class="small">Understood as</span>
    <ul>
      {#each understood as line, index (index)}
        {#if line.fault}<li><b>{line.fault}</b></li>
        {:else if line.name}
          <li>
            <b>{grams(line.grams ?? 0)}</b>
            {line.name}{line.preparation ? `, ${line.preparation}` : ''}{#if line.isNew}<span class="small ml-1"
                >(new: state its allergens after saving)</span
              >{/if}{#if line.allergens.length > 0}<span class="small ml-1">{line.allergens.join(', ')}</span>{/if}
            {#if line.how}<span class="small block">{line.how}</span>{/if}
            {#each line.doubts as doubt (doubt)}<b class="block">{doubt}</b>{/each}
          </li>
        {/if}
      {/each}
      {#if sum > 0}<li class="small">{grams(Math.round(sum * 10) / 10)} in all</li>{/if}
    </ul>
  </div>
</div>

<style>
  .lines {
    display: grid;
    grid-template-columns: minmax(18rem, 1fr) 1fr;
    gap: 0 1.5rem;
  }

  textarea {
    line-height: 1.5;
  }

  @media (max-width: 700px) {
    .lines {
      grid-template-columns: 1fr;
    }
  }
</style>
