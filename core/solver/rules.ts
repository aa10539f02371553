import { bakeTimes } from './bakeOrder'
import { earliest, requirements, tails, type Requirement } from './lags'
import type { Model } from './model'
import type { Random } from './random'

/** A way to say which activity goes first: for each activity a number, less is earlier. */
export type PriorityRule = (random: Random) => Float64Array

/**
 * The classic rules, over longest tails, latest times and whole dishes; where something bakes,
 * around an order of the ovens' temperatures. The last of them, one dish after another, nearly
 * always comes out: it is what a cook without a plan would do.
 */
export function priorityRules(model: Model): PriorityRule[] {
  const n = model.activities.length
  const all = new Uint8Array(n).fill(1)
  const list = requirements(model, all).filter((r) => r.to !== 2 * n)
  const at = earliest(model, list) ?? new Float64Array(2 * n + 1)
  const tail = tails(model, list, all)
  const starts = Float64Array.from({ length: n }, (_, i) => at[2 * i]!)
  const tailOf = Float64Array.from({ length: n }, (_, i) => Math.max(0, tail[2 * i]!))
  const span = Math.max(1, ...tailOf)
  const dish = dishRanks(model, tailOf)

  const rule = (value: (i: number, random: Random) => number): PriorityRule => {
    return (random) => Float64Array.from({ length: n }, (_, i) => value(i, random))
  }
  const bakes = !model.facts && model.activities.some((a) => a.modes.some((m) => m.heats))
  /** Upwards or downwards through the temperatures; within one, long tails first or as listed. */
  const around = (way: number, urgent: number): PriorityRule => {
    return () => {
      const times = bakeTimes(
        model,
        (i) => -urgent * tailOf[i]!,
        (celsius) => way * celsius,
      )
      return aroundBakes(model, list, times, tailOf)
    }
  }
  return [
    rule((i) => -tailOf[i]!),
    rule((i) => starts[i]! - tailOf[i]!),
    rule((i) => Math.min(model.activities[i]!.due, model.deadline) - tailOf[i]!),
    rule((i) => -tailOf[i]! + model.activities[i]!.hygiene * span * 0.2),
    rule((i) => dish[i]! * span * 0.3 - tailOf[i]!),
    rule((i, random) => -tailOf[i]! * (0.7 + 0.6 * random())),
    ...(bakes ? [1, -1].flatMap((way) => [1, 0].map((urgent) => around(way, urgent))) : []),
    rule((i) => dish[i]! * span * 10 + starts[i]!),
  ]
}

/** When each step would begin for the bakes to be in time; the rest as late as its tail allows. */
function aroundBakes(
  model: Model,
  list: Requirement[],
  times: (number | undefined)[],
  tailOf: Float64Array,
): Float64Array {
  const n = model.activities.length
  const length = times.reduce<number>((most, t, i) => Math.max(most, (t ?? 0) + tailOf[i]!), 0)
  const keys = Float64Array.from({ length: n }, (_, i) => length - tailOf[i]!)
  const into: Requirement[][] = Array.from({ length: 2 * n }, () => [])
  for (const r of list) if (r.from !== 2 * n) into[r.to]!.push(r)
  const before = new Float64Array(2 * n)
  times.forEach((time, i) => {
    if (time === undefined) return
    before.fill(-Infinity)
    before[2 * i] = 0
    const queue = [2 * i]
    // Each node once for every longer path to it; lags that contradict would go round for ever.
    for (let head = 0; head < queue.length && head < 64 * n; head++) {
      const node = queue[head]!
      for (const r of into[node]!)
        if (before[node]! + r.weight > before[r.from]!) {
          before[r.from] = before[node]! + r.weight
          queue.push(r.from)
        }
    }
    for (let j = 0; j < n; j++)
      if (before[2 * j]! > -Infinity) keys[j] = Math.min(keys[j]!, time - before[2 * j]!)
  })
  return keys
}

/** Dishes by their longest tail, the longest first. */
function dishRanks(model: Model, tailOf: Float64Array): number[] {
  const longest = new Map<string, number>()
  const name = (i: number) => model.problem.activities[i]!.dish ?? model.problem.activities[i]!.id
  tailOf.forEach((t, i) => longest.set(name(i), Math.max(longest.get(name(i)) ?? 0, t)))
  const order = [...longest].sort((a, b) => b[1] - a[1]).map(([d]) => d)
  return model.activities.map((a) => order.indexOf(name(a.index)))
}
