/** The places of Lumpet, in the order of the line at the top. */
export interface Place {
  id: string
  name: string
  /** The key that leads there. */
  key: string
  /** Whether it shows one day, and so keeps it in its address. */
  ofDay: boolean
  endsGroup?: boolean
}

export const places: Place[] = [
  { id: 'orders', name: 'Orders', key: 'o', ofDay: true },
  { id: 'plan', name: 'Plan', key: 'p', ofDay: true, endsGroup: true },
  { id: 'dough', name: 'Dough', key: 'd', ofDay: true },
  { id: 'fillings', name: 'Fillings', key: 'f', ofDay: true },
  { id: 'cold', name: 'Cold', key: 'c', ofDay: true },
  { id: 'stock', name: 'Stock', key: 'k', ofDay: true },
  { id: 'bench', name: 'Bench', key: 'h', ofDay: true },
  { id: 'ovens', name: 'Ovens', key: 'v', ofDay: true, endsGroup: true },
  { id: 'recipes', name: 'Recipes', key: 'r', ofDay: false },
  { id: 'costs', name: 'Costs', key: 's', ofDay: false },
  { id: 'bakery', name: 'Bakery', key: 'b', ofDay: false },
]

/** Screens within a place that have a key of their own. */
export const screens = [
  { id: 'write', name: 'Write a recipe', key: 'w' },
  { id: 'doughs', name: 'Doughs', key: 'u' },
  { id: 'preparations', name: 'Preparations', key: 'm' },
  { id: 'ingredients', name: 'Ingredients', key: 'i' },
  { id: 'prices', name: 'Prices', key: 'e' },
  { id: 'bill', name: 'Bill of a day', key: 'g' },
  { id: 'buying', name: 'Buying', key: 'y' },
  { id: 'pans', name: 'Pans', key: 'a' },
  { id: 'library', name: 'Take in, give out', key: 'l' },
]

/** Addresses that belong to a place without being it. */
const within: Record<string, string> = {
  '': 'orders',
  sheets: 'plan',
  made: 'stock',
  batches: 'stock',
  buying: 'stock',
  trace: 'stock',
  labels: 'recipes',
  write: 'recipes',
  doughs: 'recipes',
  preparations: 'recipes',
  ingredients: 'recipes',
  prices: 'costs',
  bill: 'costs',
  pans: 'recipes',
  versions: 'recipes',
  compare: 'recipes',
  library: 'recipes',
}

/** Screens of a day within a place: of another day they stay what they are. */
const ofADay = ['sheets', 'made', 'batches', 'buying', 'bill']

/** Where the same is shown of another day: sheets stay sheets. */
export function ofAnotherDay(location: string, day: string) {
  const first = location.split('/')[1] ?? ''
  return `/${ofADay.includes(first) ? first : placeOf(location).id}/${day}`
}

/** The place that an address belongs to. */
export function placeOf(location: string): Place {
  const first = location.split('/')[1] ?? ''
  const id = within[first] ?? first
  return places.find((place) => place.id === id) ?? (places[0] as Place)
}
