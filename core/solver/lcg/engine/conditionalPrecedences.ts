import { grown } from '../../structures/growingArray'
import { Rows } from './rows'
import type { ExplainedBounds } from './explainedBounds'
import { negated, type Literal } from './trail'

/** Numbers of one lag: the lower sides that it leads from and to, its weight, three literals or -1. */
const LAG = 6
/** Numbers of one group of lags in the list of a source: far bound of the target, and weight. */
const ROW = 2
/** What else there is of a group: its first literal, and where its lags begin and end. */
const REST = 3

/**
 * Conditional lags: where all of up to three literals are true, t[to] >= t[from] + weight. Each
 * raises the lower bound of `to` with that of `from`, and mirrored the upper side of `from` with
 * that of `to`; a target that leaves no room is heard of through the mirror image, whose source is
 * its far bound.
 *
 * Lags of one source, target, weight and first literal, mostly one order for several cooks or pans,
 * are one group. The groups of a source stand in three parts, as far as has been followed: first
 * those that are switched on (their first literal is true, or there is none), then those that are open,
 * last those that are off. Open ones, four fifths of all, are asked for one thing only, whether
 * their target still has room, and nothing else is read of them; those that are off are not met at
 * all.
 */
export class ConditionalPrecedences {
  count = 0
  private readonly raw: number[] = []
  /** The lags, those of a group one behind the other. */
  private data = new Int32Array(0)
  /** Per source, its groups: what every look at them reads, and what few looks do. */
  private bySource = new Rows(0, ROW)
  private rest = new Rows(0, REST)
  /** Per source, how many of its groups are on, and how many are on or open. */
  private on = new Int32Array(0)
  private live = new Int32Array(0)
  /** Per first lag of a group, which of the lists of its two sources its rows are. */
  private rowOf = new Int32Array(0)
  /** Per literal, the first lags of the groups that it is the first literal of. */
  private groupsOf = new Rows(0, 1)
  /** Per literal, the lags that it switches on. */
  private byLiteral = new Rows(0, 1)

  /** t[to] >= t[from] + weight where all literals are true. */
  add(from: number, to: number, weight: number, literals: Literal[]): void {
    this.raw.push(2 * from, 2 * to, weight, literals[0] ?? -1, literals[1] ?? -1, literals[2] ?? -1)
    this.count++
  }

  seal(sides: number): void {
    const groups = this.group()
    const { data, count } = this
    this.on = new Int32Array(sides)
    this.live = new Int32Array(sides)
    this.rowOf = new Int32Array(2 * count)
    const rows = new Int32Array(sides)
    const heads = new Int32Array(sides)
    const switched = new Int32Array(sides)
    for (let g = 0; g + 1 < groups.length; g++) {
      const at = LAG * groups[g]!
      rows[data[at]!]!++
      rows[data[at + 1]! + 1]!++
      const literal = data[at + 3]!
      if (literal >= 0) heads[literal]!++
    }
    for (let at = 0; at < data.length; at += LAG)
      for (let k = at + 3; k < at + LAG; k++) {
        const literal = data[k]!
        if (literal >= 0) switched[literal]!++
      }
    this.bySource = new Rows(sides, ROW, rows)
    this.rest = new Rows(sides, REST, rows)
    this.groupsOf = new Rows(sides, 1, heads)
    this.byLiteral = new Rows(sides, 1, switched)
    for (let g = 0; g + 1 < groups.length; g++) this.list(groups[g]!, groups[g + 1]!)
    for (let e = 0; e < count; e++) this.listen(e)
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
      const literal = raw[at + 3]!
      let place = Math.imul(Math.imul(from, 31) + to, 0x9e3779b1) ^ Math.imul(weight, 127) ^ literal
      for (place = (place ^ (place >>> 15)) & (size - 1); ; place = (place + 1) & (size - 1)) {
        const g = table[place]!
        if (g < 0) {
          table[place] = last[e] = e
          break
        }
        const other = LAG * g
        if (raw[other] !== from || raw[other + 1] !== to) continue
        if (raw[other + 2] !== weight || raw[other + 3] !== literal) continue
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
  addLate(
    bounds: ExplainedBounds,
    from: number,
    to: number,
    weight: number,
    literals: Literal[],
  ): boolean {
    const e = this.count
    this.add(from, to, weight, literals)
    if (LAG * this.count > this.data.length) {
      this.data = grown(this.data, LAG * this.count)
      this.rowOf = grown(this.rowOf, 2 * this.count)
    }
    this.data.set(this.raw, LAG * e)
    this.raw.length = 0
    this.list(e, e + 1)
    this.listen(e)
    return this.evaluate(bounds, e)
  }

  /** A literal is true: its groups are on, and those that want the opposite off, until `reopen`. */
  settle(literal: Literal): void {
    const { memory, at, sizes } = this.groupsOf
    const { data, rowOf } = this
    let from = at[literal ^ 1]!
    let to = from + sizes[literal ^ 1]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      this.switchOff(data[LAG * e]!, rowOf[2 * e]!)
      this.switchOff(data[LAG * e + 1]! + 1, rowOf[2 * e + 1]!)
    }
    from = at[literal]!
    to = from + sizes[literal]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      this.switchOn(data[LAG * e]!, rowOf[2 * e]!)
      this.switchOn(data[LAG * e + 1]! + 1, rowOf[2 * e + 1]!)
    }
  }

