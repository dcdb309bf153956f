/** The allergens that can be asked for, as the server names them (EU Regulation 1169/2011, Annex II). */
export const allergens = [
  'wheat',
  'gluten (oats)',
  'gluten (rye, barley)',
  'crustaceans',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'nuts',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'molluscs',
] as const
