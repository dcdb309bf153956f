<script lang="ts">
  import { api, type Schemas } from '../../api/client'
  import { Asked } from '../../parts/asked.svelte'
  import FailureNote from '../../parts/FailureNote.svelte'

  const asked = new Asked<Schemas['DriversAnswer']>()
  asked.follow(['ingredients', 'recipes', 'bakery'], () => (signal) => api.GET('/api/costs/drivers', { signal }))
  const answer = $derived(asked.current)
  let all = $state(false)
  const shown = $derived(all ? (answer?.ingredients ?? []) : (answer?.ingredients.slice(0, 8) ?? []))
  const crossing = (row: Schemas['IngredientDriverAnswer']) => row.products.filter((product) => product.crossesAim)
</script>

<section class="mt-8" aria-label="What moves them">
  <h2>What moves them</h2>
  <FailureNote failure={asked.failure} />
  {#if answer}
    <p class="small">
      Each ingredient {answer.stepPercent} % dearer: what a pie of each product costs more then. Underlined: over the {answer.aimPercent}
      % aimed at then, and within it now.
    </p>
    <ul class="mt-1">
      {#each shown as row (row.id)}
        <li class="border-line border-t py-1">
          <details>
            <summary>
              <strong>{row.name}</strong>
              {row.products.length}
              {row.products.length === 1 ? 'product' : 'products'}, most {row.products[0]?.name}
              +{row.products[0]?.more.toFixed(3)}{crossing(row).length === 0
                ? ''
                : `; ${crossing(row)
                    .map((product) => product.name)
                    .join(', ')} would be over the aim`}
            </summary>
            <ul class="products">
              {#each row.products as product (product.id)}
                <li>
                  <a class="link" href="#/costs/{product.id}/{product.pan}">{product.name}</a>
                  <span class="weight">+{product.more.toFixed(3)}</span>
                  {#if product.sharePercentThen !== null}
                    <span class:over={product.crossesAim}>{product.sharePercentThen.toFixed(1)} %</span>
                  {/if}
                </li>
              {/each}
            </ul>
          </details>
        </li>
      {/each}
    </ul>
    {#if answer.ingredients.length > 8}
      <button class="link mt-1" onclick={() => (all = !all)}
        >{all ? 'Only those that do most' : `All ${answer.ingredients.length} ingredients`}</button
      >
    {/if}
  {/if}
</section>

<style>
  .products {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 0.2rem 1.5rem;
    padding: 0.3rem 0 0.3rem 1rem;
  }

  .over {
    text-decoration: underline 3px;
    text-underline-offset: 0.2em;
  }
</style>
