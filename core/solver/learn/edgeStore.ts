import { grown, Rows } from './rows'
import type { Engine } from './engine'
import { negated, type Code } from './trail'

/** Numbers of one lag: the lower sides that it leads from and to, its weight, three codes or -1. */
const LAG = 6
/** Numbers of one group of lags in the list of a source: target, weight, first code, from, to. */
const ROW = 5

/**
 * Conditional lags: where all of up to three codes are true, t[to] >= t[from] + weight. Each
 * raises the lower bound of `to` with that of `from`, and mirrored the upper side of `from` with
 * that of `to`; a target that leaves no room is heard of through the mirror image, whose source is
 * its far bound.
 *
 * Lags of one source, target, weight and first code, mostly one order for several cooks or pans,
 * are one group. A group whose first code is false lies behind the others of its sources until
 * that is taken back: the innermost loop never meets it.
 */
export class EdgeStore {
  count = 0
  private readonly raw: number[] = []
  /** The lags, those of a group one behind the other. */
  private data = new Int32Array(0)
  /** Per source, its groups. */
  private bySource = new Rows(0, ROW)
  /** Per source, how many numbers its groups take whose first code is not false. */
  private live = new Int32Array(0)
  /** Per first lag of a group, where its two rows are in the lists of their sources. */
  private rowOf = new Int32Array(0)
  /** Per code, the first lags of the groups that it is the first code of. */
  private groupsOf = new Rows(0, 1)
  /** Per code, the lags that it switches on. */
  private byCode = new Rows(0, 1)

  /** t[to] >= t[from] + weight where all codes are true. */
  add(from: number, to: number, weight: number, codes: Code[]): void {
    this.raw.push(2 * from, 2 * to, weight, codes[0] ?? -1, codes[1] ?? -1, codes[2] ?? -1)
    this.count++
  }

  seal(sides: number): void {
    const groups = this.group()
    const { data, count } = this
    this.live = new Int32Array(sides)
    this.rowOf = new Int32Array(2 * count)
    const rows = new Int32Array(sides)
    const heads = new Int32Array(sides)
    const switched = new Int32Array(sides)
    for (let g = 0; g + 1 < groups.length; g++) {
      const at = LAG * groups[g]!
      rows[data[at]!]!++
      rows[data[at + 1]! + 1]!++
      const code = data[at + 3]!
      if (code >= 0) heads[code]!++
    }
    for (let at = 0; at < data.length; at += LAG)
      for (let k = at + 3; k < at + LAG; k++) {
        const code = data[k]!
        if (code >= 0) switched[code]!++
      }
    this.bySource = new Rows(sides, ROW, rows)
    this.groupsOf = new Rows(sides, 1, heads)
    this.byCode = new Rows(sides, 1, switched)
    for (let g = 0; g + 1 < groups.length; g++) this.list(groups[g]!, groups[g + 1]!)
    for (let e = 0; e < count; e++) this.switchOn(e)
  }

  /** Brings the lags into `data` by groups; where each group begins, and the end. */
  private group(): number[] {
    const { count } = this
    const raw = Int32Array.from(this.raw)
    this.raw.length = 0
    /** Per lag the next one of its group, and per first one of a group the last; otherwise -1. */
    const next = new Int32Array(count).fill(-1)
    const last = new Int32Array(count).fill(-1)
    // A hash table of the first ones, by what a group has in common.
    let size = 64
    while (size < 2 * count) size *= 2
    const table = new Int32Array(size).fill(-1)
    for (let e = 0; e < count; e++) {
      const at = LAG * e
      const from = raw[at]!
      const to = raw[at + 1]!
      const weight = raw[at + 2]!
      const code = raw[at + 3]!
      let place = Math.imul(Math.imul(from, 31) + to, 0x9e3779b1) ^ Math.imul(weight, 127) ^ code
      for (place = (place ^ (place >>> 15)) & (size - 1); ; place = (place + 1) & (size - 1)) {
        const g = table[place]!
        if (g < 0) {
          table[place] = last[e] = e
          break
        }
        const other = LAG * g
        if (raw[other] !== from || raw[other + 1] !== to) continue
        if (raw[other + 2] !== weight || raw[other + 3] !== code) continue
        next[last[g]!] = e
        last[g] = e
        break
      }
    }
    const data = new Int32Array(raw.length)
    const begins: number[] = []
    let at = 0
    for (let g = 0; g < count; g++) {
      if (last[g]! < 0) continue
      begins.push(at / LAG)
      for (let e = g; e >= 0; e = next[e]!) {
        for (let k = LAG * e; k < LAG * e + LAG; k++) data[at++] = raw[k]!
      }
    }
    begins.push(count)
    this.data = data
    return begins
  }

  /** Adds a lag after the sealing; false where that fails at once. */
  addLate(engine: Engine, from: number, to: number, weight: number, codes: Code[]): boolean {
    const e = this.count
    this.add(from, to, weight, codes)
    if (LAG * this.count > this.data.length) {
      this.data = grown(this.data, LAG * this.count)
      this.rowOf = grown(this.rowOf, 2 * this.count)
    }
    this.data.set(this.raw, LAG * e)
    this.raw.length = 0
    this.list(e, e + 1)
    this.switchOn(e)
    return this.evaluate(engine, e)
  }

