import { api, ask, type Failure, type Schemas } from '../api/client'

/** The bakery as every screen needs it: its products, and the days that have orders. */
class BakeryState {
  current = $state<Schemas['BakeryAnswer']>()
  failure = $state<Failure>()

  async load() {
    const { data, failure } = await ask(api.GET('/api/bakery'))
    if (data) this.current = data
    this.failure = failure
  }
}

export const bakery = new BakeryState()
