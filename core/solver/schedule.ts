import { CookTime } from './cookTime'
import { ancestors, followers } from './followers'
import { emptyGenes, type Genes } from './genes'
import { Journal } from './journal'
import { markPresent, NEVER, type MActivity, type MMode, type Model } from './model'
import { OvenTime } from './ovenTime'
import { Placement } from './placement'
import { placeFacts } from './placeFacts'
import { StationTime, type Occupation } from './stationTime'
import { Windows } from './windows'

/**
 * How often something that comes too late only has what it follows put off. From then on, or when
 * it is late again, it goes before all else, which takes ovens from what should have had them
 * first. (16 sessions of 9 dishes, after 60,000 attempts to place something without learning:
 * 6.4 % above the best known instead of 7.4 %.) Above so many steps nothing is gained by it.
 */
const PATIENCE = 8
const MIDDLE = 80

export interface PlacedPhase {
  from: number
  to: number
  cook: number
}

/**
 * Serial schedule generation for minimum and maximum lags: activities are taken by priority
 * and put at their earliest feasible start; where a maximum lag can then no longer be met, the
 * activity that set it is taken back and tried later (the unscheduling step of Franck,
 * Neumann and Schwindt, 2001).
 */
export class Schedule {
  readonly journal = new Journal()
  readonly windows: Windows
  readonly cooks: CookTime[]
  readonly stations: StationTime[]
  readonly ovens: (OvenTime | undefined)[]
  readonly present: Uint8Array
  readonly start: Int32Array
  readonly end: Int32Array
  readonly mode: Int32Array
  readonly phases: PlacedPhase[][]
  /** Station of each need, per activity. */
  readonly served: number[][]
  readonly heldBy: Int32Array
  readonly heldAs: (Occupation | undefined)[]
  options: number[] = []
  /** What the schedule is being built from. */
  genes: Genes
  /** Attempts to place an activity, over all decodes: a machine-independent measure of work. */
  work = 0
  private readonly placement: Placement
  private readonly follows: number[][]
  /** Holds that begin with each activity. */
  private readonly opening: number[][]
  private readonly waiting: Int32Array
  private readonly blocked: Uint8Array
  private readonly urgent: Uint8Array
  /** Whether it has been too late for what it follows. */
  private readonly missed: Uint8Array
  /** What is under way goes on at least until then, so that what must follow at once can. */
  readonly minEnd: Int32Array
  /** How often what is under way was tried in another order: who sees to what first decides much. */
  factTurn = 0
  /** Not before this; moved on wherever something could not follow in time. */
  readonly minStart: Int32Array
  private readonly placed: Uint8Array
  /** What is present, waits for nothing and is not placed, and where each stands there; -1: nowhere. */
  private readonly ready: Int32Array
  private readonly readyAt: Int32Array
  private readyCount = 0
  /** How many of those present are not placed. */
  private left = 0
  /** For each activity itself and all that must be placed before it. */
  private readonly before: Uint8Array[]
  /** What goes first now: a longest wait was missed, or something that it waits for is in use. */
  private readonly wanted: Uint8Array
  private readonly stack: { activity: number; journal: number; windows: number }[] = []
  /** Earliest instants with nothing placed, per set of options; null: they contradict. */
  private readonly openWindows = new Map<string, Int32Array | null>()

