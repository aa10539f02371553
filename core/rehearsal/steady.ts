import { comparePlans, type Plan } from '../plan'
import type { Problem } from '../problem'
import { quantile, rehearse } from './rehearse'

/** How much of a longest wait is kept as room, and at most so many seconds of it. */
const ROOM = 0.25
const MOST_ROOM = 900
/** Runs that each plan is judged by. */
const RUNS = 120

/**
 * The same problem with room before every longest wait: what is planned for it is a plan of the problem
 * itself, in which a step may be some minutes late before food stands too long.
 */
export const withRoom = (problem: Problem): Problem => ({
  ...problem,
  relations: problem.relations.map((r) =>
    r.max === undefined
      ? r
      : {
          ...r,
          max: Math.max(r.min, Math.ceil(r.max - Math.min(MOST_ROOM, ROOM * Math.max(0, r.max)))),
        },
  ),
})

/** A plan among others, and when people are finished with it in four of five runs, in seconds. */
export interface Steady {
  plan: Plan
  eighty: number
  /** The same of the plan that the objectives alone would have. */
  otherwise: number
  /** How many plans it was chosen from. */
  of: number
}

/**
 * Of plans for a problem, the one with which people are finished soonest in four of five runs, among
 * those that its allowance leaves; the best by its objectives where they are equal. What is proven is
 * what `found` says; the others may be plans of a stricter problem.
 */
export function steadiest(
  problem: Problem,
  found: Plan,
  others: readonly Plan[],
): Steady | undefined {
  if (problem.objective[0] !== 'makespan') return undefined
  const plans = [found, ...others.filter((p) => p.activities.length)]
  const shortest = Math.min(...plans.map((p) => p.shortest ?? p.makespan))
  const most = shortest + (problem.allowance?.makespan ?? 0)
  const allowed = plans
    .filter((p) => p.makespan <= most)
    .sort((a, b) => comparePlans(problem, a, b))
  const judged = allowed.map((plan) => ({
    plan,
    eighty: quantile(rehearse(problem, plan, { runs: RUNS }).finishes, 0.8),
  }))
  if (!judged.length) return undefined
  const best = judged.reduce((a, b) => (b.eighty < a.eighty ? b : a))
  const { bound } = found
  return {
    plan: { ...best.plan, shortest, bound, status: bound === shortest ? 'optimal' : 'feasible' },
    eighty: best.eighty,
    otherwise: judged[0]!.eighty,
    of: judged.length,
  }
}
