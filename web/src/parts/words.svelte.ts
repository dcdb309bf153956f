import { api, ask, type Schemas } from '../api/client'

/** Every kind that can be chosen, with its words, as the server says them; asked for once. */
class WordsState {
  current = $state.raw<Schemas['WordsAnswer']>({
    fillings: [],
    parts: [],
    laws: [],
    tops: [],
    schools: [],
    linings: [],
    doughFamilies: [],
    panFamilies: [],
    panMaterials: [],
    cups: [],
    roles: [],
    places: [],
    preparations: [],
    keepPlaces: [],
    stations: [],
    allergens: [],
  })

  async load() {
    const { data } = await ask(api.GET('/api/words'))
    if (data) this.current = data
  }
}

export const words = new WordsState()
