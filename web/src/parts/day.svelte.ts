import { api, ask, type Failure, type Schemas } from '../api/client'
import { bakery } from './bakery.svelte'
import { live } from './live.svelte'

type Plan = Schemas['PlanAnswer']

/** A pick-up as it stands and as it is asked about. */
export interface Move {
  from: string
  to: string
}

/**
 * The plan of the day on screen. It is asked for anew whenever a screen opens or an order changes, here or elsewhere. A
 * pick-up that is stepped in the sentence is a question: the plan follows, and nothing is saved until it is kept.
 */
class DayState {
  day = $state('')
  plan = $state<Plan>()
  failure = $state<Failure>()
  isPlanning = $state(false)
  /** Pick-ups that are asked about; empty while the plan is that of the orders. */
  moves = $state<Move[]>([])
  /** Whether the plan begins now, as if nothing were done yet, instead of when it should have. */
  isFromNow = $state(false)
  private pickUps: string[] = []
  /** The moves that the plan on screen answers; those asked about may be ahead of it. */
  private answered: Move[] = []
  private going: AbortController | undefined
  /** Whether the plan on screen was given the time it takes; what is asked about it says so too. */
  isGivenTime = $state(false)
  /** Whether the settled plan of a large day is being waited for. */
  isSettling = $state(false)

  constructor() {
    live.on((change) => {
      if (live.concerns(change, ['orders', 'bakery', 'recipes', 'ingredients'], this.day)) void this.refresh()
    })
  }

  /** Shows a day; an empty one means the next with orders. */
  async show(day: string | undefined) {
    if (!bakery.current) await bakery.load()
    const wanted = day || bakery.current?.nextDay || ''
    if (wanted !== this.day) {
      this.moves = []
      this.isFromNow = false
    }
    this.day = wanted
    if (this.plan && this.plan.day !== this.day) this.plan = undefined
    await this.refresh()
  }

  /** Asks for the plan as it follows from the orders now, and from what is asked about. An earlier question is let go of. */
  async refresh(): Promise<void> {
    this.going?.abort()
    if (!this.day || !bakery.current?.isSetUp) return
    const mine = new AbortController()
    this.going = mine
    this.isPlanning = true
    this.isSettling = false
    const moves = [...this.moves]
    const { data, failure } = await this.put(moves, mine.signal, undefined)
    // An answer that was overtaken by a later question is not shown.
    if (this.going !== mine) return
    this.isPlanning = false
    // A pick-up that someone else has moved meanwhile cannot be asked about any more.
    if (failure?.status === 400 && moves.length > 0) {
      this.moves = []
      return this.refresh()
    }
    this.failure = failure
    if (!data) return
    this.place(data, moves, false)
    if (data.isSettled || moves.length > 0) return
    // A first plan of a large day: the settled one takes its place when it is there.
    this.isSettling = true
    const settled = await this.put(moves, mine.signal, true)
    if (this.going !== mine) return
    this.isSettling = false
    if (settled.data) this.place(settled.data, moves, true)
  }

  private put(moves: Move[], signal: AbortSignal, settled: true | undefined) {
    const path = { day: this.day }
    return ask(
      moves.length > 0
        ? api.POST('/api/plan/{day}/what-if', { params: { path }, body: { moves, fromNow: this.isFromNow }, signal })
        : api.GET('/api/plan/{day}', { params: { path, query: { from: this.from, settled } }, signal }),
    )
  }

  private place(plan: Plan, moves: Move[], isGivenTime: boolean) {
    this.plan = plan
    this.isGivenTime = isGivenTime
    this.answered = moves
    if (moves.length === 0) this.pickUps = plan.waves.map((wave) => wave.pickUp.clock)
  }

  /** What a question about the plan on screen says of it: when it begins, and whether it was given time. */
  get query(): { from: string | undefined; settled: true | undefined } {
    return { from: this.from, settled: this.isGivenTime ? true : undefined }
  }

  /** What a question about the day says of when its plan begins. */
  get from(): string | undefined {
    return this.isFromNow ? 'now' : undefined
  }

  /** Shows the plan as it should have begun, or as it would be begun now. */
  async begin(now: boolean) {
    this.isFromNow = now
    await this.refresh()
  }

  /** What if the pick-up that now stands at a time were at another? */
  async ask(shown: string, to: string) {
    const placeOf = (moves: Move[], from: string) => moves.find((move) => move.from === from)?.to ?? from
    this.moves = this.pickUps
      .map((from) => ({ from, to: placeOf(this.answered, from) === shown ? to : placeOf(this.moves, from) }))
      .filter((move) => move.from !== move.to)
    await this.refresh()
  }

  /** Leaves the orders as they are. */
  async leave() {
    this.moves = []
    await this.refresh()
  }

  /** Moves the orders as asked about. Answers whether all went well. */
  async keep(): Promise<boolean> {
    const { failure } = await ask(
      api.POST('/api/orders/{day}/move', {
        params: { path: { day: this.day } },
        body: { moves: this.moves, fromNow: false },
      }),
    )
    this.failure = failure
    if (failure) return false
    this.moves = []
    live.saved('orders', this.day)
    await this.refresh()
    return true
  }
}

export const today = new DayState()