  /** Takes back the latest `settle` that has not been taken back. */
  reopen(literal: Literal): void {
    const { memory, at, sizes } = this.groupsOf
    const { data, live, on } = this
    let from = at[literal ^ 1]!
    let to = from + sizes[literal ^ 1]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      live[data[LAG * e]!]!++
      live[data[LAG * e + 1]! + 1]!++
    }
    from = at[literal]!
    to = from + sizes[literal]!
    for (let i = from; i < to; i++) {
      const e = memory[i]!
      on[data[LAG * e]!]!--
      on[data[LAG * e + 1]! + 1]!--
    }
  }

  propagate(bounds: ExplainedBounds, side: number): boolean {
    const { bound } = bounds
    const here = bound[side]!
    const list = this.bySource.memory
    let i = this.bySource.at[side]!
    const opens = i + ROW * this.on[side]!
    const ends = i + ROW * this.live[side]!
    // What is on raises its target, unless that is met already.
    for (; i < opens; i += ROW)
      if (here + list[i + 1]! > bound[list[i]! ^ 1]! && !this.follow(bounds, side, i)) return false
    // What is open is off where its target has no room.
    for (; i < ends; i += ROW)
      if (here + list[i + 1]! + bound[list[i]!]! > 0 && !this.follow(bounds, side, i)) return false
    const { memory, at, sizes } = this.byLiteral
    const end = at[side]! + sizes[side]!
    for (let i = at[side]!; i < end; i++) if (!this.evaluate(bounds, memory[i]!)) return false
    return true
  }

  /** What the lags of a row say, where they are on or off but for one literal. */
  private follow(bounds: ExplainedBounds, side: number, row: number): boolean {
    const { data } = this
    const { bound } = bounds
    const target = this.bySource.memory[row]! ^ 1
    const rest = this.rest.memory
    const at = this.rest.at[side]! + ((row - this.bySource.at[side]!) / ROW) * REST
    const c0 = rest[at]!
    const open = c0 >= 0 && bound[c0]! < 1 - (c0 & 1)
    if (open && bound[c0 ^ 1]! >= (c0 & 1)) return true
    const end = rest[at + 2]!
    for (let e = rest[at + 1]!; e < end; e++) {
      const c1 = data[LAG * e + 4]!
      if (c1 >= 0 && bound[c1]! < 1 - (c1 & 1) && (open || bound[c1 ^ 1]! >= (c1 & 1))) continue
      const c2 = data[LAG * e + 5]!
      if (c2 >= 0 && bound[c2]! < 1 - (c2 & 1) && (open || bound[c2 ^ 1]! >= (c2 & 1))) continue
      if (!this.raise(bounds, e, side, target)) return false
    }
    return true
  }

  /** What a lag says as bounds and literals stand now; false where that is impossible. */
  evaluate(bounds: ExplainedBounds, e: number): boolean {
    const from = this.data[LAG * e]!
    const to = this.data[LAG * e + 1]!
    return this.raise(bounds, e, from, to) && this.raise(bounds, e, to + 1, from + 1)
  }

  private raise(bounds: ExplainedBounds, e: number, source: number, target: number): boolean {
    const { data } = this
    const { bound } = bounds
    const base = LAG * e
    const weight = data[base + 2]!
    const value = bound[source]! + weight
    if (value <= bound[target]!) return true
    let open = -1
    for (let k = 3; k < LAG; k++) {
      const literal = data[base + k]!
      if (literal < 0) break
      const side = literal & 1
      if (bound[literal]! >= 1 - side) continue
      // False, or a second one that is open: nothing follows.
      if (bound[literal ^ 1]! >= side || open >= 0) return true
      open = literal
    }
    if (open < 0) {
      bounds.explain()
      bounds.because(source, value - weight)
      for (let k = 3; k < LAG; k++) bounds.becauseTrue(data[base + k]!)
      return bounds.raise(target, value)
    }
    const opposite = bound[target ^ 1]!
    if (value + opposite <= 0) return true
    bounds.explain()
    // The least that the source must be for the lag to pass the target's far bound.
    bounds.because(source, 1 - opposite - weight)
    bounds.because(target ^ 1, opposite)
    for (let k = 3; k < LAG; k++) if (data[base + k] !== open) bounds.becauseTrue(data[base + k]!)
    const no = negated(open)
    return bounds.raise(no, 1 - (no & 1))
  }

  /** Writes the two rows of a group, each before the rows that are off. */
  private list(e: number, end: number): void {
    const from = this.data[LAG * e]!
    const to = this.data[LAG * e + 1]!
    this.listAt(from, to, e, end)
    this.listAt(to + 1, from + 1, e, end)
    const first = this.data[LAG * e + 3]!
    if (first >= 0) this.groupsOf.add(first, e)
  }

  private listAt(source: number, target: number, e: number, end: number): void {
    const { bySource, rest, data } = this
    const row = bySource.room(source)
    bySource.memory[row] = target ^ 1
    bySource.memory[row + 1] = data[LAG * e + 2]!
    const more = rest.room(source)
    rest.memory[more] = data[LAG * e + 3]!
    rest.memory[more + 1] = e
    rest.memory[more + 2] = end
    const place = (row - bySource.at[source]!) / ROW
    this.rowOf[2 * e + (source & 1)] = place
    this.swap(source, place, this.live[source]!)
    this.live[source]!++
    if (data[LAG * e + 3]! < 0) this.switchOn(source, this.live[source]! - 1)
  }

  private switchOff(source: number, place: number): void {
    this.swap(source, place, --this.live[source]!)
  }

  private switchOn(source: number, place: number): void {
    this.swap(source, place, this.on[source]!++)
  }

  private swap(source: number, a: number, b: number): void {
    if (a === b) return
    const rest = this.rest.memory
    const m = this.rest.at[source]! + REST * a
    const n = this.rest.at[source]! + REST * b
    swapNumbers(rest, m, n, REST)
    const list = this.bySource.at[source]!
    swapNumbers(this.bySource.memory, list + ROW * a, list + ROW * b, ROW)
    const upper = source & 1
    this.rowOf[2 * rest[m + 1]! + upper] = a
    this.rowOf[2 * rest[n + 1]! + upper] = b
  }

  private listen(e: number): void {
    for (let k = LAG * e + 3; k < LAG * e + LAG; k++) {
      const literal = this.data[k]!
      if (literal >= 0) this.byLiteral.add(literal, e)
    }
  }
}

function swapNumbers(list: Int32Array, i: number, j: number, count: number): void {
  for (let k = 0; k < count; k++) {
    const kept = list[i + k]!
    list[i + k] = list[j + k]!
    list[j + k] = kept
  }
}
