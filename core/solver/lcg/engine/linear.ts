import { ALWAYS, NEVER_SO } from './literals'
import type { Engine, Propagator } from './engine'
import type { Literal } from './trail'

/** A sum of variables and booleans, each some times over, that is at most a constant. */
export class Linear implements Propagator {
  private readonly factors = new Map<number, number>()
  /** Sides as the sum sees them (the upper side of what is taken off), and how many times over. */
  private sides: number[] = []
  private times: number[] = []

  constructor(private most: number) {}

  /** A variable, so many times over; less than none takes it off. */
  add(x: number, times: number): this {
    this.factors.set(x, (this.factors.get(x) ?? 0) + times)
    return this
  }

  /** As much as `value` where the literal is true. */
  addWhere(literal: Literal, value: number): this {
    if (literal === NEVER_SO) return this
    const odd = (literal & 1) === 1
    if (literal === ALWAYS || odd) this.most -= value
    // An odd literal is true where its variable is 0.
    return literal === ALWAYS ? this : this.add(literal >> 1, odd ? -value : value)
  }

  /** The sum may be so much more. */
  allow(value: number): this {
    this.most += value
    return this
  }

  /** To be called once all is added; after the sealing only at level 0. */
  post(engine: Engine): void {
    const terms = [...this.factors].filter(([, times]) => times !== 0)
    this.sides = terms.map(([x, times]) => (times > 0 ? 2 * x : 2 * x + 1))
    this.times = terms.map(([, times]) => Math.abs(times))
    engine.addPropagator(this, this.sides)
  }

  /** What is left for each when the others are as small as they can be. */
  propagate(engine: Engine): boolean {
    const { sides, times } = this
    const { bound } = engine
    let room = this.most
    for (let i = 0; i < sides.length; i++) room -= times[i]! * bound[sides[i]!]!
    if (room < 0) {
      engine.explain()
      for (const side of sides) engine.because(side, bound[side]!)
      return engine.clash()
    }
    for (let i = 0; i < sides.length; i++) {
      const side = sides[i]!
      const least = -bound[side]! - Math.floor(room / times[i]!)
      if (least <= bound[side ^ 1]!) continue
      engine.explain()
      for (const other of sides) if (other !== side) engine.because(other, bound[other]!)
      if (!engine.raise(side ^ 1, least)) return false
    }
    return true
  }
}
