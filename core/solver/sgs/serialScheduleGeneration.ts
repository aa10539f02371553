import { isOver, NEVER, type MActivity, type MMode, type Model } from '../model/model'
import type { Encoding } from './encoding'
import { placeFacts } from './factPlacement'
import { PartialSchedule } from './partialSchedule'
import { Placement } from './placement'
import { UnderWay } from './underWay'
import { PARAMS } from '../params'

const { PATIENCE } = PARAMS.serialScheduleGeneration
const { MIDDLE } = PARAMS.sizes

/**
 * Serial schedule generation for minimum and maximum lags: activities are taken by priority
 * and put at their earliest feasible start; where a maximum lag can then no longer be met, the
 * activity that set it is taken back and tried later (the unscheduling step of Franck,
 * Neumann and Schwindt, 2001).
 */
export class SerialSchedule extends PartialSchedule {
  /** Some way heats by two of its needs, which may turn out to be one oven: looked at in the end. */
  private readonly heatsTwice: boolean
  private readonly placement: Placement
  private readonly underWay: UnderWay
  /** Holds that begin with each activity. */
  private readonly opening: number[][]
  /** Whether it has been too late for what it follows. */
  private readonly missed: Uint8Array
  private patience = 0
  /** What came too late last, -1 for nothing: where a schedule did not come out, what that foundered on. */
  late = -1
  private readonly stack: { activity: number; mark: number; windows: number }[] = []

  constructor(model: Model) {
    super(model)
    this.heatsTwice = model.activities.some((a) =>
      a.modes.some((m) => new Set(m.phases.flatMap((p) => p.heat?.need ?? [])).size > 1),
    )
    this.opening = model.activities.map((a) =>
      model.holds.flatMap((h) => (h.from === a.index ? [h.index] : [])),
    )
    this.missed = new Uint8Array(model.activities.length)
    this.placement = new Placement(this)
    this.underWay = new UnderWay(this)
  }

  /**
   * Builds the schedule that the encoding describes; false where it does not come out, or where something
   * has to be taken back after so many attempts to place something.
   */
  decode(encoding: Encoding, attempts = Infinity): boolean {
    const { eligible, model } = this
    const limit = this.work + attempts
    this.minEnd.fill(0)
    this.underWay.begin()
    this.late = -1
    if (!this.begin(encoding)) return this.otherTurn()
    let rollbacks = 2 * model.activities.length + 40
    this.patience = model.activities.length > MIDDLE ? 0 : PATIENCE
    for (;;) {
      const next = eligible.pick(encoding)
      if (next === -1) {
        this.settleEnds()
        return !this.heatsTwice || this.ovens.every((oven) => !oven || oven.consistent())
      }
      if (next === -2) return false
      if (this.tryPlace(model.activities[next]!, encoding)) continue
      if (this.placement.never) {
        eligible.blocked[next] = 1
        if (this.windows.hi[2 * next]! < NEVER) eligible.wantRelease(next, this.heldBy)
        continue
      }
      if (rollbacks-- === 0 || this.work > limit) return false
      if (!this.makeWay(next)) return false
    }
  }

  /** Takes back what has something come too late, to be tried otherwise; false: there is no way. */
  private makeWay(next: number): boolean {
    const { eligible, model } = this
    const { culprit, lateBy } = this.placement
    this.late = next
    const placed = culprit >= 0 && eligible.placed[culprit] === 1
    if (placed && this.lastLonger(culprit)) {
      if (model.activities[culprit]!.fact) return this.begin(this.encoding)
      this.takeBack(culprit)
      return true
    }
    if (!placed || model.activities[culprit]!.fact)
      return model.facts !== undefined && this.goOn(next, culprit)
    const later = this.start[culprit]! + Math.max(1, lateBy)
    if (this.missed[next]! > 0 || this.patience === 0) {
      eligible.urgent[next] = 1
      // Placed at once after what it follows, before anything else takes the time it needs.
      eligible.wantAlone(next)
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
    if (way === 'anew') return this.begin(this.encoding)
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
  begin(encoding: Encoding): boolean {
    this.stack.length = 0
    this.missed.fill(0)
    return this.clear(encoding) && (!this.model.facts || placeFacts(this, this.placement))
  }

  private tryPlace(activity: MActivity, encoding: Encoding): boolean {
    const wanted = encoding.mode[activity.index]!
    if (wanted >= 0 || activity.modes.length === 1)
      return this.put(activity, activity.modes[Math.max(0, wanted)]!)
    let best: MMode | undefined
    let bestEnd = NEVER
    for (const mode of activity.modes) {
      const mark = this.undoLog.mark()
      const windows = this.windows.mark()
      if (this.put(activity, mode)) {
        if (this.end[activity.index]! < bestEnd) {
          bestEnd = this.end[activity.index]!
          best = mode
        }
        this.takeOff(activity.index, mark, windows)
        this.stack.pop()
      }
    }
    return best !== undefined && this.put(activity, best)
  }

  private put(activity: MActivity, mode: MMode): boolean {
    const i = activity.index
    const mark = this.undoLog.mark()
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
    this.stack.push({ activity: i, mark, windows })
    // A hold that ends here may free what others are waiting for.
    this.eligible.blocked.fill(0)
    return true
  }

  private takeOff(i: number, mark: number, windows: number): void {
    this.undoLog.undo(mark)
    this.windows.undo(windows)
    for (const h of this.opening[i]!) this.heldBy[h] = -1
    this.eligible.takeOff(i)
  }

  private takeBack(activity: number): void {
    for (;;) {
      const top = this.stack.pop()!
      this.takeOff(top.activity, top.mark, top.windows)
      if (top.activity === activity) return
    }
  }
}
