import { ancestors, successors } from '../model/precedenceGraph'
import type { Encoding } from './encoding'
import { NEVER, type Model } from '../model/model'
import type { TimeWindows } from '../model/timeWindows'

/** What of a schedule is placed, what is eligible to be, and what goes first. */
export class EligibleSet {
  readonly placed: Uint8Array
  /** Finds no start until a hold ends. */
  readonly blocked: Uint8Array
  /** Goes before what is not, whatever begins latest at the soonest first. */
  readonly urgent: Uint8Array
  /** Goes before all else: a longest wait was missed, or something that it waits for is in use. */
  private readonly wanted: Uint8Array
  /** Of how many others each waits. */
  private readonly waiting: Int32Array
  /** What is present, waits for nothing and is not placed, and where each stands there; -1: nowhere. */
  private readonly ready: Int32Array
  private readonly readyAt: Int32Array
  private readyCount = 0
  /** How many of those present are not placed. */
  private left = 0

  /** For each activity those that are placed after it, and marks on itself and all that goes before it. */
  private readonly follows: number[][]
  private readonly before: Uint8Array[]

  /** @param present what the schedule consists of */
  constructor(
    private readonly model: Model,
    private readonly present: Uint8Array,
    private readonly windows: TimeWindows,
  ) {
    const n = model.activities.length
    this.follows = successors(model)
    this.before = ancestors(this.follows)
    this.placed = new Uint8Array(n)
    this.blocked = new Uint8Array(n)
    this.urgent = new Uint8Array(n)
    this.wanted = new Uint8Array(n)
    this.waiting = new Int32Array(n)
    this.ready = new Int32Array(n)
    this.readyAt = new Int32Array(n).fill(-1)
  }

  /** Nothing is placed, and nothing goes before its turn. */
  begin(): void {
    const { present, waiting } = this
    this.placed.fill(0)
    this.blocked.fill(0)
    this.urgent.fill(0)
    this.wanted.fill(0)
    waiting.fill(0)
    this.follows.forEach((list, i) => {
      if (present[i]) for (const j of list) if (present[j]) waiting[j]!++
    })
    this.readyAt.fill(-1)
    this.readyCount = 0
    this.left = 0
    for (let i = 0; i < present.length; i++) {
      this.left += present[i]!
      this.queueUp(i)
    }
  }

  /** Whether `after` is placed after `before` where nothing speaks against it. */
  leadsTo(before: number, after: number): boolean {
    return before !== after && this.before[after]![before] === 1
  }

  place(i: number): void {
    this.placed[i] = 1
    this.left--
    this.queueUp(i)
    for (const j of this.follows[i]!)
      if (this.present[j]) {
        this.waiting[j]!--
        this.queueUp(j)
      }
  }

  takeOff(i: number): void {
    this.placed[i] = 0
    this.left++
    this.queueUp(i)
    for (const j of this.follows[i]!)
      if (this.present[j]) {
        this.waiting[j]!++
        this.queueUp(j)
      }
  }

  /** Puts an activity among those that are ready, or takes it away, as it stands now. */
  private queueUp(i: number): void {
    const { ready, readyAt } = this
    const at = readyAt[i]!
    const wanted = this.present[i] === 1 && this.placed[i] === 0 && this.waiting[i] === 0
    if (wanted === at >= 0) return
    if (wanted) {
      readyAt[i] = this.readyCount
      ready[this.readyCount++] = i
      return
    }
    const last = ready[--this.readyCount]!
    ready[at] = last
    readyAt[last] = at
    readyAt[i] = -1
  }

  /** The next activity, -1 when all are placed, -2 when what is left waits for itself. */
  pick(encoding: Encoding): number {
    const { ready, readyCount, blocked, windows, urgent, wanted } = this
    let best = -1
    let bestUrgent = false
    let bestKey = Infinity
    let focused = false
    for (let k = 0; k < readyCount; k++) {
      const i = ready[k]!
      if (blocked[i] || (focused && !wanted[i])) continue
      if (wanted[i] && !focused) {
        focused = true
        best = -1
        bestKey = Infinity
        bestUrgent = false
      }
      const hi = windows.hi[2 * i]!
      const now = hi < NEVER && (urgent[i] === 1 || hi - windows.lo[2 * i]! <= encoding.urgency)
      if (bestUrgent && !now) continue
      const key = now ? hi : encoding.priority[i]!
      if (now === bestUrgent && (key > bestKey || (key === bestKey && i > best))) continue
      best = i
      bestKey = key
      bestUrgent = now
    }
    if (best >= 0) return best
    return this.left === 0 ? -1 : this.rescue()
  }

  /** Lags in a circle leave nobody first: the one with the earliest window begins; -2: none may. */
  private rescue(): number {
    const { present, placed, waiting, blocked, windows } = this
    if (blocked.includes(1)) return -2
    let first = -2
    for (let i = 0; i < present.length; i++) {
      if (!present[i] || placed[i] || waiting[i] === 0) continue
      if (first < 0 || windows.lo[2 * i]! < windows.lo[2 * first]!) first = i
    }
    return first
  }

  /** From now on it and all that leads to it go before all else, beside what does so already. */
  want(activity: number): void {
    const leads = this.before[activity]!
    for (let i = 0; i < leads.length; i++) if (leads[i]) this.wanted[i] = 1
  }

  /** From now on only it and all that leads to it go before all else. */
  wantAlone(activity: number): void {
    if (this.wanted[activity]) return
    this.wanted.fill(0)
    this.want(activity)
  }

  /** What it could stand on is kept by others: those who give that back go first. */
  wantRelease(activity: number, heldBy: Int32Array): void {
    const { model, placed } = this
    const { modes } = model.activities[activity]!
    for (const hold of model.holds) {
      const station = heldBy[hold.index]!
      if (station < 0 || hold.to < 0 || !placed[hold.from] || placed[hold.to]) continue
      const needs =
        modes.some((m) => m.needs.some((n) => n.stations.includes(station))) ||
        model.holds.some((h) => h.from === activity && h.need.stations.includes(station))
      if (needs) this.want(hold.to)
    }
  }
}
