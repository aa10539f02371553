import { Trail, type Literal } from './trail'

/**
 * Bounds that are raised for a reason: where a raise leaves no room, the reason is the conflict (the
 * explanations of lazy clause generation).
 */
export class ExplainedBounds extends Trail {
  /** The (side, value) pairs that cannot all be true, after a failure. */
  protected readonly conflict: number[] = []

  isTrue(literal: Literal): boolean {
    return this.bound[literal]! >= 1 - (literal & 1)
  }

  isFixed(x: number): boolean {
    return this.bound[2 * x]! === -this.bound[2 * x + 1]!
  }

  lo(x: number): number {
    return this.bound[2 * x]!
  }

  hi(x: number): number {
    return -this.bound[2 * x + 1]!
  }

  /** Raises a bound for the explanation under construction; false on conflict. */
  raise(side: number, value: number): boolean {
    const reason = this.building
    if (value <= this.bound[side]!) {
      this.arenaSize = reason
      return true
    }
    this.arena[reason] = (this.arenaSize - reason - 1) / 2
    if (value + this.bound[side ^ 1]! > 0) {
      this.conflict.length = 0
      for (let i = reason + 1; i < this.arenaSize; i++) this.conflict.push(this.arena[i]!)
      this.conflict.push(side ^ 1, 1 - value)
      this.arenaSize = reason
      return false
    }
    this.push(side, value, reason)
    return true
  }

  /** The literals under construction cannot all be true. */
  clash(): false {
    this.conflict.length = 0
    for (let i = this.building + 1; i < this.arenaSize; i++) this.conflict.push(this.arena[i]!)
    this.arenaSize = this.building
    return false
  }
}
