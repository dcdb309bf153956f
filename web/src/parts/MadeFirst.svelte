<script lang="ts">
  import type { Schemas } from '../api/client'
  import { grams } from './amounts'

  interface Props {
    made: Schemas['MadeAnswer'][]
    /** Who takes it, with the verb: "24 pies take". */
    takenBy: string
  }
  const { made, takenBy }: Props = $props()
</script>

<!-- Pralines, jams and the like, which are made before what they go into. -->
{#each made as one (one.name)}
  <section class="together mt-6">
    <h2>{one.name}, made here first</h2>
    <table class="w-full">
      <thead class="sr-only"><tr><th scope="col">Ingredient</th><th scope="col">Weigh</th></tr></thead>
      <tbody>
        {#each one.lines as line, index (index)}
          <tr class="border-line border-t">
            <th scope="row" class="py-1 text-left font-normal"
              >{line.name}{line.preparation ? `, ${line.preparation}` : ''}</th
            >
            <td class="weight text-right">{grams(line.grams)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="small">
      Makes the {grams(one.grams)} that {takenBy}{one.keptPercent < 100 ? `; ${one.keptPercent} % of it is left` : ''}.
    </p>
  </section>
{/each}
