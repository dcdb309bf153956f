/** A key of 128 random bits, for requests that may be sent twice. Unlike crypto.randomUUID it also works on a plain-http address in the bakery's network. */
export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** The key of something that may have to be sent again: the same for the same, a new one when what is sent changes. */
export class SentKey {
  private sent = ''
  private key = newKey()

  /** The key for what is about to be sent. */
  of(body: unknown): string {
    const text = JSON.stringify(body)
    if (text !== this.sent) this.key = newKey()
    this.sent = text
    return this.key
  }

  /** What was sent is taken: the same again is meant anew. */
  taken() {
    this.sent = ''
  }
}
