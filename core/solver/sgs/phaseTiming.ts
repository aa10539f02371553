import { BRIEF } from '../../plan'
import { CookChoice } from './cookChoice'
import { WISHES } from './encoding'
import { NEVER, type MActivity, type MMode, type MPhase } from '../model/model'
import type { PlacedPhase, PartialSchedule } from './partialSchedule'
import type { Pick } from './stationChoice'

/** What `takePhases` answers where they are taken; otherwise when to try again. */
export const TAKEN = -1

/** Finds who does each phase of an activity, and when, and has hands, attention and heat taken. */
export class PhaseTiming {
  /** The phases of the activity that is being placed, as far as they are taken. */
  readonly run: PlacedPhase[] = []
  /** What serves each need of it. */
  picks: Pick[] = []
  /** Whether its latest start does not count. */
  probing = false
  private readonly marks: number[] = []
  private readonly floors: number[] = []
  private cook = -1
  private readonly choice: CookChoice

  constructor(private readonly schedule: PartialSchedule) {
    this.choice = new CookChoice(schedule.model, schedule.cooks)
  }

  /** Takes the phases from `first` on; those before it stand in `run` already, as facts. */
  takePhases(activity: MActivity, mode: MMode, s: number, first = 0): number {
    const { phases } = mode
    const { marks, run, floors, schedule } = this
    const { windows, undoLog } = schedule
    let floor = windows.lo[2 * activity.index + 1]!
    for (let k = phases.length - 1; k >= 0; k--) {
      floors[k] = floor
      floor -= phases[k]!.max
    }
    if (first === 0 && floor > s) return floor
    let t = first > 0 ? run[first - 1]!.to : s
    for (let k = first; k < phases.length; k++) {
      const phase = phases[k]!
      const seconds = Math.max(phase.min, floors[k]! - t)
      if (seconds > phase.max) return s + seconds - phase.max
      const previous = k > 0 ? phases[k - 1]! : undefined
      const latest = previous ? Math.min(NEVER, run[k - 1]!.from + previous.max) : s
      const wish = k < WISHES ? schedule.encoding.cook[WISHES * activity.index + k]! : -1
      // Whoever has begun a step goes on with it; watching may rather be for somebody else.
      const same = k > 0 && (first > 0 || !phase.watch) ? run[k - 1]!.cook : -1
      const rather = wish >= 0 ? wish : same
      const at = this.slot(activity, phase, t, latest, seconds, rather)
      if (at > latest) return at >= NEVER ? NEVER : s + at - latest
      const cook = this.cook
      if (at > t) {
        if (k === first) {
          if (!this.runOn(activity, previous!, run[k - 1]!, at)) return NEVER
        } else {
          // Waiting hands are wasted: rather begin the whole activity later, if it may.
          if (
            first === 0 &&
            previous!.hands &&
            (this.probing || s + at - t <= windows.hi[2 * activity.index]!)
          )
            return s + at - t
          undoLog.undo(marks[k - 1]!)
          const before = run[k - 1]!
          const longer = at - before.from
          if (
            this.slot(activity, previous!, before.from, before.from, longer, before.cook) !==
            before.from
          )
            return s + at - t
          this.take(activity, previous!, before.from, at, this.cook)
          before.to = at
          before.cook = this.cook
          // Longer hands before may have eaten the pause in which they are washed.
          if (previous!.hands && this.slot(activity, phase, at, at, seconds, cook) !== at)
            return s + at - t
        }
      }
      marks[k] = undoLog.mark()
      const to = at + Math.max(phase.min, floors[k]! - at)
      this.take(activity, phase, at, to, cook)
      const now = run[k]
      if (now) {
        now.from = at
        now.to = to
        now.cook = cook
      } else run[k] = { from: at, to, cook }
      t = to
    }
    return TAKEN
  }

  /** Makes the phase under way last until `at`, with the same cook. */
  runOn(activity: MActivity, phase: MPhase, run: PlacedPhase, at: number): boolean {
    if (this.slot(activity, phase, run.to, run.to, at - run.to, run.cook) !== run.to) return false
    this.take(activity, phase, run.to, at, run.cook)
    run.to = at
    return true
  }

  /** Earliest start of a phase in [t, latest], leaving its cook in `cook`; else a later instant. */
  private slot(
    activity: MActivity,
    phase: MPhase,
    t: number,
    latest: number,
    seconds: number,
    preferred: number,
  ): number {
    const { schedule } = this
    this.cook = -1
    const { heat } = phase
    const { spare, patience, inOrder } = schedule.encoding
    const oven = heat ? schedule.ovens[this.picks[heat.need]!.station.station.index] : undefined
    for (;;) {
      const before = t
      if (heat) t = oven!.slot(t, latest, seconds, heat.lo, heat.hi, heat.method)
      if (t > latest) return t
      if (!phase.hands && !phase.watch) return t
      let best = NEVER
      let least = Infinity
      const waits = phase.hands && phase.cooks.includes(preferred) ? patience : 0
      const long = inOrder && phase.hands && seconds > BRIEF
      for (const c of phase.cooks) {
        // Whoever is to do it may come later than somebody else, by so much.
        const handicap = c === preferred ? waits : 0
        const limit = Math.min(latest, best + handicap)
        const from = long ? Math.max(t, schedule.cooks[c]!.lastHands) : t
        const at = schedule.cooks[c]!.slot(
          from,
          limit,
          seconds,
          phase.attention,
          phase.hands,
          activity.hygiene,
        )
        if (at > best + handicap) continue
        if (waits && c !== preferred && this.cook === preferred && at > best - waits) continue
        const cost = spare || phase.watch ? this.choice.cost(c, phase, at, seconds) : 0
        if (at < best || c === preferred || handicap || (this.cook !== preferred && cost < least)) {
          best = at
          least = cost
          this.cook = c
        }
      }
      t = best
      if (t > latest || !heat || t === before) return t
    }
  }

  take(activity: MActivity, phase: MPhase, from: number, to: number, cook: number): void {
    const { schedule } = this
    if (cook >= 0)
      schedule.cooks[cook]!.take(from, to, phase.attention, phase.hands, activity.hygiene)
    if (phase.heat) {
      const { need, lo, hi, method } = phase.heat
      schedule.ovens[this.picks[need]!.station.station.index]!.take(from, to, lo, hi, method)
    }
  }
}
