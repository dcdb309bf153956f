import type { Schemas } from '../../api/client'

type Ovens = Schemas['OvensAnswer']
type Layer = Schemas['LayerAnswer']

/** Pixels of the drawing that do not depend on its width. */
export const sizes = { labels: 40, curve: 64, shelf: 24, between: 26, name: 104, gap: 28, hours: 22 }

// Below this the labels of a drop and the next setting would run into each other.
const leastPerMinute = 2.3

/** The width at which everything can still be read; a narrower screen scrolls. */
export function leastWidth(ovens: Ovens): number {
  const minutes = ovens.blocks.reduce((sum, block) => sum + block.to.min - block.from.min, 0)
  return sizes.name + sizes.gap * (ovens.blocks.length - 1) + minutes * leastPerMinute
}

/** Turns minutes into pixels: stretches of time side by side, with a break between them. */
export function timeScale(ovens: Ovens, width: number) {
  const minutes = ovens.blocks.reduce((sum, block) => sum + block.to.min - block.from.min, 0)
  const room = width - sizes.name - sizes.gap * (ovens.blocks.length - 1)
  const perMinute = room / minutes
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
    top += sizes.labels + sizes.curve + oven.shelves * sizes.shelf + sizes.between
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

/** Where labels stand above a curve: a second row where the first is taken. */
export function labelRows(positions: { x: number; width: number }[]): number[] {
  const ends = [-Infinity, -Infinity]
  return positions.map(({ x, width }) => {
    const row = x >= (ends[0] as number) ? 0 : 1
    ends[row] = x + width
    return row
  })
}
