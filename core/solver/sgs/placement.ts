import { WISHES } from './encoding'
import { NEVER, type MActivity, type MHold, type MMode } from '../model/model'
import { PhaseTiming, TAKEN } from './phaseTiming'
import type { PartialSchedule } from './partialSchedule'
import { FINISHED, StationChoice, type Pick } from './stationChoice'
import { PARAMS } from '../params'

const DONE = -1
const LATE = -2
const { TRIES, PROBES } = PARAMS.placement
const NONE: [MHold, Pick][] = []

/** Finds the earliest start of one activity in a schedule and writes it there. */
export class Placement {
  /** After a failure: no start will do until a hold ends. */
  never = false
  /** After a failure: who set the latest instant that cannot be met, and by how much. */
  culprit = -1
  lateBy = 0
  /** Whether it is the end of what set it that did. */
  byEnd = false
  private readonly opening: MHold[][]
  private readonly closing: MHold[][]
  /** How far the last start tried was from meeting the lags around it. */
  private clashBy = NEVER

  private readonly stations: StationChoice
  private readonly runs: PhaseTiming

  constructor(private readonly schedule: PartialSchedule) {
    this.stations = new StationChoice(schedule)
    this.runs = new PhaseTiming(schedule)
    const { activities, holds } = schedule.model
    this.opening = activities.map((a) => holds.filter((h) => h.from === a.index))
    this.closing = activities.map((a) => holds.filter((h) => h.to === a.index))
  }

  place(activity: MActivity, mode: MMode, earliest: number): boolean {
    const { windows } = this.schedule
    const node = 2 * activity.index
    this.never = false
    this.culprit = -1
    let s = Math.max(windows.lo[node]!, earliest)
    this.clashBy = NEVER
    for (let tries = 0; tries < TRIES; tries++) {
      if (s >= NEVER) break
      if (s > windows.hi[node]!) {
        this.blame(windows.why[node]!)
        this.lateBy = this.probe(activity, mode, s) - windows.hi[node]!
        return false
      }
      this.schedule.work++
      const result = this.attempt(activity, mode, s)
      if (result === DONE) return true
      if (result === LATE) return false
      s = Math.max(s + 1, result)
    }
    this.never = true
    return false
  }

  /**
   * From when on stations, cooks and ovens would have the activity, its latest start aside: so
   * far must whoever set that move at once, rather than event by event.
   */
  private probe(activity: MActivity, mode: MMode, s: number): number {
    const { culprit } = this
    this.runs.probing = true
    for (let tries = 0; tries < PROBES; tries++) {
      this.schedule.work++
      const result = this.attempt(activity, mode, s)
      if (result < 0 || result >= NEVER) break
      s = Math.max(s + 1, result)
    }
    this.runs.probing = false
    this.culprit = culprit
    return s
  }

  private attempt(activity: MActivity, mode: MMode, s: number): number {
    const { undoLog, windows } = this.schedule
    const mark = undoLog.mark()
    const windowsMark = windows.mark()
    const result = this.build(activity, mode, s)
    if (result !== DONE || this.runs.probing) {
      undoLog.undo(mark)
      windows.undo(windowsMark)
    }
    return result
  }

