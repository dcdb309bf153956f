import { wrap } from 'svelte-spa-router/wrap'
import OrdersScreen from './orders/OrdersScreen.svelte'

/** Screens are fetched when they are opened; the first is there at once. */
const screens = {
  costs: () => import('./costs/CostsScreen.svelte'),
  bill: () => import('./costs/BillScreen.svelte'),
  productCost: () => import('./costs/ProductCostScreen.svelte'),
  channels: () => import('./costs/ChannelsScreen.svelte'),
  prices: () => import('./prices/PricesScreen.svelte'),
  bakery: () => import('./bakery/BakeryScreen.svelte'),
  cold: () => import('./cold/ColdScreen.svelte'),
  dough: () => import('./dough/DoughScreen.svelte'),
  fillings: () => import('./fillings/FillingsScreen.svelte'),
  stock: () => import('./stock/ShelvesScreen.svelte'),
  made: () => import('./stock/MadeScreen.svelte'),
  batches: () => import('./stock/BatchesScreen.svelte'),
  buying: () => import('./stock/BuyingScreen.svelte'),
  trace: () => import('./stock/TraceScreen.svelte'),
  label: () => import('./labels/LabelScreen.svelte'),
  bench: () => import('./bench/BenchScreen.svelte'),
  ovens: () => import('./ovens/OvensScreen.svelte'),
  plan: () => import('./plan/PlanScreen.svelte'),
  sheets: () => import('./sheets/SheetsScreen.svelte'),
  pans: () => import('./pans/PansScreen.svelte'),
  compare: () => import('./writing/CompareScreen.svelte'),
  ingredients: () => import('./ingredients/IngredientsScreen.svelte'),
  library: () => import('./library/LibraryScreen.svelte'),
  recipe: () => import('./recipes/RecipeScreen.svelte'),
  recipes: () => import('./recipes/RecipesScreen.svelte'),
  versions: () => import('./writing/VersionsScreen.svelte'),
  preparations: () => import('./preparations/PreparationsScreen.svelte'),
  writePreparation: () => import('./preparations/WritePreparationScreen.svelte'),
  writeDough: () => import('./doughs/WriteDoughScreen.svelte'),
  writeRecipe: () => import('./writing/WriteRecipeScreen.svelte'),
}

const when = (asyncComponent: (typeof screens)[keyof typeof screens]) => wrap({ asyncComponent })

export const routes = {
  '/': OrdersScreen,
  '/orders/:day?': OrdersScreen,
  '/plan/:day?': when(screens.plan),
  '/sheets/:day?': when(screens.sheets),
  '/dough/:day?': when(screens.dough),
  '/fillings/:day?': when(screens.fillings),
  '/cold/:day?': when(screens.cold),
  '/stock/:day?': when(screens.stock),
  '/made/:day?': when(screens.made),
  '/batches/:day?': when(screens.batches),
  '/buying/:day?': when(screens.buying),
  '/trace/:kind?/:id?': when(screens.trace),
  '/labels/:product/:pan/:lot?': when(screens.label),
  '/bench/:day?': when(screens.bench),
  '/ovens/:day?': when(screens.ovens),
  '/recipes': when(screens.recipes),
  '/recipes/:id/:pan?/:count?': when(screens.recipe),
  '/write/:id?': when(screens.writeRecipe),
  '/doughs/:id?': when(screens.writeDough),
  '/preparations': when(screens.preparations),
  '/preparations/:id': when(screens.writePreparation),
  '/versions/:id': when(screens.versions),
  '/compare/:one/:other': when(screens.compare),
  '/ingredients': when(screens.ingredients),
  '/pans': when(screens.pans),
  '/library': when(screens.library),
  '/bill/:day?': when(screens.bill),
  '/costs': when(screens.costs),
  '/costs/channels': when(screens.channels),
  '/costs/:product/:pan': when(screens.productCost),
  '/prices': when(screens.prices),
  '/bakery': when(screens.bakery),
  '*': OrdersScreen,
}

/** Fetches the others when there is nothing else to do, so that each is there when the server is not. */
export function fetchScreens() {
  const soon = window.requestIdleCallback ?? ((fetch: () => void) => setTimeout(fetch, 2000))
  soon(() => {
    for (const fetch of Object.values(screens)) void fetch().catch(() => undefined)
  })
}
