<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { Failure } from '../api/client'

  interface Props {
    /** What stands above it. */
    label: string
    /** Its path in the server's answer, so that a fault finds it: "ovens[1].name". */
    field: string
    failure: Failure | undefined
    /** The input; it takes the attributes that tie it to its fault. */
    children: Snippet<[{ 'aria-invalid': boolean; 'aria-describedby': string }]>
  }
  const { label, field, failure, children }: Props = $props()
  const id = $props.id()
  const fault = $derived(failure?.fields[field]?.join(' '))
</script>

<label class="block">
  <span class="small block">{label}</span>
  {@render children({ 'aria-invalid': !!fault, 'aria-describedby': id })}
  <span {id} class="fault block" role={fault ? 'alert' : undefined}>{fault ?? ''}</span>
</label>

<style>
  .fault {
    max-width: 22rem;
    font-weight: 700;
  }
</style>
