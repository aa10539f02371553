import { markPresent, type Model } from '../model/model'
import { TimeWindows } from '../model/timeWindows'
import { UndoLog } from '../structures/undoLog'
import { CookTime } from './cookTime'
import { EligibleSet } from './eligibleSet'
import { emptyEncoding, type Encoding } from './encoding'
import { OvenTime } from './ovenTime'
import { StationTime, type Occupation } from './stationTime'

export interface PlacedPhase {
  from: number
  to: number
  cook: number
}

/**
 * A schedule while it is put together: what has been placed and where, what cooks, stations and ovens are
 * taken for, and the time windows of all else. Every change is in the undo log.
 */
export class PartialSchedule {
  readonly undoLog = new UndoLog()
  readonly windows: TimeWindows
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
  encoding: Encoding
  /** Attempts to place an activity, over all decodes: a machine-independent measure of work. */
  work = 0
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
  readonly eligible: EligibleSet
  /** Earliest instants with nothing placed, per set of options; null: they contradict. */
  private readonly openWindows = new Map<string, Int32Array | null>()

  constructor(readonly model: Model) {
    const n = model.activities.length
    const { facts } = model
    this.encoding = emptyEncoding(model)
    this.windows = new TimeWindows(model)
    this.cooks = model.cooks.map((c, i) => new CookTime(model, c, this.undoLog, facts?.touches[i]))
    this.stations = model.stations.map(
      (s, i) =>
        new StationTime(
          s,
          this.undoLog,
          facts && { uses: facts.uses[i]!, chores: facts.chores[i]! },
        ),
    )
    this.ovens = model.stations.map((s, i) =>
      s.oven ? new OvenTime(s, model.problem.stations[i]!.oven!, this.undoLog) : undefined,
    )
    this.present = new Uint8Array(n)
    this.start = new Int32Array(n)
    this.end = new Int32Array(n)
    this.mode = new Int32Array(n)
    this.phases = model.activities.map(() => [])
    this.served = model.activities.map(() => [])
    this.heldBy = new Int32Array(model.holds.length).fill(-1)
    this.heldAs = model.holds.map(() => undefined)
    this.eligible = new EligibleSet(model, this.present, this.windows)
    this.minStart = new Int32Array(n)
    this.putOffFor = new Int32Array(n)
    this.putOffTo = new Int32Array(n)
    this.minEnd = new Int32Array(n)
  }

  isPlaced(activity: number): boolean {
    return this.eligible.placed[activity] === 1
  }

  /** Nothing placed, with the options of an encoding; false where its floors contradict the time lags. */
  clear(encoding: Encoding): boolean {
    this.encoding = encoding
    this.undoLog.undo(0)
    this.options = Array.from(encoding.option)
    markPresent(this.model, encoding.option, this.present)
    this.minStart.fill(0)
    this.putOffFor.fill(-1)
    this.heldBy.fill(-1)
    if (!this.resetWindows() || !this.windows.raise(encoding.floor)) return false
    this.eligible.begin()
    return true
  }

  /** Marks an activity as placed: what is not on the stack as well can never be taken back. */
  markPlaced(i: number): void {
    this.eligible.place(i)
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
}
