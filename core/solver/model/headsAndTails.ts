import { lagsAmong, earliestTimes, timeLags, tails, type TimeLag } from './temporalNetwork'
import type { Model } from './model'

/** When steps can begin and how long it is from there to the end, by lags alone. */
export interface HeadsAndTails {
  /** Lags that end in each node. */
  into: TimeLag[][]
  starts: Float64Array
  /** From the start, and from the end, of each to the end of everything. */
  tailOf: Float64Array
  afterOf: Float64Array
}

/**
 * Earliest starts, and tails from there: of what is taken by all lags, of the rest by least durations
 * and waits alone, which cannot contradict each other.
 */
export function headsAndTails(model: Model, taken: Uint8Array): HeadsAndTails {
  const n = model.activities.length
  const measure = (list: TimeLag[], present: Uint8Array) => ({
    list,
    at: earliestTimes(model, list),
    tail: tails(model, list, present),
  })
  const everything = new Uint8Array(n).fill(1)
  const list = timeLags(model, everything).filter((r) => r.to !== 2 * n)
  const least = list.filter((r) => r.weight >= 0)
  const other = measure(least, everything)
  const own = measure(lagsAmong(model, list, taken), taken)
  const best = own.at ? own : other
  const mixed = (mine: ArrayLike<number>, others: ArrayLike<number>) =>
    Float64Array.from(mine, (x, node) => (node === 2 * n || taken[node >> 1] ? x : others[node]!))
  const nowhere = new Float64Array(2 * n + 1)
  const at = mixed(best.at ?? nowhere, other.at ?? nowhere)
  return headsAndTailsIn(best.list, at, mixed(best.tail, other.tail))
}

/** The same from earliest instants of all nodes and tails, as in `lags.ts`. */
export function headsAndTailsIn(
  list: TimeLag[],
  at: Float64Array,
  tail: Float64Array,
): HeadsAndTails {
  const n = (at.length - 1) / 2
  const into: TimeLag[][] = Array.from({ length: 2 * n }, () => [])
  for (const r of list) if (r.from !== 2 * n && r.to !== 2 * n) into[r.to]!.push(r)
  return {
    into,
    starts: Float64Array.from({ length: n }, (_, i) => at[2 * i]!),
    tailOf: Float64Array.from({ length: n }, (_, i) => Math.max(0, tail[2 * i]!)),
    afterOf: Float64Array.from({ length: n }, (_, i) => Math.max(0, tail[2 * i + 1]!)),
  }
}
