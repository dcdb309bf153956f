import type { Schemas } from '../../api/client'

type Layer = Schemas['LayerDraft']

/** The parts of a pie in the order of the work. */
const order = ['filling', 'topping', 'finish', 'beside']

/** A layer in which nothing is written yet; what is usual for its part is said. */
const empty = (part: string): Layer => ({
  part,
  name: null,
  law: part === 'filling' ? 'room' : 'top',
  lines: '',
  fillingKind: part === 'filling' ? 'rawFruit' : null,
  packedDensity: part === 'filling' ? 0.9 : null,
  keptPercent: 100,
  pieces: null,
})

/** Layers with one more: a filling above the fillings that are there, everything else after them. */
export function withLayer(layers: Layer[], part: string) {
  const after = layers.filter((layer) => order.indexOf(layer.part ?? 'filling') <= order.indexOf(part)).length
  return layers.toSpliced(after, 0, empty(part))
}
