import { compareValues } from '../../plan'
import type { Problem } from '../../problem'
import { PARAMS } from '../params'

const { CHANGE_OF_DISH, STEP, BEYOND, SPENT, FIRST } = PARAMS.allowances

/**
 * Which objective is being made small, and what those before it may be meanwhile: first all strictly in
 * their order; then, one allowance after the other, the objectives behind it among plans that are worse
 * by no more than it leaves free.
 */
export class Allowances {
  /** Objectives with something free, by their place among the values, and the best of each. */
  private readonly list: { at: number; free: number; best: number }[]
  private readonly units: number[]
  private used = 0
  private share = 1

  /** @param inserted values that stand between the first objective's and the second's */
  constructor({ objective, allowance }: Problem, inserted: number) {
    const place = (k: number) => (k === 0 ? 0 : k + inserted)
    this.list = objective.slice(0, -1).flatMap((name, k) => {
      const free = allowance?.[name] ?? 0
      return free > 0 ? [{ at: place(k), free, best: Infinity }] : []
    })
    this.units = objective.map((name) => (name === 'switches' ? CHANGE_OF_DISH : 1))
    this.units.splice(1, 0, ...new Array<number>(inserted).fill(1))
  }

  /** How many there are, and so how many turns of the search behind the first one. */
  get turns(): number {
    return this.list.length
  }

  /** How many are made use of by now. */
  get turn(): number {
    return this.used
  }

  /** The place among the values of what is being made small. */
  get aim(): number {
    return this.used ? this.list[this.used - 1]!.at + 1 : 0
  }

  /** The next of them, with what has been found without it. */
  next(best: readonly number[]): void {
    this.share = FIRST
    const entry = this.list[this.used++]
    if (entry) entry.best = Math.min(entry.best, best[entry.at]!)
  }

  /** Whether all of every one is left free by now. */
  get all(): boolean {
    return this.used === this.list.length && (this.used === 0 || this.share === 1)
  }

  /** Leaves all of the latest free that there is; whether that was not so before. */
  widen(): boolean {
    const widened = this.share < 1
    this.share = 1
    return widened
  }

  private mostOf({ best, free }: { best: number; free: number }, k: number): number {
    return best + Math.floor(free * (k === this.used - 1 ? this.share : 1))
  }

  /** Takes note of the values of a plan that keeps all rules. */
  tell(values: readonly number[]): void {
    for (const [k, entry] of this.list.slice(0, this.used).entries()) {
      const earlier = this.list.slice(0, k)
      if (earlier.some((e, j) => values[e.at]! > this.mostOf(e, j))) return
      entry.best = Math.min(entry.best, values[entry.at]!)
    }
  }

  /** The values with what is free counting as equal. */
  within(values: readonly number[]): number[] {
    const out = [...values]
    for (let k = 0; k < this.used; k++) {
      const entry = this.list[k]!
      out[entry.at] = Math.max(out[entry.at]!, this.mostOf(entry, k))
    }
    return out
  }

  /** Below 0 where the first is the better one. */
  compare(a: readonly number[], b: readonly number[]): number {
    return this.used
      ? compareValues(this.within(a), this.within(b)) || compareValues(a, b)
      : compareValues(a, b)
  }

  /** One number for the values, for a search: what may be is compared with `best`, which is. */
  weighted(values: readonly number[], best: readonly number[] | undefined): number {
    const { aim, units } = this
    const there = this.within(values)
    const mayBe = best && this.within(best)
    let weight = 1
    let sum = 0
    for (let k = 0; k < there.length; k++) {
      if (k < aim) {
        const beyond = Math.max(0, there[k]! - (mayBe?.[k] ?? there[k]!))
        sum += units[k]! * (BEYOND * beyond + SPENT * values[k]!)
      } else {
        sum += weight * units[k]! * there[k]!
        weight *= STEP
      }
    }
    return sum
  }
}
