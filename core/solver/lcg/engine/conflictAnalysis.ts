import type { ActivityHeap } from './activityHeap'
import type { Trail } from './trail'

/** Looks for the reason of a conflict: what is learned is cut at its first unique implication point. */
export class ConflictAnalysis {
  /** Of the last cut: the highest level but the last on which something of it was decided. */
  back = 0
  /** Per side the value that is looked into, the entry that made it so, and whether it is. */
  private need = new Int32Array(0)
  private at = new Int32Array(0)
  private inSet = new Uint8Array(0)
  private readonly touched: number[] = []
  private current = 0

  constructor(
    private readonly trail: Trail,
    private readonly heap: ActivityHeap,
  ) {}

  seal(sides: number): void {
    this.need = new Int32Array(sides)
    this.at = new Int32Array(sides)
    this.inSet = new Uint8Array(sides)
  }

  /** The highest level that a conflict depends on; literals as (side, value) one after another. */
  levelOf(conflict: readonly number[]): number {
    let top = 0
    for (let i = 0; i < conflict.length; i += 2) {
      const e = this.trail.entryOf(conflict[i]!, conflict[i + 1]!)
      if (e >= 0 && this.trail.tLevel[e]! > top) top = this.trail.tLevel[e]!
    }
    return top
  }

  /**
   * What to learn from a conflict on the last level: a clause of (side, value) pairs, the one first
   * that is true once the last level has been taken back.
   */
  learn(conflict: readonly number[]): number[] {
    this.current = 0
    this.touched.length = 0
    for (let i = 0; i < conflict.length; i += 2) this.require1(conflict[i]!, conflict[i + 1]!)
    let uip = -1
    for (let e = this.trail.trailSize - 1; e >= 0; e--) {
      const side = this.trail.tSide[e]!
      if (!this.inSet[side] || this.at[side] !== e) continue
      if (this.current === 1) {
        uip = side
        break
      }
      this.inSet[side] = 0
      this.current--
      const reason = this.trail.tReason[e]!
      const count = this.trail.arena[reason]!
      for (let i = reason + 1; i <= reason + 2 * count; i += 2)
        this.require1(this.trail.arena[i]!, this.trail.arena[i + 1]!)
    }
    const boundLiterals = this.cut(uip)
    for (const side of this.touched) this.inSet[side] = 0
    return boundLiterals
  }

  /** The conflict under the first UIP, as a clause: the UIP's negation first. */
  private cut(uip: number): number[] {
    const boundLiterals = [uip ^ 1, 1 - this.need[uip]!]
    let back = 0
    for (const side of this.touched) {
      if (this.inSet[side] !== 1 || side === uip || this.redundant(side)) continue
      boundLiterals.push(side ^ 1, 1 - this.need[side]!)
      const level = this.trail.tLevel[this.at[side]!]!
      if (level > back) {
        back = level
        const last = boundLiterals.length - 2
        swapPairs(boundLiterals, 2, last)
      }
      // A side may be touched twice after having been resolved once: take it once.
      this.inSet[side] = 2
    }
    this.back = back
    return boundLiterals
  }

  private require1(side: number, value: number): void {
    const e = this.trail.entryOf(side, value)
    if (e < 0 || this.trail.tLevel[e] === 0) return
    const here = this.trail.tLevel[e] === this.trail.level
    if (this.inSet[side]) {
      if (this.need[side]! >= value) return
      if (here && this.trail.tLevel[this.at[side]!] !== this.trail.level) this.current++
    } else {
      this.inSet[side] = 1
      this.touched.push(side)
      if (here) this.current++
    }
    this.need[side] = value
    this.at[side] = e
    this.heap.bump(side >> 1)
  }

  /** Whether a literal of the cut follows from the others: then it need not be said. */
  private redundant(side: number): boolean {
    const reason = this.trail.tReason[this.at[side]!]!
    if (reason < 0) return false
    const count = this.trail.arena[reason]!
    for (let i = reason + 1; i <= reason + 2 * count; i += 2) {
      const s = this.trail.arena[i]!
      const v = this.trail.arena[i + 1]!
      // Only what came earlier counts, or two literals could each be left out for the other.
      if (this.inSet[s] && this.at[s]! < this.at[side]! && this.need[s]! >= v) continue
      const e = this.trail.entryOf(s, v)
      if (e >= 0 && this.trail.tLevel[e]! > 0) return false
    }
    return true
  }
}

function swapPairs(list: number[], i: number, j: number): void {
  for (let k = 0; k < 2; k++) {
    const kept = list[i + k]!
    list[i + k] = list[j + k]!
    list[j + k] = kept
  }
}
