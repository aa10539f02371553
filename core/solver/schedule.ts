import { Agenda } from './agenda'
import { CookTime } from './cookTime'
import { emptyGenes, type Genes } from './genes'
import { Journal } from './journal'
import { isOver, markPresent, NEVER, type MActivity, type MMode, type Model } from './model'
import { OvenTime } from './ovenTime'
import { Placement } from './placement'
import { placeFacts } from './placeFacts'
import { StationTime, type Occupation } from './stationTime'
import { UnderWay } from './underWay'
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
  /** Some way heats by two of its needs, which may turn out to be one oven: looked at in the end. */
  private readonly heatsTwice: boolean
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
  private readonly underWay: UnderWay
  /** Holds that begin with each activity. */
  private readonly opening: number[][]
  /** Whether it has been too late for what it follows. */
  private readonly missed: Uint8Array
  /** What is under way, or only waits, goes on at least until then, so that what must follow can. */
  readonly minEnd: Int32Array
  /** How often what is under way was tried in another order: who sees to what first decides much. */
  factTurn = 0
  /** Not before this; moved on wherever something could not follow in time. */
  readonly minStart: Int32Array
  /** What was too late when an activity was put off, -1 for none. */
  readonly putOffFor: Int32Array
  /** When it had to end then. */
  readonly putOffTo: Int32Array
  private patience = 0
  /** What came too late last, -1 for nothing: where a schedule did not come out, what that foundered on. */
  late = -1
  readonly agenda: Agenda
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
    this.heatsTwice = model.activities.some((a) =>
      a.modes.some((m) => new Set(m.phases.flatMap((p) => p.heat?.need ?? [])).size > 1),
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
    this.agenda = new Agenda(model, this.present, this.windows)
    this.opening = model.activities.map((a) =>
      model.holds.flatMap((h) => (h.from === a.index ? [h.index] : [])),
    )
    this.missed = new Uint8Array(n)
    this.minStart = new Int32Array(n)
    this.putOffFor = new Int32Array(n)
    this.putOffTo = new Int32Array(n)
    this.minEnd = new Int32Array(n)
    this.placement = new Placement(this)
    this.underWay = new UnderWay(this)
  }

  isPlaced(activity: number): boolean {
    return this.agenda.placed[activity] === 1
  }

  /**
   * Builds the schedule that the genes describe; false where it does not come out, or where something
   * has to be taken back after so many attempts to place something.
   */
  decode(genes: Genes, attempts = Infinity): boolean {
    const { agenda, model } = this
    const limit = this.work + attempts
    this.minEnd.fill(0)
    this.underWay.begin()
    this.late = -1
    if (!this.begin(genes)) return this.otherTurn()
    let rollbacks = 2 * model.activities.length + 40
    this.patience = model.activities.length > MIDDLE ? 0 : PATIENCE
    for (;;) {
      const next = agenda.pick(genes)
      if (next === -1) {
        this.settleEnds()
        return !this.heatsTwice || this.ovens.every((oven) => !oven || oven.consistent())
      }
      if (next === -2) return false
      if (this.tryPlace(model.activities[next]!, genes)) continue
      if (this.placement.never) {
        agenda.blocked[next] = 1
        if (this.windows.hi[2 * next]! < NEVER) agenda.wantRelease(next, this.heldBy)
        continue
      }
      if (rollbacks-- === 0 || this.work > limit) return false
      if (!this.makeWay(next)) return false
    }
  }

  /** Takes back what has something come too late, to be tried otherwise; false: there is no way. */
  private makeWay(next: number): boolean {
    const { agenda, model } = this
    const { culprit, lateBy } = this.placement
    this.late = next
    const placed = culprit >= 0 && agenda.placed[culprit] === 1
    if (placed && this.lastLonger(culprit)) {
      if (model.activities[culprit]!.fact) return this.begin(this.genes)
      this.takeBack(culprit)
      return true
    }
    if (!placed || model.activities[culprit]!.fact)
      return model.facts !== undefined && this.goOn(next, culprit)
    const later = this.start[culprit]! + Math.max(1, lateBy)
    if (this.missed[next]! > 0 || this.patience === 0) {
      agenda.urgent[next] = 1
      // Placed at once after what it follows, before anything else takes the time it needs.
      agenda.wantAlone(next)
    } else {
      this.missed[next] = 1
      this.patience--
    }
    this.takeBack(culprit)
    this.minStart[culprit] = later
    this.putOffFor[culprit] = next
    this.putOffTo[culprit] = this.end[culprit]! + Math.max(1, lateBy)
    return true
  }

  /** Something has come too late, and what set its limit has begun; false: there is no way as things stand. */
  private goOn(next: number, culprit: number): boolean {
    const { stack } = this
    const way = this.underWay.wayOn(next, culprit, this.placement.lateBy, stack.length)
    if (way === 'anew') return this.begin(this.genes)
    if (way === 'otherwise') return this.otherTurn()
    if (stack.length) this.takeBack(stack[0]!.activity)
    return true
  }

  /** The next time what is under way is seen to in another order. */
  private otherTurn(): false {
    if (this.model.facts) this.factTurn++
    return false
  }

  /**
   * Whether what comes too late after the end of something that mostly waits can have it wait for
   * longer: then that begins no later, and nor does what leads to it.
   */
  private lastLonger(culprit: number): boolean {
    const { placement } = this
    const activity = this.model.activities[culprit]!
    if (!placement.byEnd || isOver(activity)) return false
    const { phases } = activity.modes[this.mode[culprit]!]!
    const k = phases.length - 1
    const to = this.end[culprit]! + Math.max(1, placement.lateBy)
    if (phases[k]!.hands || to - this.phases[culprit]![k]!.from > phases[k]!.max) return false
    this.minEnd[culprit] = to
    return true
  }

  /** What ends whenever something can follow ends as early as it may, now that all is placed. */
  private settleEnds(): void {
    for (const activity of this.model.activities) {
      const i = activity.index
      if (!this.present[i] || isOver(activity)) continue
      const mode = activity.modes[this.mode[i]!]!
      if (!this.placement.endsOpen(i, mode)) continue
      this.end[i] = this.windows.lo[2 * i + 1]!
      this.phases[i]![mode.phases.length - 1]!.to = this.end[i]!
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
    this.missed.fill(0)
    this.minStart.fill(0)
    this.putOffFor.fill(-1)
    this.heldBy.fill(-1)
    if (!this.resetWindows() || !this.windows.raise(genes.floor)) return false
    this.agenda.begin()
    return !model.facts || placeFacts(this, this.placement)
  }

  /** Marks an activity as placed: what is not on the stack as well can never be taken back. */
  markPlaced(i: number): void {
    this.agenda.place(i)
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
    const end = this.windows.lo[2 * i + 1]!
    if (this.minEnd[i]! > end && !this.windows.atLeast(2 * i + 1, this.minEnd[i]!)) {
      // It has come to begin too late to last that long.
      this.windows.undo(windows)
      this.minEnd[i] = 0
    }
    if (!this.placement.place(activity, mode, this.minStart[i]!)) {
      this.windows.undo(windows)
      return false
    }
    this.markPlaced(i)
    this.stack.push({ activity: i, journal, windows })
    // A hold that ends here may free what others are waiting for.
    this.agenda.blocked.fill(0)
    return true
  }

  private takeOff(i: number, journal: number, windows: number): void {
    this.journal.undo(journal)
    this.windows.undo(windows)
    for (const h of this.opening[i]!) this.heldBy[h] = -1
    this.agenda.takeOff(i)
  }

  private takeBack(activity: number): void {
    for (;;) {
      const top = this.stack.pop()!
      this.takeOff(top.activity, top.journal, top.windows)
      if (top.activity === activity) return
    }
  }
}
