// Colour means temperature, everywhere and only that.
const light: [number, string][] = [
  [-18, '#3C5A8A'],
  [4, '#6F97B8'],
  [20, '#E9DEC6'],
  [60, '#EED3A0'],
  [150, '#EBB467'],
  [175, '#E2933F'],
  [190, '#D67432'],
  [205, '#C45A2A'],
  [220, '#AC3F22'],
  [235, '#8C2A1C'],
]

// With the lights down no large surface is bright: what stands at room temperature is dim, with its outline.
const dark: [number, string][] = light.map(([at, colour]) => [
  at,
  ({ 4: '#4F7390', 20: '#3A2D25', 60: '#6E5535' } as Record<number, string>)[at] ?? colour,
])

function channels(hex: string): [number, number, number] {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number]
}

/** The colour of a temperature in degrees Celsius, on a light or a dark page; in between the stops by interpolation. */
export function colourOn(isDark: boolean, celsius: number): string {
  const stops = isDark ? dark : light
  const first = stops[0] as [number, string]
  const last = stops[stops.length - 1] as [number, string]
  if (celsius <= first[0]) return first[1]
  if (celsius >= last[0]) return last[1]
  const upper = stops.findIndex(([at]) => at >= celsius)
  const [lowAt, low] = stops[upper - 1] as [number, string]
  const [highAt, high] = stops[upper] as [number, string]
  const share = (celsius - lowAt) / (highAt - lowAt)
  const [from, to] = [channels(low), channels(high)]
  return `rgb(${from.map((value, index) => Math.round(value + ((to[index] as number) - value) * share)).join(' ')})`
}
