import { negated, type Code, type Engine } from './engine'

/**
 * Conditional lags: where all of up to three codes are true, bound[target] >= bound[source] +
 * weight. Every lag stands twice, once for the lower and once for the upper bounds.
 */
export class EdgeStore {
  count = 0
  private readonly raw: number[] = []
  /** Six numbers an edge: source, target, weight, and three codes or -1. */
  private data = new Int32Array(0)
  private bySide: Int32Array[] = []

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
    const lists: number[][] = Array.from({ length: sides }, () => [])
    for (let e = 0; e < this.count; e++) {
      lists[this.data[6 * e]!]!.push(e)
      for (let k = 3; k < 6; k++)
        if (this.data[6 * e + k]! >= 0) lists[this.data[6 * e + k]!]!.push(e)
      // A risen opposite bound of the target may refute a condition.
      if (this.data[6 * e + 3]! >= 0) lists[this.data[6 * e + 1]! ^ 1]!.push(e)
    }
    this.bySide = lists.map((l) => Int32Array.from(l))
  }

  propagate(engine: Engine, side: number): boolean {
    const list = this.bySide[side]!
    for (let i = 0; i < list.length; i++) if (!this.evaluate(engine, list[i]!)) return false
    return true
  }

  evaluate(engine: Engine, e: number): boolean {
    const { data } = this
    const { bound } = engine
    const base = 6 * e
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
    const source = data[base]!
    const target = data[base + 1]!
    const weight = data[base + 2]!
    const value = bound[source]! + weight
    if (open < 0) {
      if (value <= bound[target]!) return true
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
}