  constructor(readonly model: Model) {
    const n = model.activities.length
    this.genes = emptyGenes(model)
    this.windows = new Windows(model)
    this.cooks = model.cooks.map(
      (c, i) => new CookTime(model, c, this.journal, model.facts?.touches[i]),
    )
    this.stations = model.stations.map(
      (s, i) =>
        new StationTime(
          s,
          this.journal,
          model.facts && { uses: model.facts.uses[i]!, chores: model.facts.chores[i]! },
        ),
    )
    this.ovens = model.stations.map((s, i) =>
      s.oven ? new OvenTime(s, model.problem.stations[i]!.oven!, this.journal) : undefined,
    )
    this.present = new Uint8Array(n)
    this.start = new Int32Array(n)
    this.end = new Int32Array(n)
    this.mode = new Int32Array(n)
    this.phases = model.activities.map(() => [])
    this.served = model.activities.map(() => [])
    this.heldBy = new Int32Array(model.holds.length).fill(-1)
    this.heldAs = model.holds.map(() => undefined)
    this.follows = followers(model)
    this.opening = model.activities.map((a) =>
      model.holds.flatMap((h) => (h.from === a.index ? [h.index] : [])),
    )
    this.waiting = new Int32Array(n)
    this.blocked = new Uint8Array(n)
    this.urgent = new Uint8Array(n)
    this.missed = new Uint8Array(n)
    this.minStart = new Int32Array(n)
    this.minEnd = new Int32Array(n)
    this.placed = new Uint8Array(n)
    this.ready = new Int32Array(n)
    this.readyAt = new Int32Array(n).fill(-1)
    this.wanted = new Uint8Array(n)
    this.before = ancestors(this.follows)
    this.placement = new Placement(this)
  }

  isPlaced(activity: number): boolean {
    return this.placed[activity] === 1
  }

  /**
   * Builds the schedule that the genes describe; false where it does not come out, or where something
   * has to be taken back after so many attempts to place something.
   */
  decode(genes: Genes, attempts = Infinity): boolean {
    const limit = this.work + attempts
    this.minEnd.fill(0)
    if (!this.begin(genes)) {
      if (this.model.facts) this.factTurn++
      return false
    }
    let rollbacks = 2 * this.model.activities.length + 40
    let patience = this.model.activities.length > MIDDLE ? 0 : PATIENCE
    for (;;) {
      const next = this.pick(genes)
      if (next === -1) return true
      if (next === -2) return false
      const activity = this.model.activities[next]!
      if (this.tryPlace(activity, genes)) continue
      if (this.placement.never) {
        this.blocked[next] = 1
        if (this.windows.hi[2 * next]! < NEVER) this.wantRelease(activity)
        continue
      }
      const culprit = this.placement.culprit
      if (rollbacks-- === 0 || this.work > limit) return false
      const fact = culprit < 0 ? undefined : this.model.activities[culprit]!.fact
      if (culprit < 0 || fact || !this.placed[culprit]) {
        if (!this.model.facts) return false
        // What set the limit lies behind: then this goes before all that was placed so far.
        const first = !this.urgent[next] && this.stack.length > 0
        if (fact?.end === null && !first) {
          // It has begun and cannot be moved, but it may go on a little longer.
          this.minEnd[culprit] = this.end[culprit]! + Math.max(1, this.placement.lateBy)
          if (!this.begin(genes)) return false
          continue
        }
        if (!this.stack.length) {
          this.factTurn++
          return false
        }
        this.urgent[next] = 1
        this.want(next)
        this.takeBack(this.stack[0]!.activity)
        continue
      }
      const later = this.start[culprit]! + Math.max(1, this.placement.lateBy)
      if (this.missed[next]! > 0 || patience === 0) {
        this.urgent[next] = 1
        // Placed at once after what it follows, before anything else takes the time it needs.
        if (!this.wanted[next]) {
          this.wanted.fill(0)
          this.want(next)
        }
      } else {
        this.missed[next] = 1
        patience--
      }
      this.takeBack(culprit)
      this.minStart[culprit] = later
    }
  }

  /** An empty schedule but for what has happened; false where that cannot go on. */
  begin(genes: Genes): boolean {
    const { model, present } = this
    this.genes = genes
    this.journal.undo(0)
    this.stack.length = 0
    this.options = Array.from(genes.option)
    markPresent(model, genes.option, present)
    this.placed.fill(0)
    this.wanted.fill(0)
    this.blocked.fill(0)
    this.urgent.fill(0)
    this.missed.fill(0)
    this.minStart.fill(0)
    this.heldBy.fill(-1)
    if (!this.resetWindows() || !this.windows.raise(genes.floor)) return false
    this.waiting.fill(0)
    this.follows.forEach((list, i) => {
      if (present[i]) for (const j of list) if (present[j]) this.waiting[j]!++
    })
    this.readyAt.fill(-1)
    this.readyCount = 0
    this.left = 0
    for (let i = 0; i < present.length; i++) {
      this.left += present[i]!
      this.queueUp(i)
    }
    return !model.facts || placeFacts(this, this.placement)
  }

