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
  /** Tasks by the beginnings and by the ends of their fixed parts, as of the last time. */
  private readonly byFrom: Int32Array
  private readonly byTo: Int32Array
  /** Fixed part of each task; none where it ends before it begins. */
  private readonly from: Int32Array
  private readonly to: Int32Array
  /** Stretches of constant height, where something lies fixed. */
  private readonly pFrom: Int32Array
  private readonly pTo: Int32Array
  private readonly pHeight: Float64Array
  private stretches = 0

  constructor(
    private readonly tasks: Task[],
    private readonly capacity: number,
  ) {
    const n = tasks.length
    this.byFrom = Int32Array.from(tasks, (_, i) => i)
    this.byTo = this.byFrom.slice()
    this.from = new Int32Array(n)
    this.to = new Int32Array(n)
    this.pFrom = new Int32Array(2 * n)
    this.pTo = new Int32Array(2 * n)
    this.pHeight = new Float64Array(2 * n)
  }

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
    this.build(engine)
    let highest = 0
    for (let i = 0; i < this.stretches; i++) {
      const height = this.pHeight[i]!
      if (height > this.capacity + 1e-9) return this.overload(engine, this.pFrom[i]!)
      if (height > highest) highest = height
    }
    if (highest === 0) return true
    for (let k = 0; k < this.tasks.length; k++) {
      const task = this.tasks[k]!
      // Fits beside the highest point, so it fits everywhere.
      if (highest + task.amount <= this.capacity + 1e-9) continue
      if (task.code >= 0 && engine.isTrue(negated(task.code))) continue
      if (task.code >= 0 && !engine.isTrue(task.code)) {
        if (!this.refuteOption(engine, task)) return false
      } else if (!this.later(engine, task) || !this.earlier(engine, task)) return false
    }
    return true
  }

  /** The profile of what lies fixed. The orders change little from one time to the next. */
  private build(engine: Engine): void {
    const { tasks, from, to, byFrom, byTo } = this
    for (let k = 0; k < tasks.length; k++) {
      const t = tasks[k]!
      const fixed = t.code < 0 || engine.isTrue(t.code)
      from[k] = fixed ? engine.hi(t.s) : LAST
      to[k] = fixed ? engine.lo(t.e) : LAST
      if (from[k]! >= to[k]!) from[k] = to[k] = LAST
    }
    sortBy(byFrom, from)
    sortBy(byTo, to)
    let size = 0
    let height = 0
    let at = 0
    let i = 0
    let j = 0
    while (j < tasks.length && to[byTo[j]!]! < LAST) {
      const end = to[byTo[j]!]!
      const next = i < tasks.length ? Math.min(end, from[byFrom[i]!]!) : end
      if (height > 1e-9 && next > at) {
        this.pFrom[size] = at
        this.pTo[size] = next
        this.pHeight[size++] = height
      }
      at = next
      while (i < tasks.length && from[byFrom[i]!]! === at) height += tasks[byFrom[i++]!]!.amount
      while (j < tasks.length && to[byTo[j]!]! === at) height -= tasks[byTo[j++]!]!.amount
    }
    this.stretches = size
  }

  /** The first stretch that ends after an instant. */
  private firstAfter(at: number): number {
    let low = 0
    let high = this.stretches
    while (low < high) {
      const middle = (low + high) >> 1
      if (this.pTo[middle]! > at) high = middle
      else low = middle + 1
    }
    return low
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

  private tooFull(engine: Engine, task: Task, p: number): boolean {
    const own = this.covers(engine, task, this.pFrom[p]!) ? task.amount : 0
    return this.pHeight[p]! - own + task.amount > this.capacity + 1e-9
  }

  private later(engine: Engine, task: Task): boolean {
    for (let p = this.firstAfter(engine.lo(task.s)); p < this.stretches; p++) {
      const lo = engine.lo(task.s)
      if (this.pTo[p]! <= lo) continue
      if (this.pFrom[p]! >= lo + task.least) break
      if (!this.tooFull(engine, task, p)) continue
      // Inside its own fixed part it cannot be moved: that is an overload, found above.
      const at = Math.min(this.pTo[p]!, lo + task.least) - 1
      engine.explain()
      engine.because(2 * task.s, at - task.least + 1)
      engine.becauseTrue(task.code)
      this.becauseFull(engine, at, task, this.capacity - task.amount)
      if (!engine.raise(2 * task.s, at + 1)) return false
    }
    return true
  }

  private earlier(engine: Engine, task: Task): boolean {
    const last = Math.min(this.stretches - 1, this.firstAfter(engine.hi(task.e)))
    for (let p = last; p >= 0; p--) {
      const hi = engine.hi(task.e)
      if (this.pFrom[p]! >= hi) continue
      if (this.pTo[p]! <= hi - task.least) break
      if (!this.tooFull(engine, task, p)) continue
      const at = Math.max(this.pFrom[p]!, hi - task.least)
      engine.explain()
      engine.because(2 * task.e + 1, -(at + task.least))
      engine.becauseTrue(task.code)
      this.becauseFull(engine, at, task, this.capacity - task.amount)
      if (!engine.raise(2 * task.e + 1, -at)) return false
    }
    return true
  }

  /** A task that may be left out is, where its fixed part would not fit. */
  private refuteOption(engine: Engine, task: Task): boolean {
    const from = engine.hi(task.s)
    const to = engine.lo(task.e)
    if (from >= to) return true
    for (let p = this.firstAfter(from); p < this.stretches && this.pFrom[p]! < to; p++) {
      if (this.pHeight[p]! + task.amount <= this.capacity + 1e-9) continue
      const at = Math.max(this.pFrom[p]!, from)
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

/** Behind every fixed part. */
const LAST = 0x7fffffff

/** Insertion sort: quick where little has moved. */
function sortBy(order: Int32Array, key: Int32Array): void {
  for (let i = 1; i < order.length; i++) {
    const x = order[i]!
    const k = key[x]!
    let j = i - 1
    for (; j >= 0 && key[order[j]!]! > k; j--) order[j + 1] = order[j]!
    order[j + 1] = x
  }
}
