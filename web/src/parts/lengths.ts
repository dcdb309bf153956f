/** A length of time as people write it, in minutes: "90", "90 min", "1 h 30", "12 h", "3 days". */
const units: [RegExp, number][] = [
  [/^(min|minutes?|m)$/, 1],
  [/^(h|hrs?|hours?)$/, 60],
  [/^(d|days?)$/, 1440],
  [/^(w|weeks?)$/, 10080],
]

/** Minutes of what is written; null of nothing, and undefined of what is no length of time. */
export function minutesOf(text: string): number | null | undefined {
  const written = text.trim().toLowerCase()
  if (written === '') return null
  const parts = [...written.matchAll(/(\d+(?:[.,]\d+)?)\s*([a-z]*)\s*/g)]
  if (parts.map((part) => part[0]).join('') !== written) return undefined
  let minutes = 0
  let before = 60
  for (const [, number = '', word = ''] of parts) {
    // "1 h 30": a number without a word counts what is next smaller than what stands before it; alone it is minutes.
    const unit = word === '' ? (before === 1440 ? 60 : 1) : units.find(([name]) => name.test(word))?.[1]
    if (unit === undefined) return undefined
    minutes += Number(number.replace(',', '.')) * unit
    before = unit
  }
  return Math.round(minutes)
}

/** Minutes as they are written: the largest unit that leaves nothing over. */
export function lengthOf(minutes: number | null | undefined): string {
  if (minutes === null || minutes === undefined) return ''
  if (minutes >= 1440 && minutes % 1440 === 0) return minutes === 1440 ? '1 day' : `${minutes / 1440} days`
  if (minutes < 120) return `${minutes} min`
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
