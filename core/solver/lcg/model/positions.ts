import type { SessionModel } from './sessionModel'

/**
 * About when each activity is done in the plan that the session model starts from: when it
 * begins there, or where it is left out, in the middle of the rest of its dish. 0 without a plan
 * and for what is no activity (-1).
 */
export function positions(session: SessionModel): (activity: number, phase?: number) => number {
  const { model, plan } = session
  const runs = new Map((plan?.activities ?? []).map((run) => [model.indexOf.get(run.id)!, run]))
  const dishOf = (i: number) => model.problem.activities[i]!.dish ?? model.problem.activities[i]!.id
  const dishes = new Map<string, { sum: number; count: number }>()
  for (const [i, run] of runs) {
    const { sum, count } = dishes.get(dishOf(i)) ?? { sum: 0, count: 0 }
    dishes.set(dishOf(i), { sum: sum + run.start, count: count + 1 })
  }
  return (activity, phase = 0) => {
    if (activity < 0) return 0
    const run = runs.get(activity)
    if (run) return run.phases[phase]?.from ?? run.start
    const dish = dishes.get(dishOf(activity))
    return dish ? dish.sum / dish.count : 0
  }
}
