import { compareValues } from '../plan'
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
  const difference = comparable ? compareValues(old, recent) : old[0]! - recent[0]!
  const keepsBefore = !now.plan.activities.length || difference <= 0
  const [best, other] = keepsBefore ? [before, now] : [now, before]
  const kept = { ...best, oneByOne: best.oneByOne ?? other.oneByOne }
  if (other.plan.bound <= kept.plan.bound || other.plan.bound > kept.plan.makespan) return kept
  const { bound } = other.plan
  const status = bound === kept.plan.makespan ? 'optimal' : kept.plan.status
  return { ...kept, boundBy: other.boundBy, plan: { ...kept.plan, bound, status } }
}

const valuesOf = ({ values, plan }: KeptPlan): number[] => values ?? [plan.makespan]
