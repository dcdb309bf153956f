/** A key of 128 random bits, for requests that may be sent twice. Unlike crypto.randomUUID it also works on a plain-http address in the bakery's network. */
export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('')
}
