/** A field in which two drafts differ. */
export interface Difference {
  /** Its path in words: "steps 3, name". */
  field: string
  theirs: string
  mine: string
}

/** The fields in which two drafts differ, in the order in which they stand. */
export function differences(theirs: unknown, mine: unknown): Difference[] {
  const [left, right] = [flat(theirs), flat(mine)]
  return [...new Set([...left.keys(), ...right.keys()])]
    .filter((path) => (left.get(path) ?? '') !== (right.get(path) ?? ''))
    .map((path) => ({ field: inWords(path), theirs: left.get(path) ?? '', mine: right.get(path) ?? '' }))
}

function flat(value: unknown, path = '', into = new Map<string, string>()): Map<string, string> {
  if (value !== null && typeof value === 'object')
    for (const [key, inner] of Object.entries(value)) flat(inner, path ? `${path}.${key}` : key, into)
  else if (value !== null && value !== undefined) into.set(path, String(value))
  return into
}

/** "steps.2.waitLeast" as "steps 3, wait least". */
function inWords(path: string): string {
  return path
    .split('.')
    .map((part) => (/^\d+$/.test(part) ? ` ${Number(part) + 1}` : `, ${part.replace(/([A-Z])/g, ' $1').toLowerCase()}`))
    .join('')
    .replace(/^, /, '')
}
