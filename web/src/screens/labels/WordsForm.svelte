<script lang="ts">
  import { api, ask, type Failure, type Schemas } from '../../api/client'
  import FailureNote from '../../parts/FailureNote.svelte'

  interface Props {
    ingredients: Schemas['LabelIngredientAnswer'][]
    ondone: (words: string) => void
  }
  const { ingredients, ondone }: Props = $props()
  let failure = $state<Failure>()

  async function say(one: Schemas['LabelIngredientAnswer'], words: string) {
    if (words.trim() === one.words) return
    const outcome = await ask(
      api.PUT('/api/ingredients/{id}/label-words', {
        params: { path: { id: one.id }, header: { 'If-Match': `"${one.version}"` } },
        body: { words },
      }),
    )
    failure = outcome.failure
    if (!outcome.failure) ondone(words.trim() ? `${one.name} stands so on labels.` : `${one.name} stands by its name.`)
  }
</script>

<section class="mt-5" aria-label="Words for labels">
  <h2>Words for labels</h2>
  <p class="small">
    Empty: the bakery’s own name. What is bought ready-made, such as chocolate, stands with the list from its own label.
  </p>
  <FailureNote {failure} />
  <table class="mt-1 w-full">
    <caption class="sr-only">Words for labels by ingredient</caption>
    <thead class="small text-left">
      <tr
        ><th scope="col">Ingredient</th><th scope="col" class="figure">g a pie</th><th scope="col">Carries</th><th
          scope="col">On labels</th
        ></tr
      >
    </thead>
    <tbody>
      {#each ingredients as one (`${one.id}/${one.version}`)}
        <tr class="border-line border-t">
          <th scope="row">{one.name}</th>
          <td class="figure">{one.grams.toFixed(1)}</td>
          <td class:missing={one.allergens === null}
            >{one.allergens === null ? 'nobody has said' : one.allergens.join(', ')}</td
          >
          <td>
            <input
              class="field w-full"
              aria-label="{one.name} on labels"
              placeholder={one.name}
              maxlength="400"
              value={one.words}
              onchange={(event) => say(one, event.currentTarget.value)}
            />
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>

<style>
  th,
  td {
    padding: 0.15rem 0.8rem 0.15rem 0;
    text-align: left;
    font-weight: 400;
  }

  .figure {
    text-align: right;
  }

  .missing {
    font-weight: 700;
  }
</style>
