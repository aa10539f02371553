import { grown } from '../../structures/growingArray'

/**
 * Bounds of an integer x live on two sides: side 2x holds the lower bound, side 2x + 1 the
 * negated upper bound, so that both only ever rise. A bound literal is (side, value): bound of that
 * side at least value. Its negation is (side ^ 1, 1 - value). A boolean is an integer in [0, 1],
 * and its literals are just its sides: 2x true, 2x + 1 false.
 */
export type Literal = number
export const negated = (literal: Literal): Literal => literal ^ 1
/** The value with which a literal is a bound literal. */
export const literalValue = (literal: Literal) => 1 - (literal & 1)

/**
 * The bounds as they are, and every raise of one: what it was before, on which level, and for which
 * reason. All fields are for the engine and its analysis of conflicts alone, but for `bound`.
 */
export class Trail {
  bound = new Int32Array(0)
  /** Per side its last raise, -1 where there was none. */
  latest = new Int32Array(0)
  // One entry for each raise of a bound.
  tSide = new Int32Array(4096)
  tBefore = new Int32Array(4096)
  tEarlier = new Int32Array(4096)
  tReason = new Int32Array(4096)
  tLevel = new Int32Array(4096)
  trailSize = 0
  readonly levels: { trail: number; arena: number }[] = []
  /** Explanations: a count, then (side, value) pairs. */
  arena = new Int32Array(65536)
  arenaSize = 0
  building = 0

  get level(): number {
    return this.levels.length - 1
  }

  /** The lower bound without any decision. */
  rootLo(x: number): number {
    let e = this.latest[2 * x]!
    if (e < 0) return this.bound[2 * x]!
    let value = this.bound[2 * x]!
    for (; e >= 0 && this.tLevel[e]! > 0; e = this.tEarlier[e]!) value = this.tBefore[e]!
    return value
  }

  /** Begins an explanation; literals are added with `because`, then `raise` uses it. */
  explain(): void {
    this.building = this.arenaSize++
    if (this.arenaSize + 4096 > this.arena.length) this.arena = grown(this.arena)
  }

  because(side: number, value: number): void {
    if (this.arenaSize + 2 > this.arena.length) this.arena = grown(this.arena)
    this.arena[this.arenaSize++] = side
    this.arena[this.arenaSize++] = value
  }

  becauseTrue(literal: Literal): void {
    if (literal >= 0) this.because(literal, 1 - (literal & 1))
  }

  push(side: number, value: number, reason: number): void {
    const e = this.trailSize++
    if (e >= this.tSide.length) {
      this.tSide = grown(this.tSide)
      this.tBefore = grown(this.tBefore)
      this.tEarlier = grown(this.tEarlier)
      this.tReason = grown(this.tReason)
      this.tLevel = grown(this.tLevel)
    }
    this.tSide[e] = side
    this.tBefore[e] = this.bound[side]!
    this.tEarlier[e] = this.latest[side]!
    this.tReason[e] = reason
    this.tLevel[e] = this.level
    this.latest[side] = e
    this.bound[side] = value
  }

  /** The trail entry that first made the literal true, -1 where it always was. */
  entryOf(side: number, value: number): number {
    let e = this.latest[side]!
    while (e >= 0 && this.tBefore[e]! >= value) e = this.tEarlier[e]!
    return e
  }
}
