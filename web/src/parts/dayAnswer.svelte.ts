import { untrack } from 'svelte'
import { Asked, type Question } from './asked.svelte'
import { today } from './day.svelte'

/** When the plan begins that is asked about, and whether it was given time. */
type PlanQuery = typeof today.query

/** An answer about the day on screen, beside its plan: its dough, its fillings. */
export class DayAnswer<T> extends Asked<T> {
  /** @param of Asks the server about a day, and about the plan that is shown of it. */
  constructor(private readonly of: (day: string, query: PlanQuery) => Question<T>) {
    super()
  }

  /** Follows the day of a screen's address and its plan. Called while the screen is set up. */
  followDay(day: () => string | undefined) {
    $effect(() => {
      const wanted = day()
      untrack(() => void today.show(wanted))
    })
    // What it answers follows from the plan: another plan, another answer.
    this.follow([], () => {
      const plan = today.plan
      return plan ? this.of(plan.day, today.query) : undefined
    })
  }
}