  /** A code is true: groups that want the opposite are of no account until `revive`. */
  retire(code: Code): void {
    const { memory, at, sizes } = this.groupsOf
    const { data, rowOf } = this
    const from = at[code ^ 1]!
    const to = from + sizes[code ^ 1]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      this.withdraw(data[LAG * e]!, rowOf[2 * e]!)
      this.withdraw(data[LAG * e + 1]! + 1, rowOf[2 * e + 1]!)
    }
  }

  /** Takes back the latest `retire` that has not been taken back. */
  revive(code: Code): void {
    const { memory, at, sizes } = this.groupsOf
    const { data, live } = this
    const from = at[code ^ 1]!
    const to = from + sizes[code ^ 1]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      live[data[LAG * e]!]! += ROW
      live[data[LAG * e + 1]! + 1]! += ROW
    }
  }

  propagate(engine: Engine, side: number): boolean {
    const { bound } = engine
    const { data } = this
    const list = this.bySource.memory
    const from = this.bySource.at[side]!
    const to = from + this.live[side]!
    const here = bound[side]!
    for (let i = from; i < to; i += ROW) {
      // Met already, or not switched on and with room left: most are.
      const target = list[i]!
      const value = here + list[i + 1]!
      if (value <= bound[target]!) continue
      const c0 = list[i + 2]!
      const open0 = c0 >= 0 && bound[c0]! < 1 - (c0 & 1)
      if (open0 && (value + bound[target ^ 1]! <= 0 || bound[c0 ^ 1]! >= (c0 & 1))) continue
      const end = list[i + 4]!
      for (let e = list[i + 3]!; e < end; e++) {
        const c1 = data[LAG * e + 4]!
        if (c1 >= 0 && bound[c1]! < 1 - (c1 & 1) && (open0 || bound[c1 ^ 1]! >= (c1 & 1))) continue
        const c2 = data[LAG * e + 5]!
        if (c2 >= 0 && bound[c2]! < 1 - (c2 & 1) && (open0 || bound[c2 ^ 1]! >= (c2 & 1))) continue
        if (!this.raise(engine, e, side, target)) return false
      }
    }
    const { memory, at, sizes } = this.byCode
    const end = at[side]! + sizes[side]!
    for (let i = at[side]!; i < end; i++) if (!this.evaluate(engine, memory[i]!)) return false
    return true
  }

  /** What a lag says as bounds and codes stand now; false where that is impossible. */
  evaluate(engine: Engine, e: number): boolean {
    const from = this.data[LAG * e]!
    const to = this.data[LAG * e + 1]!
    return this.raise(engine, e, from, to) && this.raise(engine, e, to + 1, from + 1)
  }

  private raise(engine: Engine, e: number, source: number, target: number): boolean {
    const { data } = this
    const { bound } = engine
    const base = LAG * e
    const weight = data[base + 2]!
    const value = bound[source]! + weight
    if (value <= bound[target]!) return true
    let open = -1
    for (let k = 3; k < LAG; k++) {
      const code = data[base + k]!
      if (code < 0) break
      const side = code & 1
      if (bound[code]! >= 1 - side) continue
      // False, or a second one that is open: nothing follows.
      if (bound[code ^ 1]! >= side || open >= 0) return true
      open = code
    }
    if (open < 0) {
      engine.explain()
      engine.because(source, value - weight)
      for (let k = 3; k < LAG; k++) engine.becauseTrue(data[base + k]!)
      return engine.raise(target, value)
    }
    const opposite = bound[target ^ 1]!
    if (value + opposite <= 0) return true
    engine.explain()
    // The least that the source must be for the lag to pass the target's far bound.
    engine.because(source, 1 - opposite - weight)
    engine.because(target ^ 1, opposite)
    for (let k = 3; k < LAG; k++) if (data[base + k] !== open) engine.becauseTrue(data[base + k]!)
    const no = negated(open)
    return engine.raise(no, 1 - (no & 1))
  }

  /** Writes the two rows of a group, each before the rows that are of no account. */
  private list(e: number, end: number): void {
    const from = this.data[LAG * e]!
    const to = this.data[LAG * e + 1]!
    this.listAt(from, to, e, end)
    this.listAt(to + 1, from + 1, e, end)
    const first = this.data[LAG * e + 3]!
    if (first >= 0) this.groupsOf.add(first, e)
  }

  private listAt(source: number, target: number, e: number, end: number): void {
    const { bySource, live, data } = this
    const row = bySource.room(source)
    const { memory } = bySource
    memory[row] = target
    memory[row + 1] = data[LAG * e + 2]!
    memory[row + 2] = data[LAG * e + 3]!
    memory[row + 3] = e
    memory[row + 4] = end
    const place = row - bySource.at[source]!
    this.rowOf[2 * e + (source & 1)] = place
    if (place > live[source]!) this.swap(source, place, live[source]!)
    live[source]! += ROW
  }

  private withdraw(source: number, place: number): void {
    const last = (this.live[source]! -= ROW)
    if (place !== last) this.swap(source, place, last)
  }

  private swap(source: number, a: number, b: number): void {
    const { memory, at } = this.bySource
    const from = at[source]!
    for (let k = from; k < from + ROW; k++) {
      const kept = memory[a + k]!
      memory[a + k] = memory[b + k]!
      memory[b + k] = kept
    }
    const upper = source & 1
    this.rowOf[2 * memory[from + a + 3]! + upper] = a
    this.rowOf[2 * memory[from + b + 3]! + upper] = b
  }

  private switchOn(e: number): void {
    for (let k = LAG * e + 3; k < LAG * e + LAG; k++) {
      const code = this.data[k]!
      if (code >= 0) this.byCode.add(code, e)
    }
  }
}
