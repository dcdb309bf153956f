import { untrack } from 'svelte'
import { ask, type Failure } from '../api/client'
import { live, type Area } from './live.svelte'

/** Asks the server; the signal ends it when the answer is not wanted any more. */
export type Question<T> = (signal: AbortSignal) => Parameters<typeof ask<T>>[0]

/**
 * Something on a screen that the server was asked: the one way in which screens ask. The latest question counts; an answer
 * that was overtaken is let go of, here and at the server. What changes elsewhere is asked anew where it concerns this.
 */
export class Asked<T> {
  current = $state.raw<T>()
  failure = $state<Failure>()
  isAsking = $state(false)
  private question: Question<T> | undefined
  private going: AbortController | undefined

  /** Asks something else than before; nothing, where there is nothing to ask. */
  async put(question: Question<T> | undefined): Promise<void> {
    this.going?.abort()
    this.question = question
    if (!question) {
      this.isAsking = false
      return
    }
    const mine = new AbortController()
    this.going = mine
    this.isAsking = true
    const { data, failure } = await ask(question(mine.signal))
    if (this.going !== mine) return
    this.isAsking = false
    this.failure = failure
    if (data !== undefined) this.current = data
  }

  /** Asks the same again. */
  refresh(): Promise<void> {
    return this.put(this.question)
  }

  /** Lets go of what is being asked. */
  leave() {
    this.going?.abort()
    this.going = undefined
    this.isAsking = false
  }

  /**
   * Follows a question while a screen is there: it is put anew when anything it reads is another, and when one of these
   * areas is changed, here or elsewhere. Called while the screen is set up.
   */
  follow(areas: readonly Area[], question: () => Question<T> | undefined, day?: () => string) {
    $effect(() => {
      const wanted = question()
      void untrack(() => this.put(wanted))
      return () => this.leave()
    })
    $effect(() =>
      live.on((change) => {
        if (live.concerns(change, areas, day?.())) void this.refresh()
      }),
    )
  }
}
