import { byTemperature } from './ovenSequencingHeuristics'
import { OvenSequencing } from './ovenSequencing'
import { markPresent, type Model } from '../model/model'
import type { Random } from '../structures/random'
import { headsAndTails } from '../model/headsAndTails'

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
  const times = headsAndTails(model, taken)
  const { starts, tailOf } = times
  const span = Math.max(1, ...tailOf)
  const dish = dishRanks(model, tailOf)

  const rule = (value: (i: number, random: Random) => number): PriorityRule => {
    return (random) => Float64Array.from({ length: n }, (_, i) => value(i, random))
  }
  const bakes = !model.facts && model.activities.some((a) => a.modes.some((m) => m.heats))
  let sequence: OvenSequencing | undefined
  /** Upwards or downwards through the temperatures; within one, long tails first or as listed. */
  const around = (way: number, urgent: number): PriorityRule => {
    return () => {
      sequence ??= new OvenSequencing(model, (a) => taken[a.index] === 1, times)
      const order = byTemperature(sequence, way, (i) => -urgent * tailOf[i]!)
      sequence.lengthOf(order)
      return sequence.priorities(new Float64Array(n))
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

/** Dishes by their longest tail, the longest first. */
function dishRanks(model: Model, tailOf: Float64Array): number[] {
  const longest = new Map<string, number>()
  const name = (i: number) => model.problem.activities[i]!.dish ?? model.problem.activities[i]!.id
  tailOf.forEach((t, i) => longest.set(name(i), Math.max(longest.get(name(i)) ?? 0, t)))
  const order = [...longest].sort((a, b) => b[1] - a[1]).map(([d]) => d)
  return model.activities.map((a) => order.indexOf(name(a.index)))
}
