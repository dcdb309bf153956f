import type { Schemas } from '../../api/client'

/** An ingredient of which nothing is stated yet: the figures that ship are in force. */
export const emptyIngredient: Schemas['IngredientDraft'] = {
  name: '',
  allergens: null,
  mayContain: null,
  otherNames: '',
  role: null,
  gramsPerMl: null,
  densitySource: null,
  pieces: [],
  yields: [],
  alcoholPercent: null,
  unsafeRaw: null,
  weighedTo: null,
  price: null,
}
