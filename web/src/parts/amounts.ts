/** A count of grams as the scale shows it: thin spaces between thousands, tenths only where there are any. */
export function grams(value: number): string {
  const digits = Number.isInteger(value) ? 0 : 1
  return `${grouped(value, digits)} g`
}

/** Kilograms with two decimals at most, and none that say nothing. */
export function kilograms(value: number): string {
  return `${Number(value.toFixed(2))} kg`
}

/** Money with its currency code, two decimals. */
export function money(value: number, currency: string, digits = 2): string {
  return `${grouped(value, digits)} ${currency}`
}

/** Centimetres without needless decimals. */
export function centimetres(value: number): string {
  return `${Number(value.toFixed(1))} cm`
}

/** Minutes in words: "45 min", "2 h 05". */
export function duration(minutes: number): string {
  if (minutes < 60) return `${minutes} min`
  return `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
}

function grouped(value: number, digits: number): string {
  const [whole = '0', rest] = Math.abs(value).toFixed(digits).split('.')
  const spaced = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u2009') : whole
  return `${value < 0 ? '−' : ''}${spaced}${rest ? `.${rest}` : ''}`
}
