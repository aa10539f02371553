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
  const times = timesOf(model, taken)
  const { starts, tailOf } = times
  const span = Math.max(1, ...tailOf)
  const dish = dishRanks(model, tailOf)

  const rule = (value: (i: number, random: Random) => number): PriorityRule => {
    return (random) => Float64Array.from({ length: n }, (_, i) => value(i, random))
  }
  const bakes = !model.facts && model.activities.some((a) => a.modes.some((m) => m.heats))
  /** Upwards or downwards through the temperatures; within one, long tails first or as listed. */
  const around = (way: number, urgent: number): PriorityRule => {
    return () => {
      const bakes = bakeTimes(
        model,
        taken,
        (i) => -urgent * tailOf[i]!,
        (celsius) => way * celsius,
      )
      return aroundBakes(times, bakes)
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

/** When steps can begin and how long it is from there to the end, by lags alone. */
export interface Times {
  /** Lags that end in each node. */
  into: Requirement[][]
  starts: Float64Array
  /** From the start, and from the end, of each to the end of everything. */
  tailOf: Float64Array
  afterOf: Float64Array
}

/**
 * Earliest starts, and tails from there: of what is taken by all lags, of the rest by least durations
 * and waits alone, which cannot contradict each other.
 */
export function timesOf(model: Model, taken: Uint8Array): Times {
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
  const mixed = (mine: ArrayLike<number>, others: ArrayLike<number>) =>
    Float64Array.from(mine, (x, node) => (node === 2 * n || taken[node >> 1] ? x : others[node]!))
  return timesIn(
    best.list,
    mixed(best.at ?? new Float64Array(2 * n + 1), other.at ?? new Float64Array(2 * n + 1)),
    mixed(best.tail, other.tail),
  )
}

/** The same from earliest instants of all nodes and tails, as in `lags.ts`. */
export function timesIn(list: Requirement[], at: Float64Array, tail: Float64Array): Times {
  const n = (at.length - 1) / 2
  const into: Requirement[][] = Array.from({ length: 2 * n }, () => [])
  for (const r of list) if (r.from !== 2 * n && r.to !== 2 * n) into[r.to]!.push(r)
  return {
    into,
    starts: Float64Array.from({ length: n }, (_, i) => at[2 * i]!),
    tailOf: Float64Array.from({ length: n }, (_, i) => Math.max(0, tail[2 * i]!)),
    afterOf: Float64Array.from({ length: n }, (_, i) => Math.max(0, tail[2 * i + 1]!)),
  }
}

/** When each step would begin for the bakes to be in time; the rest as late as its tail allows. */
function aroundBakes({ into, tailOf }: Times, bakes: (number | undefined)[]): Float64Array {
  const keys = new Float64Array(tailOf.length)
  const timed = [...bakes.keys()].filter((i) => bakes[i] !== undefined)
  keysAround(
    keys,
    tailOf,
    timed.map((i) => ({ tail: tailOf[i]!, before: pathsTo(2 * i, into) })),
    timed.map((i) => bakes[i]!),
  )
  return keys
}

/** Longest path from each node to this one, by which it comes at least so much later. */
export function pathsTo(node: number, into: Requirement[][]): Float64Array {
  const before = new Float64Array(into.length).fill(-Infinity)
  before[node] = 0
  const queue = [node]
  // Each node once for every longer path to it; lags that contradict would go round for ever.
  for (let head = 0; head < queue.length && head < 32 * into.length; head++) {
    const at = queue[head]!
    for (const r of into[at]!)
      if (before[at]! + r.weight > before[r.from]!) {
        before[r.from] = before[at]! + r.weight
        queue.push(r.from)
      }
  }
  return before
}

/**
 * Each step's priority where some begin at given times: as late as these allow, or else its tail;
 * `tail` goes from there to the end, `before` is of `pathsTo`.
 */
export function keysAround(
  keys: Float64Array,
  tailOf: Float64Array,
  timed: readonly { tail: number; before: Float64Array }[],
  times: ArrayLike<number>,
): void {
  const length = timed.reduce((most, { tail }, k) => Math.max(most, times[k]! + tail), 0)
  for (let i = 0; i < keys.length; i++) keys[i] = length - tailOf[i]!
  timed.forEach(({ before }, k) => {
    for (let i = 0; i < keys.length; i++) keys[i] = Math.min(keys[i]!, times[k]! - before[2 * i]!)
  })
}

/** Dishes by their longest tail, the longest first. */
function dishRanks(model: Model, tailOf: Float64Array): number[] {
  const longest = new Map<string, number>()
  const name = (i: number) => model.problem.activities[i]!.dish ?? model.problem.activities[i]!.id
  tailOf.forEach((t, i) => longest.set(name(i), Math.max(longest.get(name(i)) ?? 0, t)))
  const order = [...longest].sort((a, b) => b[1] - a[1]).map(([d]) => d)
  return model.activities.map((a) => order.indexOf(name(a.index)))
}
