import type { Engine, Propagator } from './engine'
import { negated, type Literal } from './trail'

/** Something that takes an amount of a place from the instant `s` to the instant `e`. */
export interface Task {
  s: number
  e: number
  /** Taken only where this is true; -1: always. */
  literal: Literal
  amount: number
  /** Least seconds from `s` to `e` where it is taken. */
  least: number
  /** It has begun, whether there was room or not. */
  fact?: boolean
}

/**
 * Time-tabling with explanations (Schutt, Feydy, Stuckey and Wallace, 2011): the parts of tasks
 * that lie fixed must not exceed the capacity, and a task moves past where it cannot fit. Tasks
 * may vary in length; a fixed part runs from the latest start to the earliest end. There is no
 * edge finding: where only one task fits, orders are literals, and what follows from them is learned.
 */
export class TimeTable implements Propagator {
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
  // The tasks' own fields, for the loops that go through all of them.
  private readonly starts: Int32Array
  private readonly ends: Int32Array
  private readonly literals: Int32Array
  private readonly least: Int32Array
  private stretches = 0
  private highest = 0
  /**
   * Per task what it was last looked at with, and found to fit: taken or not, and its earliest
   * start and latest end, or where it is not taken its latest start and earliest end. Nothing new
   * can be said of it until one of these or the profile there changes.
   */
  private readonly seenAs: Int8Array
  private readonly seenFrom: Int32Array
  private readonly seenTo: Int32Array

  constructor(
    private readonly tasks: Task[],
    private readonly capacity: number,
  ) {
    const n = tasks.length
    this.byFrom = Int32Array.from(tasks, (_, i) => i)
    this.byTo = this.byFrom.slice()
    this.from = new Int32Array(n)
    this.to = new Int32Array(n)
    this.seenAs = new Int8Array(n).fill(UNSEEN)
    this.seenFrom = new Int32Array(n)
    this.seenTo = new Int32Array(n)
    this.starts = Int32Array.from(tasks, (t) => 2 * t.s)
    this.ends = Int32Array.from(tasks, (t) => 2 * t.e)
    this.literals = Int32Array.from(tasks, (t) => t.literal)
    this.least = Int32Array.from(tasks, (t) => t.least)
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
      ...(t.literal >= 0 ? [t.literal] : []),
    ])
  }

  propagate(engine: Engine): boolean {
    if (this.refresh(engine.bound)) this.build()
    const { tasks, highest, capacity, literals, starts, ends, seenAs, seenFrom, seenTo } = this
    if (highest > capacity + 1e-9) return this.overload(engine)
    if (highest === 0) return true
    const { bound } = engine
    for (let k = 0; k < tasks.length; k++) {
      const literal = literals[k]!
      const taken = literal < 0 || bound[literal]! >= 1 - (literal & 1)
      const s = starts[k]!
      const e = ends[k]!
      const as = taken ? TAKEN : OPEN
      const from = taken ? bound[s]! : -bound[s + 1]!
      const to = taken ? -bound[e + 1]! : bound[e]!
      if (seenAs[k] === as && seenFrom[k] === from && seenTo[k] === to) continue
      const task = tasks[k]!
      // Fits beside the highest point, so it fits everywhere.
      if (highest + task.amount <= capacity + 1e-9) continue
      if (!taken) {
        if (bound[literal ^ 1]! >= (literal & 1)) continue
        if (!this.refuteOption(engine, task)) return false
        if (bound[literal ^ 1]! >= (literal & 1)) continue
      } else {
        if (!this.later(engine, task) || !this.earlier(engine, task)) return false
        // What has moved it would move it again when that is taken back.
        if (bound[s] !== from || -bound[e + 1]! !== to) continue
      }
      seenAs[k] = as
      seenFrom[k] = from
      seenTo[k] = to
    }
    return true
  }

  /** Looks where the fixed parts lie now; whether any has changed. */
  private refresh(bound: Int32Array): boolean {
    const { literals, starts, ends, from, to } = this
    let low = LAST
    let high = -1
    for (let k = 0; k < literals.length; k++) {
      const literal = literals[k]!
      let f = LAST
      let e = LAST
      if (literal < 0 || bound[literal]! >= 1 - (literal & 1)) {
        f = -bound[starts[k]! + 1]!
        e = bound[ends[k]!]!
        if (f >= e) f = e = LAST
      }
      const f0 = from[k]!
      const e0 = to[k]!
      if (f0 === f && e0 === e) continue
      // Where only one end has moved, the profile has changed between its two places only.
      if (f0 === LAST || f === LAST || (f0 !== f && e0 !== e)) {
        low = Math.min(low, f, f0)
        if (e0 !== LAST) high = Math.max(high, e0)
        if (e !== LAST) high = Math.max(high, e)
      } else if (f0 !== f) {
        low = Math.min(low, f, f0)
        high = Math.max(high, f, f0)
      } else {
        low = Math.min(low, e, e0)
        high = Math.max(high, e, e0)
      }
      from[k] = f
      to[k] = e
      // Its own part counts for it alone.
      this.seenAs[k] = UNSEEN
    }
    if (high < 0) return false
    this.forget(low, high)
    return true
  }

  /** Tasks that reach into a changed stretch of the profile are to be looked at again. */
  private forget(low: number, high: number): void {
    const { seenAs, seenFrom, seenTo, least } = this
    for (let k = 0; k < seenAs.length; k++) {
      const as = seenAs[k]!
      if (as === UNSEEN) continue
      const from = seenFrom[k]!
      const to = seenTo[k]!
      const reaches =
        as === OPEN
          ? from < high && to > low
          : (from < high && from + least[k]! > low) || (to > low && to - least[k]! < high)
      if (reaches) seenAs[k] = UNSEEN
    }
  }

  /** The profile of what lies fixed. The orders change little from one time to the next. */
  private build(): void {
    const { tasks, from, to, byFrom, byTo } = this
    sortBy(byFrom, from)
    sortBy(byTo, to)
    let size = 0
    let height = 0
    let highest = 0
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
        if (height > highest) highest = height
      }
      at = next
      while (i < tasks.length && from[byFrom[i]!]! === at) height += tasks[byFrom[i++]!]!.amount
      while (j < tasks.length && to[byTo[j]!]! === at) height -= tasks[byTo[j++]!]!.amount
    }
    this.stretches = size
    this.highest = highest
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
    return (
      (t.literal < 0 || engine.isTrue(t.literal)) && engine.hi(t.s) <= at && engine.lo(t.e) > at
    )
  }

  /** Says why the place is so full at an instant; without `but`. */
  private becauseFull(engine: Engine, at: number, but: Task | undefined, room: number): void {
    let sum = 0
    for (const t of this.tasks) {
      if (t === but || !this.covers(engine, t, at)) continue
      engine.because(2 * t.s + 1, -at)
      engine.because(2 * t.e, at + 1)
      engine.becauseTrue(t.literal)
      sum += t.amount
      if (sum > room + 1e-9) return
    }
  }

  private overload(engine: Engine): false {
    const full = this.pHeight.findIndex((height) => height > this.capacity + 1e-9)
    engine.explain()
    this.becauseFull(engine, this.pFrom[full]!, undefined, this.capacity)
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
      engine.becauseTrue(task.literal)
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
      engine.becauseTrue(task.literal)
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
      const no = negated(task.literal)
      return engine.raise(no, 1 - (no & 1))
    }
    return true
  }
}

// How a task was last seen.
const UNSEEN = -1
const OPEN = 0
const TAKEN = 1
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
