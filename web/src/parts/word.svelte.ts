/** How a dotted word reads what is typed, and how it steps. */
export interface WordKind<T> {
  /** The value as it stands in the sentence. */
  words(value: T): string
  /** What was typed, or undefined while it is none. */
  read(text: string): T | undefined
  /** The value so many steps on, within its bounds. */
  step(value: T, steps: number): T
  /** For the numeric keys of a telephone or tablet. */
  inputmode: 'numeric' | 'text'
  hint: string
  /** The number that assistive technology is told. */
  now(value: T): number
  least: number
  most: number
}

/** Whole numbers within bounds; a step is one. */
export function wholeNumber(least: number, most: number): WordKind<number> {
  return {
    words: String,
    read: (text) =>
      /^\d{1,7}$/.test(text) && Number(text) >= least && Number(text) <= most ? Number(text) : undefined,
    step: (value, steps) => Math.min(most, Math.max(least, value + steps)),
    inputmode: 'numeric',
    hint: 'Type a number, or step it with the arrow keys',
    now: (value) => value,
    least,
    most,
  }
}

/** Numbers with a decimal point within bounds; a step is as large as is said. */
export function decimal(least: number, most: number, size: number): WordKind<number> {
  const within = (value: number) => Math.min(most, Math.max(least, value))
  return {
    words: String,
    read: (text) => {
      const value = Number(text.replace(',', '.'))
      return /^\d{1,3}(?:[.,]\d{1,2})?$/.test(text) && value === within(value) ? value : undefined
    },
    // Steps land on whole multiples of the step, so that 2.8 steps to 3 and not to 3.3.
    step: (value, steps) => Number(within(Math.round(value / size + steps) * size).toFixed(2)),
    inputmode: 'text',
    hint: 'Type a number, or step it with the arrow keys',
    now: (value) => value,
    least,
    most,
  }
}

const minutesOf = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))
const lastMinute = 23 * 60 + 55
const stepMin = 5

/** Clock times "07:30" of one day; a step is five minutes. */
export const clockTime: WordKind<string> = {
  words: (value) => value,
  read: (text) => {
    const match = /^([01]?\d|2[0-3])[:.]?([0-5]\d)$/.exec(text)
    return match ? `${match[1]?.padStart(2, '0')}:${match[2]}` : undefined
  },
  step: (value, steps) => {
    const minutes = Math.min(lastMinute, Math.max(0, Math.round(minutesOf(value) / stepMin + steps) * stepMin))
    return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  },
  inputmode: 'text',
  hint: 'Type a time, or step it by five minutes with the arrow keys',
  now: minutesOf,
  least: 0,
  most: lastMinute,
}

/** Steps for a key; 0 for one that does not step. */
export function stepsOf(key: string): number {
  return { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[key] ?? 0
}
