import { negated, type Code, type Engine, type Propagator } from './engine'

/** Something that takes an amount of a place from the instant `s` to the instant `e`. */
export interface Task {
  s: number
  e: number
  /** Taken only where this is true; -1: always. */
  code: Code
  amount: number
  /** Least seconds from `s` to `e` where it is taken. */
  least: number
  /** It has begun, whether there was room or not. */
  fact?: boolean
}

/**
 * Time-tabling with explanations (Schutt, Feydy, Stuckey and Wallace, 2011): the parts of tasks
 * that lie fixed must not exceed the capacity, and a task moves past where it cannot fit. Tasks
 * may vary in length; a fixed part runs from the latest start to the earliest end.
 */
export class Cumulative implements Propagator {
  private readonly events: { at: number; by: number; task: number }[] = []

  constructor(
    private readonly tasks: Task[],
    private readonly capacity: number,
  ) {}

  sides(): number[] {
    return this.tasks.flatMap((t) => [
      2 * t.s,
      2 * t.s + 1,
      2 * t.e,
      2 * t.e + 1,
      ...(t.code >= 0 ? [t.code] : []),
    ])
  }

  propagate(engine: Engine): boolean {
    const profile = this.profile(engine)
    let highest = 0
    for (let i = 0; i < profile.length; i++) {
      const { height, from } = profile[i]!
      if (height > this.capacity + 1e-9) return this.overload(engine, from)
      if (height > highest) highest = height
    }
    if (highest === 0) return true
    for (let k = 0; k < this.tasks.length; k++) {
      const task = this.tasks[k]!
      // Fits beside the highest point, so it fits everywhere.
      if (highest + task.amount <= this.capacity + 1e-9) continue
      if (task.code >= 0 && engine.isTrue(negated(task.code))) continue
      if (task.code >= 0 && !engine.isTrue(task.code)) {
        if (!this.refuteOption(engine, task, profile)) return false
      } else if (!this.later(engine, task, profile) || !this.earlier(engine, task, profile))
        return false
    }
    return true
  }

  /** Stretches of constant height, where something lies fixed. */
  private profile(engine: Engine): { from: number; to: number; height: number }[] {
    const { events } = this
    events.length = 0
    this.tasks.forEach((t, task) => {
      if (t.code >= 0 && !engine.isTrue(t.code)) return
      const from = engine.hi(t.s)
      const to = engine.lo(t.e)
      if (from >= to) return
      events.push({ at: from, by: t.amount, task }, { at: to, by: -t.amount, task })
    })
    events.sort((a, b) => a.at - b.at)
    const out: { from: number; to: number; height: number }[] = []
    let height = 0
    for (let i = 0; i < events.length;) {
      const at = events[i]!.at
      while (i < events.length && events[i]!.at === at) height += events[i++]!.by
      if (i < events.length && height > 1e-9) out.push({ from: at, to: events[i]!.at, height })
    }
    return out
  }

  private covers(engine: Engine, t: Task, at: number): boolean {
    return (t.code < 0 || engine.isTrue(t.code)) && engine.hi(t.s) <= at && engine.lo(t.e) > at
  }

  /** Says why the place is so full at an instant; without `but`. */
  private becauseFull(engine: Engine, at: number, but: Task | undefined, room: number): void {
    let sum = 0
    for (const t of this.tasks) {
      if (t === but || !this.covers(engine, t, at)) continue
      engine.because(2 * t.s + 1, -at)
      engine.because(2 * t.e, at + 1)
      engine.becauseTrue(t.code)
      sum += t.amount
      if (sum > room + 1e-9) return
    }
  }

  private overload(engine: Engine, at: number): false {
    engine.explain()
    this.becauseFull(engine, at, undefined, this.capacity)
    return engine.clash()
  }

  private tooFull(engine: Engine, task: Task, p: { from: number; height: number }): boolean {
    const own = this.covers(engine, task, p.from) ? task.amount : 0
    return p.height - own + task.amount > this.capacity + 1e-9
  }

  private later(
    engine: Engine,
    task: Task,
    profile: { from: number; to: number; height: number }[],
  ): boolean {
    for (const p of profile) {
      const lo = engine.lo(task.s)
      if (p.to <= lo) continue
      if (p.from >= lo + task.least) break
      if (!this.tooFull(engine, task, p)) continue
      // Inside its own fixed part it cannot be moved: that is an overload, found above.
      const at = Math.min(p.to, lo + task.least) - 1
      engine.explain()
      engine.because(2 * task.s, at - task.least + 1)
      engine.becauseTrue(task.code)
      this.becauseFull(engine, at, task, this.capacity - task.amount)
      if (!engine.raise(2 * task.s, at + 1)) return false
    }
    return true
  }

  private earlier(
    engine: Engine,
    task: Task,
    profile: { from: number; to: number; height: number }[],
  ): boolean {
    for (let i = profile.length - 1; i >= 0; i--) {
      const p = profile[i]!
      const hi = engine.hi(task.e)
      if (p.from >= hi) continue
      if (p.to <= hi - task.least) break
      if (!this.tooFull(engine, task, p)) continue
      const at = Math.max(p.from, hi - task.least)
      engine.explain()
      engine.because(2 * task.e + 1, -(at + task.least))
      engine.becauseTrue(task.code)
      this.becauseFull(engine, at, task, this.capacity - task.amount)
      if (!engine.raise(2 * task.e + 1, -at)) return false
    }
    return true
  }

  /** A task that may be left out is, where its fixed part would not fit. */
  private refuteOption(
    engine: Engine,
    task: Task,
    profile: { from: number; to: number; height: number }[],
  ): boolean {
    const from = engine.hi(task.s)
    const to = engine.lo(task.e)
    if (from >= to) return true
    for (const p of profile) {
      if (p.to <= from || p.from >= to || p.height + task.amount <= this.capacity + 1e-9) continue
      const at = Math.max(p.from, from)
      engine.explain()
      engine.because(2 * task.s + 1, -at)
      engine.because(2 * task.e, at + 1)
      this.becauseFull(engine, at, task, this.capacity - task.amount)
      const no = negated(task.code)
      return engine.raise(no, 1 - (no & 1))
    }
    return true
  }
}
