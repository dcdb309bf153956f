import { SvelteSet } from 'svelte/reactivity'

/** A change that the server tells of. */
export interface Change {
  what: string
  day: string | null
}

type Listener = (change: Change) => void

/**
 * The line to the server: what others change arrives here within moments, and so does the news that the server is gone.
 * What arrives while it was gone is not told again, so coming back counts as a change of everything.
 */
class Live {
  /** Whether the server has been lost. False until it was reached once. */
  isLost = $state(false)
  private readonly listeners = new SvelteSet<Listener>()
  private wasLost = false

  /** Opens the line; the browser keeps it open and opens it anew when it breaks. */
  open(): () => void {
    const source = new EventSource('/api/changes')
    source.onopen = () => {
      this.isLost = false
      if (this.wasLost) this.tell({ what: 'everything', day: null })
      this.wasLost = false
    }
    source.onerror = () => {
      this.isLost = true
      this.wasLost = true
    }
    source.onmessage = (event: MessageEvent<string>) => {
      const change = JSON.parse(event.data) as Change
      if (change.what !== 'hello') this.tell(change)
    }
    return () => source.close()
  }

  /** Calls back on every change until the returned function is called. */
  on(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private tell(change: Change) {
    for (const listener of this.listeners) listener(change)
  }
}

export const live = new Live()
