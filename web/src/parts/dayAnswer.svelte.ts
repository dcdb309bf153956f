import { untrack } from 'svelte'
import { ask, type Failure } from '../api/client'
import { today } from './day.svelte'
import { live } from './live.svelte'

/** An answer about the day on screen, beside its plan: its dough, its fillings. */
export class DayAnswer<T> {
  current = $state<T>()
  failure = $state<Failure>()

  /** @param question Asks the server about a day, and about when its plan begins. */
  constructor(private readonly question: (day: string, from: string | undefined) => Parameters<typeof ask<T>>[0]) {}

  /** Follows the day of a screen's address, and what is changed elsewhere. Called while the screen is set up. */
  follow(day: () => string | undefined) {
    $effect(() => {
      const wanted = day()
      void today.isFromNow
      untrack(() => this.show(wanted))
    })
    $effect(() => live.on(() => void this.show(day())))
  }

  /** Shows a day; an empty one means the next with orders. */
  async show(day: string | undefined) {
    await today.show(day)
    const outcome = await ask(this.question(today.day, today.from))
    this.failure = outcome.failure
    if (outcome.data) this.current = outcome.data
  }
}
