<script lang="ts">
  import { onMount } from 'svelte'
  import Router, { router } from 'svelte-spa-router'
  import { bakery } from './parts/bakery.svelte'
  import { today } from './parts/day.svelte'
  import DayRibbon from './parts/DayRibbon.svelte'
  import FailureNote from './parts/FailureNote.svelte'
  import DoughScreen from './screens/dough/DoughScreen.svelte'
  import FillingsScreen from './screens/fillings/FillingsScreen.svelte'
  import OrdersScreen from './screens/orders/OrdersScreen.svelte'
  import PlanScreen from './screens/plan/PlanScreen.svelte'
  import RecipeScreen from './screens/recipes/RecipeScreen.svelte'
  import RecipesScreen from './screens/recipes/RecipesScreen.svelte'

  const routes = {
    '/': OrdersScreen,
    '/orders/:day?': OrdersScreen,
    '/plan/:day?': PlanScreen,
    '/dough/:day?': DoughScreen,
    '/fillings/:day?': FillingsScreen,
    '/recipes': RecipesScreen,
    '/recipes/:id/:pan?/:count?': RecipeScreen,
    '*': OrdersScreen,
  }

  const places = [
    { id: 'orders', name: 'Orders', ofDay: true },
    { id: 'plan', name: 'Plan', ofDay: true, endsGroup: true },
    { id: 'dough', name: 'Dough', ofDay: true },
    { id: 'fillings', name: 'Fillings', ofDay: true, endsGroup: true },
    { id: 'recipes', name: 'Recipes', ofDay: false },
  ]

  const here = $derived(router.location.split('/')[1] || 'orders')
  const isOfDay = $derived(places.find((place) => place.id === here)?.ofDay ?? true)

  onMount(() => bakery.load())
</script>

<div class="mx-auto max-w-[1280px] px-7 pb-12">
  <header>
    <nav class="flex flex-wrap items-baseline gap-x-6 gap-y-1 pt-4" aria-label="Places">
      <a href="#/orders" class="font-headline text-2xl font-semibold">Lumpet</a>
      {#each places as place (place.id)}
        <a
          href="#/{place.id}{place.ofDay && today.day ? `/${today.day}` : ''}"
          class="place"
          class:ends-group={place.endsGroup}
          aria-current={here === place.id ? 'page' : undefined}>{place.name}</a
        >
      {/each}
      <span class="small ml-auto">{bakery.current?.name ?? ''}</span>
    </nav>
    {#if isOfDay}<DayRibbon />{/if}
  </header>
  <main class="mt-4">
    <FailureNote failure={bakery.failure} />
    {#if bakery.current && !bakery.current.isSetUp}
      <p class="sentence">No bakery is set up in this database yet.</p>
      <p class="mt-2">
        Start <code>./lumpet demo</code> to see one at work: Tern Quay Bakehouse, the night before its fair.
      </p>
    {:else if bakery.current}
      <Router {routes} />
    {/if}
  </main>
</div>

<style>
  .place {
    padding: 0.4rem 0.1rem;
    font-weight: 600;
    border-bottom: 3px solid transparent;
  }

  .place:hover {
    color: var(--color-damson);
  }

  .place[aria-current] {
    color: var(--color-damson);
    border-bottom-color: var(--color-damson);
  }

  .ends-group {
    position: relative;
    margin-right: 1.2rem;
  }

  .ends-group::after {
    content: '';
    position: absolute;
    right: -1.35rem;
    top: 0.55rem;
    height: 1.1rem;
    border-right: 1px solid #8b7763;
  }
</style>
