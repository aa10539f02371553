import { ownValue, type ObjectiveName, type Problem } from '../problem'
import type { Plan } from './schema'

interface Hands {
  cook: string
  from: number
  to: number
}

/** Hands work of at most so many seconds is no stay at a dish: `switches` passes over it. */
export const BRIEF = 120

/**
 * The value of one objective for a valid plan, as the contract words it: seconds, but for `cost`,
 * `heatChanges` and `switches`. Less is better, except for `lateStart`, which is the instant of the earliest start.
 */
export function objectiveValue(problem: Problem, plan: Plan, name: ObjectiveName): number {
  const activities = new Map(problem.activities.map((a) => [a.id, a]))
  const runs = plan.activities.filter((r) => !activities.get(r.id)?.aside)
  const hands = (): Hands[] => [
    ...plan.chores,
    ...runs.flatMap((r) => {
      const mode = activities.get(r.id)?.modes.find((m) => m.id === r.mode)
      return r.phases.flatMap((p, k) =>
        mode?.phases[k]?.hands ? [{ cook: p.cook ?? '', from: p.from, to: p.to }] : [],
      )
    }),
  ]
  switch (name) {
    case 'makespan':
      return Math.max(0, ...runs.map((r) => r.end))
    case 'handsFree':
      return Math.max(0, ...hands().map((h) => h.to))
    case 'handsSpread':
      return handsSpread(hands(), ({ from, to }) => to - from)
    case 'cost':
      return problem.choices.reduce(
        (sum, c) => sum + (c.options.find((o) => o.id === ownValue(plan.choices, c.id))?.cost ?? 0),
        0,
      )
    case 'heatChanges':
      return plan.heats.length - new Set(plan.heats.map((h) => h.station)).size
    case 'lateStart':
      return runs.length ? Math.min(...runs.map((r) => r.start)) : 0
    case 'switches':
      return switches(
        runs.flatMap((r) => {
          const activity = activities.get(r.id)
          const mode = activity?.modes.find((m) => m.id === r.mode)
          return r.phases.flatMap((p, k) =>
            mode?.phases[k]?.hands
              ? [{ cook: p.cook ?? '', from: p.from, to: p.to, dish: activity?.dish }]
              : [],
          )
        }),
      )
  }
}

/** How often a cook goes from one dish to another: over hands work that is not brief, all cooks summed. */
export function switches(work: readonly (Hands & { dish: string | undefined })[]): number {
  const last = new Map<string, string | undefined>()
  let count = 0
  for (const { cook, dish } of work
    .filter(({ from, to }) => to - from > BRIEF)
    .sort((a, b) => a.from - b.from)) {
    if (last.has(cook) && last.get(cook) !== dish) count++
    last.set(cook, dish)
  }
  return count
}

/**
 * Seconds from each cook's first hands work to the last, less what `busyOf` counts as work, summed
 * over all cooks.
 */
export function handsSpread<T extends { cook: string; from: number; to: number }>(
  work: readonly T[],
  busyOf: (stretch: T) => number,
): number {
  const first = new Map<string, number>()
  const last = new Map<string, number>()
  let busy = 0
  for (const stretch of work) {
    const { cook, from, to } = stretch
    first.set(cook, Math.min(first.get(cook) ?? Infinity, from))
    last.set(cook, Math.max(last.get(cook) ?? 0, to))
    busy += busyOf(stretch)
  }
  return [...first].reduce((sum, [cook, f]) => sum + last.get(cook)! - f, 0) - busy
}

/** Whether more of an objective is better: only of the start, which is to be late. */
export const wantsMore = (name: ObjectiveName): boolean => name === 'lateStart'

/** The values of the problem's objectives in their order, turned so that less is better. */
export const valuesOfPlan = (problem: Problem, plan: Plan): number[] =>
  problem.objective.map((name) => {
    const value = objectiveValue(problem, plan, name)
    return wantsMore(name) ? 0 - value : value
  })

/** Below 0 where the first of two plans' values is the better one, in the order of the objectives. */
export function compareValues(a: readonly number[], b: readonly number[]): number {
  const k = a.findIndex((v, i) => v !== b[i])
  return k < 0 ? 0 : a[k]! - b[k]!
}

/** What two plans are compared by: `best` is the least known of the first value. */
export interface Valued {
  values: readonly number[]
  best: number
}

/**
 * Below 0 where the first is the better one of two plans of a problem that allows the first value to be
 * so much more than the best known of it: that counts as equal, and comes last.
 */
export function compareWithin(a: Valued, b: Valued, free: number): number {
  const most = Math.min(a.best, b.best) + free
  const cut = ({ values }: Valued) => values.map((v, k) => (k === 0 ? Math.max(v, most) : v))
  return (free > 0 ? compareValues(cut(a), cut(b)) : 0) || compareValues(a.values, b.values)
}

/** Below 0 where the first is the better plan for the problem, its allowance for the first objective counted. */
export function comparePlans(problem: Problem, a: Plan, b: Plan): number {
  const first = problem.objective[0]!
  const valued = (plan: Plan): Valued => {
    const values = valuesOfPlan(problem, plan)
    const best = plan.shortest ?? values[0]!
    return { values, best: wantsMore(first) ? 0 - best : best }
  }
  return compareWithin(valued(a), valued(b), problem.allowance?.[first] ?? 0)
}
