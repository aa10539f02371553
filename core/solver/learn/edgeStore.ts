import { grown, Rows } from './rows'
import { negated, type Code, type Engine } from './engine'

/** Numbers of one lag in the list of its source. */
const ROW = 6

/**
 * Conditional lags: where all of up to three codes are true, bound[target] >= bound[source] +
 * weight. Every lag stands twice, once for the lower and once for the upper bounds; a target
 * that leaves no room is heard of through the mirror lag, whose source is its far bound.
 */
export class EdgeStore {
  count = 0
  private readonly raw: number[] = []
  /** Six numbers an edge: source, target, weight, and three codes or -1. */
  private data = new Int32Array(0)
  /** Per source side, (target, weight, codes, edge) in a row: the innermost loop reads these. */
  private bySource = new Rows(0, ROW)
  /** Per code, the edges that it switches on. */
  private byCode: number[][] = []

  /** t[to] >= t[from] + weight where all codes are true. */
  add(from: number, to: number, weight: number, codes: Code[]): void {
    const when = [codes[0] ?? -1, codes[1] ?? -1, codes[2] ?? -1] as const
    this.raw.push(2 * from, 2 * to, weight, ...when)
    this.raw.push(2 * to + 1, 2 * from + 1, weight, ...when)
    this.count += 2
  }

  seal(sides: number): void {
    this.data = Int32Array.from(this.raw)
    this.raw.length = 0
    this.bySource = new Rows(sides, ROW)
    this.byCode = Array.from({ length: sides }, () => [])
    for (let e = 0; e < this.count; e++) this.list(e)
  }

  /** Adds a lag after the sealing; false where that fails at once. */
  addLate(engine: Engine, from: number, to: number, weight: number, codes: Code[]): boolean {
    this.add(from, to, weight, codes)
    if (6 * this.count > this.data.length) this.data = grown(this.data, 6 * this.count)
    this.data.set(this.raw, 6 * (this.count - 2))
    this.raw.length = 0
    this.list(this.count - 2)
    this.list(this.count - 1)
    return this.evaluate(engine, this.count - 2) && this.evaluate(engine, this.count - 1)
  }

  propagate(engine: Engine, side: number): boolean {
    const { bound } = engine
    const list = this.bySource.lists[side]!
    const size = this.bySource.sizes[side]!
    const here = bound[side]!
    for (let i = 0; i < size; i += ROW) {
      // Met already, or not switched on and with room left: most are.
      const target = list[i]!
      const value = here + list[i + 1]!
      if (value <= bound[target]!) continue
      const c0 = list[i + 2]!
      const open0 = c0 >= 0 && bound[c0]! < 1 - (c0 & 1)
      if (open0 && (value + bound[target ^ 1]! <= 0 || bound[c0 ^ 1]! >= (c0 & 1))) continue
      const c1 = list[i + 3]!
      if (c1 >= 0 && bound[c1]! < 1 - (c1 & 1) && (open0 || bound[c1 ^ 1]! >= (c1 & 1))) continue
      const c2 = list[i + 4]!
      if (c2 >= 0 && bound[c2]! < 1 - (c2 & 1) && (open0 || bound[c2 ^ 1]! >= (c2 & 1))) continue
      if (!this.evaluate(engine, list[i + 5]!)) return false
    }
    const switched = this.byCode[side]!
    for (let i = 0; i < switched.length; i++) if (!this.evaluate(engine, switched[i]!)) return false
    return true
  }

  evaluate(engine: Engine, e: number): boolean {
    const { data } = this
    const { bound } = engine
    const base = 6 * e
    const source = data[base]!
    const target = data[base + 1]!
    const weight = data[base + 2]!
    const value = bound[source]! + weight
    if (value <= bound[target]!) return true
    let open = -1
    for (let k = 3; k < 6; k++) {
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
      for (let k = 3; k < 6; k++) engine.becauseTrue(data[base + k]!)
      return engine.raise(target, value)
    }
    const opposite = bound[target ^ 1]!
    if (value + opposite <= 0) return true
    engine.explain()
    // The least that the source must be for the lag to pass the target's far bound.
    engine.because(source, 1 - opposite - weight)
    engine.because(target ^ 1, opposite)
    for (let k = 3; k < 6; k++) if (data[base + k] !== open) engine.becauseTrue(data[base + k]!)
    const no = negated(open)
    return engine.raise(no, 1 - (no & 1))
  }

  private list(e: number): void {
    const { data, bySource } = this
    const base = 6 * e
    const at = bySource.room(data[base]!)
    const row = bySource.lists[data[base]!]!
    for (let k = 1; k < 6; k++) row[at + k - 1] = data[base + k]!
    row[at + 5] = e
    for (let k = 3; k < 6; k++) {
      const code = data[base + k]!
      if (code >= 0) this.byCode[code]!.push(e)
    }
  }
}
