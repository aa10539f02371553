import { bakeTimes } from './bakeOrder'
import { among, earliest, requirements, tails, type Requirement } from './lags'
import { markPresent, type Model } from './model'
import type { Random } from './random'

/** A way to say which activity goes first: for each activity a number, less is earlier. */
export type PriorityRule = (random: Random) => Float64Array

export type RuleName =
  | 'tail'
  | 'early'
  | 'due'
  | 'clean'
  | 'dish'
  | 'shaken'
  | 'upUrgent'
  | 'up'
  | 'downUrgent'
  | 'down'
  | 'oneByOne'

/**
 * The classic rules, over longest tails, latest times and whole dishes; where something bakes,
 * around an order of the ovens' temperatures, upwards or downwards. One dish after another nearly
 * always comes out: it is what a cook without a plan would do. They go by what the given options
 * consist of: other ways to do the same, taken together, contradict each other.
 */
export function priorityRules(
  model: Model,
  options: ArrayLike<number>,
): Map<RuleName, PriorityRule> {
  const n = model.activities.length
  const taken = new Uint8Array(n)
  markPresent(model, options, taken)
  const { list, starts, tailOf } = timesOf(model, taken)
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
        taken,
        (i) => -urgent * tailOf[i]!,
        (celsius) => way * celsius,
      )
      return aroundBakes(model, list, times, tailOf)
    }
  }
  const rules = new Map<RuleName, PriorityRule>([
    ['tail', rule((i) => -tailOf[i]!)],
    ['early', rule((i) => starts[i]! - tailOf[i]!)],
    ['due', rule((i) => Math.min(model.activities[i]!.due, model.deadline) - tailOf[i]!)],
    ['clean', rule((i) => -tailOf[i]! + model.activities[i]!.hygiene * span * 0.2)],
    ['dish', rule((i) => dish[i]! * span * 0.3 - tailOf[i]!)],
    ['shaken', rule((i, random) => -tailOf[i]! * (0.7 + 0.6 * random()))],
    ['oneByOne', rule((i) => dish[i]! * span * 10 + starts[i]!)],
  ])
  if (bakes) {
    rules.set('upUrgent', around(1, 1)).set('up', around(1, 0))
    rules.set('downUrgent', around(-1, 1)).set('down', around(-1, 0))
  }
  return rules
}

/**
 * Earliest starts, and tails from there: of what is taken by all lags, of the rest by least durations
 * and waits alone, which cannot contradict each other.
 */
function timesOf(model: Model, taken: Uint8Array) {
  const n = model.activities.length
  const measure = (list: Requirement[], present: Uint8Array) => ({
    list,
    at: earliest(model, list),
    tail: tails(model, list, present),
  })
  const everything = new Uint8Array(n).fill(1)
  const list = requirements(model, everything).filter((r) => r.to !== 2 * n)
  const least = list.filter((r) => r.weight >= 0)
  const other = measure(least, everything)
  const own = measure(among(model, list, taken), taken)
  const best = own.at ? own : other
  const from = (i: number) => (taken[i] ? best : other)
  return {
    list: best.list,
    starts: Float64Array.from({ length: n }, (_, i) => from(i).at?.[2 * i] ?? 0),
    tailOf: Float64Array.from({ length: n }, (_, i) => Math.max(0, from(i).tail[2 * i]!)),
  }
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
