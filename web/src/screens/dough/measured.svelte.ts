import type { Schemas } from '../../api/client'

type Readings = Schemas['DoughReadings']

const kept = 'lumpet-dough-readings'

/** What was measured before doughs are mixed. It stays on this device until it is measured anew; what is not typed is usual. */
class Measured {
  readings = $state<Partial<Record<keyof Readings, number | null>>>(read())

  /** What goes to the server: only what was typed. */
  get query() {
    return Object.fromEntries(
      Object.entries(this.readings).filter(([, value]) => typeof value === 'number' && Number.isFinite(value)),
    )
  }

  set(field: keyof Readings, value: number | null) {
    this.readings = { ...this.readings, [field]: value }
    localStorage.setItem(kept, JSON.stringify(this.readings))
  }
}

function read() {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(kept) ?? '{}')
    return typeof found === 'object' && found !== null ? found : {}
  } catch {
    return {}
  }
}

export const measured = new Measured()
