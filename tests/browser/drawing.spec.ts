import { expect, test } from '@playwright/test'
import { centimetres, duration, grams, kilograms, money } from '../../web/src/parts/amounts'
import { colourOf } from '../../web/src/parts/temperature'
import { labelRows, leastWidth, ovenTops, shelfRuns, sizes, timeScale } from '../../web/src/screens/plan/layout'

const moment = (min: number) => ({ min, clock: '00:00', day: 'Sat' })
const block = (from: number, to: number) => ({ from: moment(from), to: moment(to), hours: [] })
const oven = (shelves: number) => ({
  id: 'o',
  name: 'Oven',
  shelves,
  dialOffsetC: 0,
  curve: [],
  settings: [],
  layers: [],
})
const twoBlocks = {
  from: moment(100),
  to: moment(700),
  blocks: [block(100, 300), block(600, 700)],
  ovens: [oven(4), oven(6)],
}

test.describe('amounts', () => {
  test('are shown as a scale shows them', () => {
    expect(grams(859)).toBe('859 g')
    expect(grams(17.8)).toBe('17.8 g')
    expect(grams(35693)).toBe('35\u2009693 g')
    expect(grams(1836)).toBe('1836 g')
  })

  test('carry no decimals that say nothing', () => {
    expect(kilograms(76)).toBe('76 kg')
    expect(kilograms(44.07)).toBe('44.07 kg')
    expect(centimetres(5.04)).toBe('5 cm')
  })

  test('of money and time are plain', () => {
    expect(money(7.976, 'EUR')).toBe('7.98 EUR')
    expect(money(0.0012, 'EUR', 3)).toBe('0.001 EUR')
    expect(money(-3.5, 'EUR')).toBe('−3.50 EUR')
    expect(duration(45)).toBe('45 min')
    expect(duration(125)).toBe('2 h 05')
  })
})

test.describe('temperature colours', () => {
  test('are the stops at the stops, and in between in between', () => {
    expect(colourOf(-18)).toBe('#3C5A8A')
    expect(colourOf(190)).toBe('rgb(214 116 50)')
    // Half way from 175 (226 147 63) to 190 (214 116 50).
    expect(colourOf(182.5)).toBe('rgb(220 132 57)')
  })

  test('go no further than their ends', () => {
    expect(colourOf(-40)).toBe(colourOf(-18))
    expect(colourOf(300)).toBe('#8C2A1C')
  })
})

test.describe('the oven drawing', () => {
  test('gives every minute its place, with a break between stretches', () => {
    const scale = timeScale(twoBlocks, 1000)
    expect(scale.x(100)).toBe(sizes.name)
    expect(scale.x(200) - scale.x(100)).toBeCloseTo(100 * scale.perMinute, 9)
    expect(scale.x(600) - scale.x(300)).toBeCloseTo(sizes.gap, 9)
    expect(scale.x(700)).toBeCloseTo(1000, 9)
    // A minute in the pause is drawn where the stretch before it ends.
    expect(scale.x(450)).toBe(scale.x(300))
  })

  test('is as wide as its minutes need', () => {
    expect(leastWidth(twoBlocks)).toBeGreaterThan(300 * 2)
    expect(timeScale(twoBlocks, leastWidth(twoBlocks)).perMinute).toBeGreaterThan(2)
  })

  test('stacks ovens by their shelves', () => {
    const { tops, height } = ovenTops(twoBlocks)
    expect(tops[0]).toBe(sizes.hours)
    expect((tops[1] ?? 0) - (tops[0] ?? 0)).toBe(sizes.labels + sizes.curve + 4 * sizes.shelf + sizes.between)
    expect(height).toBeGreaterThan((tops[1] ?? 0) + 6 * sizes.shelf)
  })

  test('draws trays that lie together in one piece', () => {
    const layer = (shelves: number[]) => shelfRuns({ shelves } as Parameters<typeof shelfRuns>[0])
    expect(layer([1, 2, 3])).toEqual([{ first: 1, count: 3 }])
    expect(layer([1, 3, 4])).toEqual([
      { first: 1, count: 1 },
      { first: 3, count: 2 },
    ])
    expect(layer([])).toEqual([])
  })

  test('puts a label into the second row where the first is taken', () => {
    expect(
      labelRows([
        { x: 0, width: 80 },
        { x: 60, width: 80 },
        { x: 90, width: 80 },
      ]),
    ).toEqual([0, 1, 0])
  })
})