  private build(activity: MActivity, mode: MMode, s: number): number {
    const { schedule } = this
    const { windows } = schedule
    const { picks } = this.runs
    const i = activity.index
    this.stations.otherOven = NEVER
    const { seat } = schedule.encoding
    for (let k = 0; k < mode.needs.length; k++) {
      const wish = k < WISHES ? seat[WISHES * i + k]! : -1
      const need = mode.needs[k]!
      const end = s + mode.min
      const pick =
        mode.heats && need.stations.length > 1 && mode.phases.some((p) => p.heat?.need === k)
          ? this.stations.takeOven(mode, k, s, wish)
          : this.stations.take(need, s, end, end, wish)
      if (!pick) return this.stations.again
      picks[k] = pick
    }
    const opened: [MHold, Pick][] = this.opening[i]!.length ? [] : NONE
    for (const hold of this.opening[i]!) {
      if (hold.to >= 0 && !schedule.present[hold.to]) continue
      const pick = this.stations.takeHold(hold, s, mode.min)
      if (!pick) return this.stations.again
      opened.push([hold, pick])
    }
    const phases = this.runs.takePhases(activity, mode, s)
    // Another oven may have room before this one has the heat.
    if (phases !== TAKEN) return Math.min(phases, this.stations.otherOven)
    const end = this.runs.run[mode.phases.length - 1]!.to
    if (this.runs.probing) return DONE
    if (end > windows.hi[2 * i + 1]!) {
      this.blame(windows.why[2 * i + 1]!)
      this.lateBy = end - windows.hi[2 * i + 1]!
      return LATE
    }
    for (let k = 0; k < mode.needs.length; k++) {
      const pick = picks[k]!
      if (end > pick.until) return pick.until
      const again = this.stations.finish(pick.station, pick.occupation, end)
      if (again !== FINISHED) return again
    }
    for (const [hold, pick] of opened) {
      if (hold.to === i && end > pick.until) return pick.until
      schedule.heldBy[hold.index] = pick.station.station.index
      schedule.heldAs[hold.index] = pick.occupation
    }
    for (const hold of this.closing[i]!) {
      const station = schedule.heldBy[hold.index]!
      if (station < 0 || !schedule.present[hold.from] || !this.opened(hold, i)) continue
      const again = this.stations.finish(
        schedule.stations[station]!,
        schedule.heldAs[hold.index]!,
        end,
      )
      if (again !== FINISHED) return again
    }
    if (!this.fix(activity, mode, s, end)) return this.afterClash(i, s)
    for (const [hold, pick] of opened)
      if (hold.to >= 0 && hold.to !== i && pick.until < NEVER)
        if (!windows.limit(2 * hold.to + 1, pick.until, i)) return pick.until
    this.write(activity, mode, s, end)
    return DONE
  }

  /**
   * Whether it may end whenever something can follow: it only waits then, and nothing is in use.
   * Otherwise whatever follows at once would go before all that is more pressing.
   */
  endsOpen(activity: number, mode: MMode): boolean {
    const last = mode.phases[mode.phases.length - 1]
    if (!last || last.hands || last.watch || last.heat) return false
    return last.max > last.min && !mode.needs.length && !this.closing[activity]!.length
  }

  private fix(activity: MActivity, mode: MMode, start: number, end: number): boolean {
    const { windows } = this.schedule
    if (!this.endsOpen(activity.index, mode)) return windows.fix(activity.index, start, end)
    const last = mode.phases.length - 1
    const most = Math.min(NEVER, this.runs.run[last]!.from + mode.phases[last]!.max)
    return windows.fixStart(activity.index, start, end, most)
  }

  /** Takes for an activity under way what it has in use now, until `carryOn` says how long. */
  takeUp(activity: MActivity): { picks: Pick[]; from: number; to: number } {
    const { schedule } = this
    const fact = activity.fact!
    const k = fact.phases.length - 1
    const mode = activity.modes[0]!
    const phase = mode.phases[k]!
    this.runs.picks = mode.needs.map((need) => {
      const station = schedule.stations[need.stations[0]!]!
      const occupation = station.occupy(fact.start, NEVER, need.amount, need.contents)
      return { station, occupation, until: NEVER }
    })
    const { from } = fact.phases[k]!
    const to = from + phase.min
    const cook = phase.cooks[0] ?? -1
    // Hands that were in two places at once: the later place counts from when the other was left.
    const past = cook < 0 ? [] : (schedule.model.facts?.touches[cook] ?? [])
    const free = past.reduce((most, t) => Math.max(most, t.to), from)
    this.runs.take(activity, phase, Math.min(to, free), to, cook)
    return { picks: this.runs.picks, from, to }
  }

