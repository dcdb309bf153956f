import { api, ask, type Failure, type Schemas } from '../api/client'
import { bakery } from './bakery.svelte'
import { SentKey } from './key'
import { live } from './live.svelte'

type Plan = Schemas['PlanAnswer']

/** A pick-up as it stands and as it is asked about. */
export interface Move {
  from: string
  to: string
}

/** What else is asked about a day; what is not said stays as it is. */
export interface Change {
  school?: string
  ovensOut?: string[]
  longerBakes?: { product: string; minutes: number }[]
  moreHands?: number
  earlierMin?: number
  betweenHands?: number
  leftOut?: { product: string | null; pan: string | null; pickUp: string | null }[]
  schools?: { product: string | null; place: string | null; school: string | null }[]
  more?: { product: string; pan: string; count: number; pickUp: string; for: string }[]
}

/**
 * The plan of the day on screen. It is asked for anew whenever a screen opens or an order changes, here or elsewhere. A
 * pick-up that is stepped in the sentence is a question: the plan follows, and nothing is saved until it is kept.
 */
class DayState {
  day = $state('')
  plan = $state.raw<Plan>()
  failure = $state<Failure>()
  isPlanning = $state(false)
  /** Pick-ups that are asked about; empty while the plan is that of the orders. */
  moves = $state<Move[]>([])
  /** What else is asked about. */
  change = $state<Change>({})
  /** A better plan that is ready while somebody is at work on the one on screen. */
  better = $state.raw<Plan>()
  /** Whether the plan begins now, as if nothing were done yet, instead of when it should have. */
  isFromNow = $state(false)
  private pickUps: string[] = []
  /** The moves that the plan on screen answers; those asked about may be ahead of it. */
  private answered: Move[] = []
  private going: AbortController | undefined
  /** Whether the settled plan is being waited for. */
  isSettling = $state(false)
  private settling: AbortController | undefined
  /** About how much of the settled plan's work is done. */
  percent = $state<number>()
  private readonly sent = new SentKey()
  private placedAt = 0
  private touchedAt = 0

  constructor() {
    live.on((change) => {
      if (live.concerns(change, ['orders', 'bakery', 'recipes', 'ingredients', 'stock'], this.day)) void this.refresh()
    })
    const touched = () => (this.touchedAt = performance.now())
    for (const kind of ['pointerdown', 'keydown', 'wheel'])
      addEventListener(kind, touched, { capture: true, passive: true })
  }

  /** Whether anything is asked about. */
  get isAsking(): boolean {
    return this.moves.length > 0 || Object.keys(this.change).length > 0
  }

  /** Shows a day; an empty one means the next with orders. */
  async show(day: string | undefined) {
    if (!bakery.current) await bakery.load()
    const wanted = day || bakery.current?.nextDay || ''
    if (wanted !== this.day) {
      this.moves = []
      this.change = {}
      this.isFromNow = false
    }
    this.day = wanted
    if (this.plan && this.plan.day !== this.day) this.plan = undefined
    await this.refresh()
  }

  /** Asks for the plan as it follows from the orders now, and from what is asked about. An earlier question is let go of. */
  async refresh(): Promise<void> {
    this.going?.abort()
    this.settling?.abort()
    if (!this.day || !bakery.current?.isSetUp) return
    const mine = new AbortController()
    this.going = mine
    this.isPlanning = true
    this.isSettling = false
    this.better = undefined
    const moves = [...this.moves]
    const isAsking = this.isAsking
    const { data, failure } = isAsking ? await this.whatIf(mine.signal) : await this.plans('atOnce', mine.signal)
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
    this.place(data, moves)
    if (!data.isSettled && !isAsking) await this.settle(data)
  }

  /** Waits for the settled plan, and puts it in the place of the first one, or offers it. */
  private async settle(first: Plan) {
    const mine = new AbortController()
    this.settling = mine
    this.isSettling = true
    void this.watch(mine)
    const { data } = await this.plans('settled', mine.signal)
    if (this.settling !== mine || this.plan !== first) return
    this.isSettling = false
    if (!data) return
    if (this.touchedAt < this.placedAt) this.place(data, [])
    else this.better = data
  }

  /** Says how far the settled plan is, as long as it is waited for. */
  private async watch(mine: AbortController) {
    this.percent = undefined
    while (this.settling === mine && this.isSettling && !mine.signal.aborted) {
      await new Promise((done) => setTimeout(done, 700))
      if (this.settling !== mine || !this.isSettling) return
      const { data } = await ask(
        api.GET('/api/plan/{day}/progress', { params: { path: { day: this.day } }, signal: mine.signal }),
      )
      if (this.settling === mine) this.percent = data?.percent ?? undefined
    }
  }

  /** Shows the better plan that was offered. */
  showBetter() {
    if (this.better) this.place(this.better, [])
    this.better = undefined
  }

  /** Leaves the plan as it is shown; nothing better is waited for. */
  stopSettling() {
    this.settling?.abort()
    this.settling = undefined
    this.isSettling = false
  }

  private plans(given: string, signal: AbortSignal) {
    return ask(
      api.GET('/api/plan/{day}', { params: { path: { day: this.day }, query: { from: this.from, given } }, signal }),
    )
  }

  private whatIf(signal: AbortSignal) {
    const body = { moves: this.moves, fromNow: this.isFromNow, ...this.change }
    return ask(api.POST('/api/plan/{day}/what-if', { params: { path: { day: this.day } }, body, signal }))
  }

  private place(plan: Plan, moves: Move[]) {
    this.plan = plan
    this.placedAt = performance.now()
    this.answered = moves
    if (moves.length === 0) this.pickUps = plan.waves.map((wave) => wave.pickUp.clock)
  }

  /** What a question about the plan on screen says of it: when it begins, and what time it was given. */
  get query(): { from: string | undefined; given: string | undefined } {
    return { from: this.from, given: this.plan?.given }
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

  /** What if something else of the day were different? What was asked before stays asked. */
  async tryOut(change: Change) {
    this.change = { ...this.change, ...change }
    await this.refresh()
  }

  /** Makes one change to the day, without asking first; what was asked about is let go of. */
  async take(change: Change, moves: Move[]): Promise<boolean> {
    this.moves = moves
    this.change = change
    const isTaken = await this.keep()
    if (!isTaken) {
      this.moves = []
      this.change = {}
    }
    return isTaken
  }

  /** Leaves the day as it is. */
  async leave() {
    this.moves = []
    this.change = {}
    await this.refresh()
  }

  /** Makes the day as it was asked about, all of it or nothing. Answers whether all went well. */
  async keep(): Promise<boolean> {
    const body = { moves: this.moves, fromNow: false, ...this.change }
    const { failure } = await ask(
      api.POST('/api/plan/{day}/take', {
        params: { path: { day: this.day }, header: { 'Idempotency-Key': this.sent.of(body) } },
        body,
      }),
    )
    this.failure = failure
    if (failure) return false
    this.sent.taken()
    this.moves = []
    this.change = {}
    live.saved('orders', this.day)
    await this.refresh()
    return true
  }
}

export const today = new DayState()
