import { ask, type Failure } from '../api/client'
import { today } from './day.svelte'

/** An answer about the day on screen, beside its plan: its dough, its fillings. */
export class DayAnswer<T> {
  current = $state<T>()
  failure = $state<Failure>()

  /** @param question Asks the server about a day. */
  constructor(private readonly question: (day: string) => Parameters<typeof ask<T>>[0]) {}

  /** Shows a day; an empty one means the next with orders. */
  async show(day: string | undefined) {
    await today.show(day)
    const outcome = await ask(this.question(today.day))
    this.failure = outcome.failure
    if (outcome.data) this.current = outcome.data
  }
}