  /** The rest of an activity under way, as early as it goes; false where it cannot follow. */
  carryOn(activity: MActivity, use: ReturnType<Placement['takeUp']>): boolean {
    const { schedule } = this
    const { run } = this.runs
    const i = activity.index
    const fact = activity.fact!
    const mode = activity.modes[0]!
    const k = fact.phases.length - 1
    this.runs.picks = [...use.picks]
    fact.phases.forEach((p, j) => {
      const cook =
        p.cook === undefined ? -1 : schedule.model.problem.cooks.findIndex((c) => c.id === p.cook)
      run[j] = { from: p.from, to: p.to ?? use.to, cook }
    })
    const last = mode.phases.length - 1
    const floor = schedule.windows.lo[2 * i + 1]!
    // What is under way goes on for as long as the phases behind it cannot fill.
    const rest = mode.phases.slice(k + 1).reduce((sum, p) => Math.min(NEVER, sum + p.max), 0)
    if (k < last && run[k]!.to < floor - rest) {
      const most = run[k]!.from + mode.phases[k]!.max
      if (floor - rest > most || !this.runs.runOn(activity, mode.phases[k]!, run[k]!, floor - rest))
        return false
    }
    if (this.runs.takePhases(activity, mode, fact.start, k + 1) !== TAKEN) return false
    if (run[last]!.to < floor) {
      // Something that it may not end before is not over yet.
      const most = run[last]!.from + mode.phases[last]!.max
      if (floor > most || !this.runs.runOn(activity, mode.phases[last]!, run[last]!, floor))
        return false
    }
    const end = run[last]!.to
    for (const pick of use.picks)
      if (this.stations.finish(pick.station, pick.occupation, end) !== FINISHED) return false
    for (const hold of this.closing[i]!)
      if (schedule.heldAs[hold.index] && schedule.heldBy[hold.index]! >= 0)
        schedule.undoLog.setEnd(schedule.heldAs[hold.index]!, end)
    if (!this.fix(activity, mode, fact.start, end)) return false
    this.write(activity, mode, fact.start, end)
    return true
  }

  /** Whether the hold was opened, by an activity placed before or by this very one. */
  private opened(hold: MHold, i: number): boolean {
    return hold.from === i || this.schedule.isPlaced(hold.from)
  }

  private afterClash(i: number, s: number): number {
    const { windows } = this.schedule
    const node = windows.why[windows.failed]!
    const why = node >> 1
    if (why === i && windows.failedBy < this.clashBy) {
      this.clashBy = windows.failedBy
      return s + windows.failedBy
    }
    // Going later did not help: the lags around this activity cannot be met as things stand.
    if (why === i) return this.giveUp()
    this.blame(node)
    this.lateBy = windows.failedBy
    return LATE
  }

  private blame(node: number): void {
    this.culprit = node >> 1
    this.byEnd = node >= 0 && (node & 1) === 1
  }

  private giveUp(): number {
    this.culprit = -1
    return LATE
  }

  private write(activity: MActivity, mode: MMode, s: number, end: number): void {
    const { schedule } = this
    const i = activity.index
    schedule.start[i] = s
    schedule.end[i] = end
    schedule.mode[i] = activity.modes.indexOf(mode)
    // Written over what stood there: one array for each attempt would be far too many.
    const { run, picks } = this.runs
    const phases = schedule.phases[i]!
    if (phases.length !== mode.phases.length)
      schedule.phases[i] = mode.phases.map((_, k) => ({ ...run[k]! }))
    else
      for (let k = 0; k < phases.length; k++) {
        phases[k]!.from = run[k]!.from
        phases[k]!.to = run[k]!.to
        phases[k]!.cook = run[k]!.cook
      }
    const served = schedule.served[i]!
    if (served.length !== mode.needs.length)
      schedule.served[i] = mode.needs.map((_, k) => picks[k]!.station.station.index)
    else for (let k = 0; k < served.length; k++) served[k] = picks[k]!.station.station.index
  }
}
