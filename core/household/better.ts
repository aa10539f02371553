import { compareWithin } from '../plan'
import type { KeptPlan } from './schema'

/**
 * Which of two plans of a session to keep. For the same problem that is the one that is better in the
 * order of the objectives, and of equals the one that was there, with the better bound of both; a
 * search that found nothing never takes a plan away. A plan of another problem always gives way.
 */
export function betterPlan(before: KeptPlan | undefined, now: KeptPlan): KeptPlan {
  if (!before || before.problem !== now.problem || !before.plan.activities.length) return now
  if (now.plan.status === 'infeasible') return now
  const [old, recent] = [valuesOf(before), valuesOf(now)]
  const comparable = old.length === recent.length
  const difference =
    bySteadiness(before, now) ??
    (comparable
      ? compareWithin(
          { values: old, best: shortestOf(before) },
          { values: recent, best: shortestOf(now) },
          now.free ?? 0,
        )
      : old[0]! - recent[0]!)
  const keepsBefore = !now.plan.activities.length || difference <= 0
  const [best, other] = keepsBefore ? [before, now] : [now, before]
  const shortest = Math.min(shortestOf(best), shortestOf(other))
  const strict = shortestOf(best) > shortest ? other.strict : (best.strict ?? other.strict)
  const higher = other.plan.bound > best.plan.bound && other.plan.bound <= shortest
  const { bound } = higher ? other.plan : best.plan
  const changed = higher || shortest < shortestOf(best)
  return {
    ...best,
    oneByOne: best.oneByOne ?? other.oneByOne,
    ...(strict ? { strict } : {}),
    boundBy: higher ? other.boundBy : best.boundBy,
    plan: changed
      ? {
          ...best.plan,
          bound,
          shortest,
          status: bound === shortest ? 'optimal' : best.plan.status,
        }
      : best.plan,
  }
}

/**
 * Below 0 where the earlier of two plans within the allowance is the one that people are finished with
 * sooner; one that was rehearsed goes before one that was not.
 */
function bySteadiness(before: KeptPlan, now: KeptPlan): number | undefined {
  if (!before.steady && !now.steady) return undefined
  const most = Math.min(shortestOf(before), shortestOf(now)) + (now.free ?? 0)
  const of = ({ steady, plan }: KeptPlan) =>
    plan.makespan > most ? Infinity : (steady?.eighty ?? Number.MAX_VALUE)
  const [a, b] = [of(before), of(now)]
  return a === b ? undefined : a < b ? -1 : 1
}

const shortestOf = ({ plan }: KeptPlan): number => plan.shortest ?? plan.makespan

const valuesOf = ({ values, plan }: KeptPlan): number[] => values ?? [plan.makespan]
