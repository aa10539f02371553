import type { KeptPlan } from './schema'

/**
 * Which of two plans of a session to keep. For the same problem that is the shorter one, with
 * the better bound of both; a search that found nothing never takes a plan away. A plan of
 * another problem always gives way.
 */
export function betterPlan(before: KeptPlan | undefined, now: KeptPlan): KeptPlan {
  if (!before || before.problem !== now.problem || !before.plan.activities.length) return now
  if (now.plan.status === 'infeasible') return now
  const keepsBefore = !now.plan.activities.length || before.plan.makespan < now.plan.makespan
  const [kept, other] = keepsBefore ? [before, now] : [now, before]
  if (other.plan.bound <= kept.plan.bound || other.plan.bound > kept.plan.makespan) return kept
  const { bound } = other.plan
  const status = bound === kept.plan.makespan ? 'optimal' : kept.plan.status
  return { ...kept, boundBy: other.boundBy, plan: { ...kept.plan, bound, status } }
}
