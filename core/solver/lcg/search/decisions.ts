import type { Model } from '../../model/model'
import { ALWAYS } from '../engine/literals'
import { negated, type Literal } from '../engine/trail'
import type { SessionModel } from '../model/sessionModel'

/** What a search decides next: what took part in conflicts lately, then whatever begins soonest. */
export class Decisions {
  /** Who, where and how, for each activity and each wash. */
  readonly perActivity: Literal[][]
  readonly washCodes: Literal[][]
  /** What each variable is in the plan to stay near, -1 where it says nothing. */
  values: Int32Array

  constructor(
    private readonly session: SessionModel,
    model: Model,
    /** Whether everything comes as late as it may, rather than as early. */
    public late = false,
  ) {
    this.values = new Int32Array(session.engine.size / 2).fill(-1)
    this.perActivity = session.activities.map((a) => (a ? decisionsOf(a) : []))
    for (const h of session.holds)
      if (h) this.perActivity[model.holds[h.index]!.from]!.push(...codesOf(h.places))
    this.washCodes = session.washes.map((w) => [w.literal, ...codesOf(w.cooks)])
  }

  /** Everything that is decided upon, at once as early (or late) as it goes; false where that fails. */
  finish(): boolean {
    const { engine, activities, washes } = this.session
    const boundLiterals: (readonly [number, number])[] = []
    const settle = (x: number) => {
      if (!engine.isFixed(x)) boundLiterals.push(this.timeOf(x))
    }
    const open = (literals: Literal[]) => literals.some((c) => c >= 0 && !engine.isFixed(c >> 1))
    for (const a of activities) {
      if (!a || (a.literal !== ALWAYS && engine.isTrue(negated(a.literal)))) continue
      if (open(this.perActivity[a.index]!)) return false
      settle(a.start)
      for (const mode of a.modes)
        if (mode.literal === ALWAYS || engine.isTrue(mode.literal))
          for (const phase of mode.phases) settle(phase.to)
    }
    for (let w = 0; w < washes.length; w++) {
      if (open(this.washCodes[w]!)) return false
      if (!engine.isTrue(washes[w]!.literal)) continue
      settle(washes[w]!.start)
      settle(washes[w]!.end)
    }
    return boundLiterals.length > 0 && engine.attempt(boundLiterals)
  }

  /** The next decision; false where everything is settled. */
  next(): boolean {
    const { engine } = this.session
    for (;;) {
      const x = engine.heap.take()
      if (x < 0) break
      if (engine.isFixed(x)) continue
      if (engine.heap.activityOf(x) === 0) {
        engine.heap.offer(x)
        break
      }
      this.decideBool(2 * x)
      return true
    }
    return this.decideNext()
  }

  private decideBool(literal: Literal): void {
    const { engine } = this.session
    const x = literal >> 1
    const known = this.values[x]!
    const truth = known >= 0 ? known === 1 : (literal & 1) === 1
    engine.decide(truth ? 2 * x : 2 * x + 1, truth ? 1 : 0)
  }

  /**
   * Whatever could begin soonest: first who and where, then that it does. Going backward whatever
   * could begin last.
   */
  private decideNext(): boolean {
    const { engine, activities, washes } = this.session
    let best = -1
    let soonest = Infinity
    const rank = (x: number) => (this.late ? -engine.hi(x) : engine.lo(x))
    for (const a of activities) {
      if (!a || (a.literal !== ALWAYS && engine.isTrue(negated(a.literal)))) continue
      const at = rank(a.start)
      if (at < soonest && !this.settled(a.index)) {
        soonest = at
        best = a.index
      }
    }
    for (let w = 0; w < washes.length; w++) {
      const wash = washes[w]!
      if (engine.isTrue(negated(wash.literal)) || rank(wash.start) >= soonest) continue
      const open = this.washCodes[w]!.find((c) => c >= 0 && !engine.isFixed(c >> 1))
      if (open !== undefined) {
        this.decideBool(open)
        return true
      }
      if (this.decideTime(wash.start)) return true
    }
    if (best < 0) return this.finish() || this.decideRest()
    const a = activities[best]!
    for (const literal of this.perActivity[best]!)
      if (literal >= 0 && !engine.isFixed(literal >> 1)) {
        this.decideBool(literal)
        return true
      }
    return this.decideTime(a.start)
  }

  /** What nothing hangs on: which of two options with the same steps, and how long things last. */
  private decideRest(): boolean {
    const { engine, activities, washes, options } = this.session
    for (const literals of options)
      for (const literal of literals)
        if (literal >= 0 && !engine.isFixed(literal >> 1)) {
          this.decideBool(literal)
          return true
        }
    for (const a of activities) {
      if (!a || (a.literal !== ALWAYS && engine.isTrue(negated(a.literal)))) continue
      for (const mode of a.modes)
        if (mode.literal === ALWAYS || engine.isTrue(mode.literal))
          for (const phase of mode.phases) if (this.decideTime(phase.to)) return true
    }
    return washes.some((w) => !engine.isTrue(negated(w.literal)) && this.decideTime(w.end))
  }

  private settled(i: number): boolean {
    const { engine } = this.session
    const a = this.session.activities[i]!
    if (!engine.isFixed(a.start)) return false
    return !this.perActivity[i]!.some((literal) => literal >= 0 && !engine.isFixed(literal >> 1))
  }

  private decideTime(x: number): boolean {
    const { engine } = this.session
    if (engine.isFixed(x)) return false
    engine.decide(...this.timeOf(x))
    return true
  }

  /** An instant as early as it goes, or as late. What runs on aside may have no latest instant. */
  private timeOf(x: number): readonly [side: number, value: number] {
    const { engine, makespan } = this.session
    return this.late && engine.hi(x) <= engine.hi(makespan)
      ? [2 * x, engine.hi(x)]
      : [2 * x + 1, -engine.lo(x)]
  }
}

function decisionsOf(a: NonNullable<SessionModel['activities'][number]>): Literal[] {
  return [
    a.literal,
    ...a.modes.map((m) => m.literal),
    ...a.modes.flatMap((m) => m.phases.flatMap((p) => codesOf(p.cooks))),
    ...a.modes.flatMap((m) => m.places.flatMap(codesOf)),
  ]
}

const codesOf = (list: { literal: Literal }[]) => list.map((x) => x.literal)
