import { api, type Failure, type Schemas } from '../api/client'
import { Asked } from './asked.svelte'

/** The bakery as every screen needs it: its products, and the days that have orders. */
class BakeryState {
  private readonly asked = new Asked<Schemas['BakeryAnswer']>()

  get current(): Schemas['BakeryAnswer'] | undefined {
    return this.asked.current
  }

  get failure(): Failure | undefined {
    return this.asked.failure
  }

  load(): Promise<void> {
    return this.asked.put((signal) => api.GET('/api/bakery', { signal }))
  }
}

export const bakery = new BakeryState()
