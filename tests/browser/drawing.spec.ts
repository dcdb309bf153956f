import { expect, test } from '@playwright/test'
import { centimetres, duration, grams, kilograms, money } from '../../web/src/parts/amounts'
import { colourOn } from '../../web/src/parts/temperature'
import {
  fitting,
  ovenTops,
  placeLabels,
  shelfRuns,
  sizes,
  timeScale,
  widthOf,
} from '../../web/src/screens/ovens/layout'
import { clockTime, decimal, stepsOf, wholeNumber } from '../../web/src/parts/word.svelte'

const colourOf = (celsius: number) => colourOn(false, celsius)
const moment = (min: number) => ({ min, clock: '00:00', day: 'Sat' })
const block = (from: number, to: number) => ({ from: moment(from), to: moment(to), hours: [] })
const oven = (shelves: number) => ({
  id: 'o',
  name: 'Oven',
  shelves,
  floorPlaces: 0,
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

  test('are dim at room temperature on a dark page, and as they were in the heat', () => {
    const brightest = (colour: string) => Math.max(...(colour.match(/\d+/g) ?? []).map(Number))
    expect(brightest(colourOn(true, 19.9))).toBeLessThan(80)
    expect(brightest(colourOf(19.9))).toBeGreaterThan(200)
    expect(colourOn(true, 190)).toBe(colourOf(190))
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

  test('fills the room there is, is never too narrow to be read, and grows with the zoom', () => {
    expect(widthOf(twoBlocks, 1200, 1)).toBe(1200)
    expect(widthOf(twoBlocks, 300, 1)).toBeGreaterThan(300)
    const fixed = sizes.name + sizes.gap
    expect(widthOf(twoBlocks, 1200, 2) - fixed).toBeCloseTo(2 * (1200 - fixed), 9)
    expect(timeScale(twoBlocks, widthOf(twoBlocks, 1200, 2)).perMinute).toBeCloseTo(
      2 * timeScale(twoBlocks, 1200).perMinute,
      9,
    )
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

  test('lets labels give way instead of colliding: a second row, fewer words, then none', () => {
    const label = (x: number, rank = 1) => ({ x, ways: ['17:40 220° (dial 200)', '220°'], rank })
    expect(placeLabels([label(0), label(400)], 1000).map((one) => one.row)).toEqual([0, 0])
    expect(placeLabels([label(0), label(60)], 1000).map((one) => one.row)).toEqual([0, 1])
    const crowd = placeLabels(
      [0, 10, 20, 30, 40].map((x) => label(x)),
      1000,
    )
    expect(crowd.filter((one) => one.row >= 0).length).toBeLessThan(5)
    // A drop keeps its words, whoever was there before.
    const drop = placeLabels([label(0), label(5), label(10, 0)], 1000)
    expect(drop[2]).toEqual({ row: 0, words: '17:40 220° (dial 200)' })
  })

  test('never lets two labels of a row touch, at forty loads either', () => {
    const labels = Array.from({ length: 40 }, (_, index) => ({
      x: index * 23,
      ways: ['17:40 220°', '220°'],
      rank: index % 3,
    }))
    const placed = placeLabels(labels, 1000)
    for (const row of [0, 1]) {
      const spans = placed
        .map((one, index) => ({
          ...one,
          from:
            (labels[index]?.x ?? 0) -
            ((labels[index]?.x ?? 0) + one.words.length * 7.2 + 10 > 1000 ? one.words.length * 7.2 + 10 : 0),
        }))
        .filter((one) => one.row === row)
        .sort((one, other) => one.from - other.from)
      for (let at = 1; at < spans.length; at++) {
        const [before, after] = [spans[at - 1], spans[at]]
        expect((before?.from ?? 0) + (before?.words.length ?? 0) * 7.2).toBeLessThanOrEqual(after?.from ?? 0)
      }
    }
  })

  test('writes on a tag what fits it', () => {
    const ways = ['12 Pear and ginger', '12 Pear', '12']
    expect(fitting(ways, 200)).toBe('12 Pear and ginger')
    expect(fitting(ways, 80)).toBe('12 Pear')
    expect(fitting(ways, 30)).toBe('12')
    expect(fitting(ways, 10)).toBe('')
  })
})

test.describe('a dotted word', () => {
  test('reads whole numbers within its bounds, and steps inside them', () => {
    const pies = wholeNumber(1, 100)
    expect(pies.read('24')).toBe(24)
    for (const text of ['0', '101', '1.5', 'x', '', '-3', '1e2']) expect(pies.read(text)).toBeUndefined()
    expect(pies.step(1, -1)).toBe(1)
    expect(pies.step(95, 10)).toBe(100)
  })

  test('reads decimals within its bounds, and steps onto whole steps', () => {
    const millimetres = decimal(1, 15, 0.5)
    expect([millimetres.read('2,5'), millimetres.read('3'), millimetres.read('0.5'), millimetres.read('thin')]).toEqual(
      [2.5, 3, undefined, undefined],
    )
    expect([millimetres.step(2.8, 1), millimetres.step(3, -1), millimetres.step(15, 1)]).toEqual([3.5, 2.5, 15])
  })

  test('reads clock times as people type them, and steps by five minutes', () => {
    expect(clockTime.read('7:30')).toBe('07:30')
    expect(clockTime.read('0730')).toBe('07:30')
    expect(clockTime.read('23:59')).toBe('23:59')
    for (const text of ['24:00', '7:60', '7', 'noon', '']) expect(clockTime.read(text)).toBeUndefined()
    expect(clockTime.step('07:30', 1)).toBe('07:35')
    expect(clockTime.step('07:58', 1)).toBe('08:05')
    expect(clockTime.step('00:05', -10)).toBe('00:00')
    expect(clockTime.step('23:50', 10)).toBe('23:55')
    expect(clockTime.now('01:15')).toBe(75)
  })

  test('steps by the arrow and page keys only', () => {
    expect(['ArrowUp', 'ArrowDown', 'PageUp', 'PageDown', 'a'].map(stepsOf)).toEqual([1, -1, 10, -10, 0])
  })
})
