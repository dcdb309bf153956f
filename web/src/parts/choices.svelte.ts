import { untrack } from 'svelte'
import { SvelteMap } from 'svelte/reactivity'
import { api, ask, type Failure, type Schemas } from '../api/client'
import { today } from './day.svelte'

type Choice = Schemas['ChoiceAnswer']

/** More than this nobody reads beside each other. */
export const mostBeside = 4

/** What a choice comes to, or why that cannot be said. */
export interface Outcome {
  answer?: Schemas['ChoiceOutcomeAnswer']
  failure?: Failure
}

/** Choices for the day on screen, laid beside each other: each is planned at the server, one after the other, while somebody looks. */
export class Choices {
  /** All that may be chosen. */
  offered = $state.raw<Choice[]>([])
  failure = $state<Failure>()
  /** Those that lie beside each other, by their ids, in the order in which they were laid there. */
  beside = $state<string[]>([])
  /** What the day as it is comes to, under "", and each choice, by its id. */
  readonly outcomes = new SvelteMap<string, Outcome>()
  private going: AbortController | undefined

  /** Follows the day while it is open; called while the screen is set up. */
  follow(isOpen: () => boolean, first: (choice: Choice) => boolean) {
    $effect(() => {
      // A plan that is placed anew follows from something that has changed, or is the settled one.
      const plan = today.plan
      if (!isOpen() || !plan) return
      untrack(() => void this.open(plan.day, first))
      return () => this.leave()
    })
  }

  /** Lays a choice beside the others, in the place of the oldest where there is no more room. */
  add(id: string) {
    if (this.beside.includes(id)) return
    this.beside = [...this.beside.slice(-(mostBeside - 1)), id]
    void this.plan()
  }

  /** Takes a choice away. */
  remove(id: string) {
    this.beside = this.beside.filter((one) => one !== id)
  }

  private async open(day: string, first: (choice: Choice) => boolean) {
    this.leave()
    const mine = new AbortController()
    this.going = mine
    const path = { day }
    const { data, failure } = await ask(api.GET('/api/plan/{day}/choices', { params: { path }, signal: mine.signal }))
    if (this.going !== mine) return
    this.failure = failure
    if (!data) return
    const wasEmpty = this.offered.length === 0
    this.offered = data
    // What was taken is not offered any more: the day is so now.
    this.beside = wasEmpty
      ? data.filter(first).map((one) => one.id)
      : this.beside.filter((id) => data.some((one) => one.id === id))
    this.outcomes.clear()
    await this.plan()
  }

  /** Plans what lies there and has no outcome yet, the day as it is first. */
  private async plan() {
    this.leave()
    const mine = new AbortController()
    this.going = mine
    const path = { day: today.day }
    for (const id of ['', ...this.beside]) {
      if (this.outcomes.has(id)) continue
      const change = this.offered.find((one) => one.id === id)?.change
      const body = { moves: null, fromNow: false, ...said(change) }
      const { data, failure } = await ask(
        api.POST('/api/plan/{day}/compare', { params: { path }, body, signal: mine.signal }),
      )
      if (this.going !== mine) return
      this.outcomes.set(id, { answer: data, failure })
    }
  }

  private leave() {
    this.going?.abort()
    this.going = undefined
  }
}

/** A change without what stays as it is. */
export function said(change: Schemas['DayChange'] | undefined) {
  return {
    ...(change?.school ? { school: change.school } : {}),
    ...(change?.ovensOut ? { ovensOut: change.ovensOut } : {}),
    ...(change?.moreHands == null ? {} : { moreHands: change.moreHands }),
    ...(change?.earlierMin == null ? {} : { earlierMin: change.earlierMin }),
    ...(change?.betweenHands == null ? {} : { betweenHands: change.betweenHands }),
    ...(change?.schools ? { schools: change.schools } : {}),
  }
}
