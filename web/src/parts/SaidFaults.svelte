<script lang="ts">
  import type { Failure } from '../api/client'

  interface Props {
    /** The fields of the sentence. */
    fields: string[]
    failure: Failure | undefined
  }
  const { fields, failure }: Props = $props()
</script>

<!-- What is wrong with the fields of a sentence. -->
{#each fields as field (field)}
  {#each failure?.fields[field] ?? [] as fault (fault)}<p class="w-full font-bold" role="alert">{fault}</p>{/each}
{/each}
