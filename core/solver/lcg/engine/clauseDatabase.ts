import type { ExplainedBounds } from './explainedBounds'
import { grown } from '../../structures/growingArray'
import { Rows } from './rows'
import { PARAMS } from '../../params'

/** Words before the literals of a clause: length, and activity (0: not learned). */
const HEAD = 2
const { KEEP, MORE } = PARAMS.clauseDatabase

/** Clauses over bounds, each watched by two of its literals; those learned from conflicts are nogoods. */
export class ClauseDatabase {
  private memory = new Int32Array(65536)
  private used = 0
  /** Per side: (clause, threshold) pairs; the watched literal is false from there on. */
  private watches = new Rows(0, 2)
  private learned: number[] = []
  private limit = KEEP
  private age = 0

  seal(sides: number): void {
    this.watches = new Rows(sides, 2)
  }

  get wantsClearing(): boolean {
    return this.learned.length > this.limit
  }

  add(boundLiterals: number[], learned: boolean): void {
    const length = boundLiterals.length / 2
    const end = this.used + HEAD + boundLiterals.length
    if (end > this.memory.length) this.memory = grown(this.memory, end)
    const clause = this.used
    this.memory[clause] = length
    this.memory[clause + 1] = learned ? ++this.age : 0
    this.memory.set(boundLiterals, clause + HEAD)
    this.used += HEAD + boundLiterals.length
    if (learned) this.learned.push(clause)
    this.watch(clause, 0)
    this.watch(clause, 1)
  }

  /**
   * Forgets the older and longer half of what was learned, and what holds anyway. Only at
   * level 0 and after propagation, when every other clause has two literals that are not false.
   */
  clear(bounds: ExplainedBounds): void {
    const { memory } = this
    const worth = (c: number) => memory[c + 1]! - 40 * Math.max(0, memory[c]! - 3)
    const order = [...this.learned].sort((a, b) => worth(b) - worth(a))
    const gone = new Set(order.slice(order.length >> 1))
    const kept: [number[], number][] = []
    for (let c = 0; c < this.used; c += HEAD + 2 * memory[c]!)
      if (!gone.has(c)) {
        const open = this.openLiterals(bounds, c)
        if (open) kept.push([open, memory[c + 1]!])
      }
    this.used = 0
    this.learned = []
    this.watches.sizes.fill(0)
    for (const [boundLiterals, age] of kept) {
      const clause = this.used
      this.add(boundLiterals, age > 0)
      this.memory[clause + 1] = age
    }
    this.limit += MORE
  }

  /** The literals that are not false, or undefined where one is true. */
  private openLiterals(bounds: ExplainedBounds, clause: number): number[] | undefined {
    const { memory } = this
    const open: number[] = []
    const end = clause + HEAD + 2 * memory[clause]!
    for (let k = clause + HEAD; k < end; k += 2) {
      const [side, value] = [memory[k]!, memory[k + 1]!]
      if (bounds.bound[side]! >= value) return undefined
      if (bounds.bound[side ^ 1]! < 1 - value) open.push(side, value)
    }
    return open
  }

  propagate(bounds: ExplainedBounds, side: number): boolean {
    const { watches } = this
    const { at, sizes } = watches
    let list = watches.memory
    const from = at[side]!
    const to = from + sizes[side]!
    const { memory } = this
    const { bound } = bounds
    const reached = bound[side]!
    let keep = from
    for (let i = from; i < to; i += 2) {
      const clause = list[i]!
      const threshold = list[i + 1]!
      if (threshold > reached) {
        list[keep++] = clause
        list[keep++] = threshold
        continue
      }
      const first = clause + HEAD
      if (memory[first] === (side ^ 1) && memory[first + 1] === 1 - threshold)
        this.swap(first, first + 2)
      const s0 = memory[first]!
      const v0 = memory[first + 1]!
      if (bound[s0]! < v0 && this.rewatch(bounds, clause)) {
        list = watches.memory
        continue
      }
      list[keep++] = clause
      list[keep++] = threshold
      if (bound[s0]! >= v0) continue
      bounds.explain()
      const end = first + 2 * memory[clause]!
      for (let k = first + 2; k < end; k += 2) bounds.because(memory[k]! ^ 1, 1 - memory[k + 1]!)
      if (bounds.raise(s0, v0)) continue
      for (let j = i + 2; j < to; j++) list[keep++] = list[j]!
      sizes[side] = keep - from
      return false
    }
    sizes[side] = keep - from
    return true
  }

  /** Finds another literal that is not false to watch in the second place. */
  private rewatch(bounds: ExplainedBounds, clause: number): boolean {
    const { memory } = this
    const { bound } = bounds
    const end = clause + HEAD + 2 * memory[clause]!
    for (let k = clause + HEAD + 4; k < end; k += 2) {
      if (bound[memory[k]! ^ 1]! >= 1 - memory[k + 1]!) continue
      this.swap(clause + HEAD + 2, k)
      this.watch(clause, 1)
      return true
    }
    return false
  }

  private watch(clause: number, place: number): void {
    const at = clause + HEAD + 2 * place
    const key = this.memory[at]! ^ 1
    const row = this.watches.room(key)
    const list = this.watches.memory
    list[row] = clause
    list[row + 1] = 1 - this.memory[at + 1]!
  }

  private swap(i: number, j: number): void {
    const { memory } = this
    const s = memory[i]!
    const v = memory[i + 1]!
    memory[i] = memory[j]!
    memory[i + 1] = memory[j + 1]!
    memory[j] = s
    memory[j + 1] = v
  }
}
