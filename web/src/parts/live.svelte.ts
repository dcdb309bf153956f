import { SvelteSet } from 'svelte/reactivity'
import type { paths } from '../api/schema'

/** A change as the contract types the events of the line. */
type Told = paths['/api/changes']['get']['responses'][200]['content']['text/event-stream']

/** A change that the server tells of. */
export type Change = Pick<Told, 'what' | 'day'>

/** What a change can be of. */
export type Area = 'orders' | 'bakery' | 'recipes' | 'ingredients' | 'stock'

type Listener = (change: Change) => void

/**
 * The line to the server: what others change arrives here within moments, and so does the news that the server is gone.
 * What arrives while it was gone is not told again, so coming back counts as a change of everything.
 */
class Live {
  /** Whether the server has been lost. False until it was reached once. */
  isLost = $state(false)
  private readonly listeners = new SvelteSet<Listener>()
  private wasAway = false
  private source: EventSource | undefined

  /**
   * Opens the line while the page is in view; the browser opens it anew when it breaks. A page that nobody sees lets go
   * of it, since a browser keeps only a few lines to one server.
   */
  open(): () => void {
    this.source = this.connect()
    const seen = () => {
      if (document.hidden) this.source?.close()
      else if (this.source?.readyState === EventSource.CLOSED) {
        this.wasAway = true
        this.source = this.connect()
      }
    }
    document.addEventListener('visibilitychange', seen)
    return () => {
      document.removeEventListener('visibilitychange', seen)
      this.source?.close()
    }
  }

  private connect(): EventSource {
    const source = new EventSource('/api/changes')
    source.onopen = () => {
      this.isLost = false
      if (this.wasAway) this.tell({ what: 'everything', day: null })
      this.wasAway = false
    }
    source.onerror = () => {
      this.isLost = true
      this.wasAway = true
    }
    source.onmessage = (event: MessageEvent<string>) => {
      const change = JSON.parse(event.data) as Told
      // A greeting and a beat change nothing.
      if (change.what !== 'hello' && change.what !== 'beat') this.tell(change)
    }
    return source
  }

  /** Calls back on every change until the returned function is called. */
  on(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** Whether a change is of one of these areas, and where a day is named of it or of one before, around which it is planned. */
  concerns(change: Change, areas: readonly Area[], day?: string): boolean {
    if (change.what !== 'everything' && !areas.some((area) => area === change.what)) return false
    return change.day === null || day === undefined || change.day <= day
  }

  /** After a change of one's own: it comes back on the line as everybody else hears it; where the line is down it is told here. */
  saved(what: Area, day: string | null = null) {
    if (this.source?.readyState !== EventSource.OPEN) this.tell({ what, day })
  }

  private tell(change: Change) {
    for (const listener of this.listeners) listener(change)
  }
}

export const live = new Live()