  /** Whether `after` is placed after `before` where nothing speaks against it. */
  leadsTo(before: number, after: number): boolean {
    return before !== after && this.before[after]![before] === 1
  }

  /** Marks an activity as placed: what is not on the stack as well can never be taken back. */
  markPlaced(i: number): void {
    this.placed[i] = 1
    this.left--
    this.queueUp(i)
    for (const j of this.follows[i]!)
      if (this.present[j]) {
        this.waiting[j]!--
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

  private resetWindows(): boolean {
    const key = this.options.join(',')
    const known = this.openWindows.get(key)
    if (known === null) return false
    if (known) {
      this.windows.restore(this.present, known)
      return true
    }
    const ok = this.windows.reset(this.present, false)
    this.openWindows.set(key, ok ? this.windows.lo.slice() : null)
    return ok
  }

  /** The next activity, -1 when all are placed, -2 when what is left waits for itself. */
  private pick(genes: Genes): number {
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
      const now = hi < NEVER && (urgent[i] === 1 || hi - windows.lo[2 * i]! <= genes.urgency)
      if (bestUrgent && !now) continue
      const key = now ? hi : genes.priority[i]!
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

  /** From now on it and all that leads to it go first. */
  private want(activity: number): void {
    const leads = this.before[activity]!
    for (let i = 0; i < leads.length; i++) if (leads[i]) this.wanted[i] = 1
  }

  /** What it could stand on is kept by others: those who give that back go first. */
  private wantRelease(activity: MActivity): void {
    const { model, heldBy, placed } = this
    for (const hold of model.holds) {
      const station = heldBy[hold.index]!
      if (station < 0 || hold.to < 0 || !placed[hold.from] || placed[hold.to]) continue
      const needs =
        activity.modes.some((m) => m.needs.some((n) => n.stations.includes(station))) ||
        model.holds.some((h) => h.from === activity.index && h.need.stations.includes(station))
      if (needs) this.want(hold.to)
    }
  }

  private tryPlace(activity: MActivity, genes: Genes): boolean {
    const gene = genes.mode[activity.index]!
    if (gene >= 0 || activity.modes.length === 1)
      return this.put(activity, activity.modes[Math.max(0, gene)]!)
    let best: MMode | undefined
    let bestEnd = NEVER
    for (const mode of activity.modes) {
      const journal = this.journal.mark()
      const windows = this.windows.mark()
      if (this.put(activity, mode)) {
        if (this.end[activity.index]! < bestEnd) {
          bestEnd = this.end[activity.index]!
          best = mode
        }
        this.takeOff(activity.index, journal, windows)
        this.stack.pop()
      }
    }
    return best !== undefined && this.put(activity, best)
  }

  private put(activity: MActivity, mode: MMode): boolean {
    const i = activity.index
    const journal = this.journal.mark()
    const windows = this.windows.mark()
    if (!this.placement.place(activity, mode, this.minStart[i]!)) return false
    this.markPlaced(i)
    this.stack.push({ activity: i, journal, windows })
    // A hold that ends here may free what others are waiting for.
    this.blocked.fill(0)
    return true
  }

  private takeOff(i: number, journal: number, windows: number): void {
    this.journal.undo(journal)
    this.windows.undo(windows)
    this.placed[i] = 0
    this.left++
    this.queueUp(i)
    for (const h of this.opening[i]!) this.heldBy[h] = -1
    for (const j of this.follows[i]!)
      if (this.present[j]) {
        this.waiting[j]!++
        this.queueUp(j)
      }
  }

  private takeBack(activity: number): void {
    for (;;) {
      const top = this.stack.pop()!
      this.takeOff(top.activity, top.journal, top.windows)
      if (top.activity === activity) return
    }
  }
}
