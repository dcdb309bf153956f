import type { Schemas } from '../../api/client'

type Ovens = Schemas['OvensAnswer']
type Layer = Schemas['LayerAnswer']

/** How much of it there is, as a tag says it: pies, or trays of what is made before them. */
export const countOf = (layer: Layer): string =>
  layer.pies > 0 ? `${layer.pies}` : layer.trays.length === 1 ? '1 tray' : `${layer.trays.length} trays`

/** Which load a layer came in with: "Load 3", or "Load for Friday 11 December" of what an earlier day has in the oven. */
export const loadOf = (layer: Layer) => (layer.day ? `Load for ${layer.day}` : `Load ${layer.load}`)

/** How much of what lies there, and in which pans. */
export const whatOf = (layer: Layer): string => {
  const name = layer.step ? `${layer.product} ${layer.step}` : layer.product
  return layer.pies > 0 ? `${layer.pies} ${name}, ${layer.pan}` : `${countOf(layer)} of ${name}`
}

/** Rows of trays that an oven is drawn with: its shelves, and under them what stands on its floor. */
export const rowsOf = (oven: Schemas['OvenAnswer']): number => oven.shelves + oven.floorPlaces

/** A place in an oven in words: places on the floor come after the shelves. */
export const placeOf = (oven: Schemas['OvenAnswer'], place: number | undefined): string =>
  place === undefined ? '' : place > oven.shelves ? `floor ${place - oven.shelves}` : `shelf ${place}`

/** Pixels of the drawing that do not depend on its width. */
export const sizes = { labels: 40, curve: 64, shelf: 24, between: 26, name: 104, gap: 28, hours: 22 }

// Below this a bake of half an hour is too narrow for its count.
const leastPerMinute = 1.35

/** How much closer one step of the zoom goes, and how far it goes in all. */
export const zoomStep = 1.5
export const mostZoom = 8

const minutesOf = (ovens: Ovens) => ovens.blocks.reduce((sum, block) => sum + block.to.min - block.from.min, 0)

/** The width of the drawing: what the screen has, or more where it could not be read, times the zoom. */
export function widthOf(ovens: Ovens, room: number, zoom: number): number {
  const fixed = sizes.name + sizes.gap * (ovens.blocks.length - 1)
  return fixed + Math.max(room - fixed, minutesOf(ovens) * leastPerMinute) * zoom
}

/** Turns minutes into pixels: stretches of time side by side, with a break between them. */
export function timeScale(ovens: Ovens, width: number) {
  const room = width - sizes.name - sizes.gap * (ovens.blocks.length - 1)
  const perMinute = room / minutesOf(ovens)
  let left = sizes.name
  const starts = ovens.blocks.map((block) => {
    const start = { from: block.from.min, to: block.to.min, left }
    left += (block.to.min - block.from.min) * perMinute + sizes.gap
    return start
  })
  const first = starts[0] ?? { from: 0, to: 0, left: sizes.name }
  return {
    perMinute,
    blocks: starts,
    /** The pixel of a minute. */
    x(minute: number): number {
      const block = starts.findLast((one) => minute >= one.from) ?? first
      return block.left + (Math.min(minute, block.to) - block.from) * perMinute
    },
  }
}

/** The top of each oven, and the height of them all. */
export function ovenTops(ovens: Ovens) {
  let top = sizes.hours
  const tops = ovens.ovens.map((oven) => {
    const mine = top
    top += sizes.labels + sizes.curve + rowsOf(oven) * sizes.shelf + sizes.between
    return mine
  })
  return { tops, height: top }
}

/** Runs of neighbouring shelves, so that trays of one layer are drawn in one piece where they lie together. */
export function shelfRuns(layer: Layer): { first: number; count: number }[] {
  const runs: { first: number; count: number }[] = []
  for (const shelf of layer.shelves) {
    const last = runs.at(-1)
    if (last && last.first + last.count === shelf) last.count++
    else runs.push({ first: shelf, count: 1 })
  }
  return runs
}

/** A label that wants a place above a curve. */
export interface Label {
  x: number
  /** Ways to write it, from the fullest to the shortest. */
  ways: string[]
  /** Lower ones are placed first, and so keep their words when room is short. */
  rank: number
}

/** Where a label found its place: a row from 0, or -1 where it gave way altogether, and what of it is written. */
export interface Placed {
  row: number
  words: string
}

// Wide enough for the widest digit at the size of the labels.
const letter = 7.2
// Tags are bold, and their letters are wider than digits.
const tagLetter = 7.6
const rows = 2

/** Places labels so that none touches another: in the first free row, in the fullest words that fit, or not at all. */
export function placeLabels(labels: Label[], end: number): Placed[] {
  const taken: { row: number; from: number; to: number }[] = []
  const placed: Placed[] = labels.map(() => ({ row: -1, words: '' }))
  const order = labels
    .map((_, index) => index)
    .sort((one, other) => (labels[one]?.rank ?? 0) - (labels[other]?.rank ?? 0))
  for (const index of order) {
    const label = labels[index] as Label
    for (const words of label.ways) {
      const width = words.length * letter + 10
      const from = label.x + width > end ? label.x - width : label.x
      const row = Array.from({ length: rows }, (_, at) => at).find(
        (at) => !taken.some((one) => one.row === at && from < one.to && from + width > one.from),
      )
      if (row === undefined) continue
      taken.push({ row, from, to: from + width })
      placed[index] = { row, words }
      break
    }
  }
  return placed
}

/** The fullest of several ways to write something that fits into so many pixels; the last may be nothing. */
export function fitting(ways: string[], room: number): string {
  return (
    ways.find(
      (words) => words.length * tagLetter + 20 <= room || (words.length <= 2 && words.length * tagLetter + 12 <= room),
    ) ?? ''
  )
}
