import { api, ask, type Failure, type Schemas } from '../api/client'
import { bakery } from './bakery.svelte'

/** The plan of the day on screen. It is asked for anew whenever a screen opens or an order changes; nothing is saved. */
class DayState {
  day = $state('')
  plan = $state<Schemas['PlanAnswer']>()
  failure = $state<Failure>()
  isPlanning = $state(false)
  private asked = 0

  /** Shows a day; an empty one means the next with orders. */
  async show(day: string | undefined) {
    if (!bakery.current) await bakery.load()
    this.day = day || bakery.current?.nextDay || ''
    if (this.plan && this.plan.day !== this.day) this.plan = undefined
    await this.refresh()
  }

  /** Asks for the plan as it follows from the orders now. */
  async refresh() {
    if (!this.day || !bakery.current?.isSetUp) return
    const asked = ++this.asked
    this.isPlanning = true
    const { data, failure } = await ask(api.GET('/api/plan/{day}', { params: { path: { day: this.day } } }))
    // An answer that was overtaken by a later question is not shown.
    if (asked !== this.asked) return
    this.isPlanning = false
    this.failure = failure
    if (data) this.plan = data
  }
}

export const today = new DayState()
