import { proxy } from 'comlink'
import { betterPlan, type KeptPlan } from '~~/core/household'
import { comparePlans, type Plan } from '~~/core/plan'
import type { Problem } from '~~/core/problem'
import type { CheckedPlan, PlanningProgress, PlanningResult } from './planner.worker'
import { workTogether } from './planners'

/** Searches beside the first one, at most: each wants a core and the memory of a search. */
const MOST_HELPERS = 3
/** Far apart, so that no two searches begin alike. */
const SEED_STEP = 7919

/** Half of the cores search: the page, and whatever else runs here, want some too. */
const helpersHere = () =>
  Math.min(MOST_HELPERS, Math.max(0, Math.floor((navigator.hardwareConcurrency || 1) / 2) - 1))

/**
 * Plans in one worker or several that tell each other every better plan at once; the first proof
 * ends them all. `kept` makes of a result what is kept of it, so that the best of all and the best
 * bound of all come back as one; undefined where the run was ended before.
 */
export function planTogether(
  problem: Problem,
  options: { seconds: number; seed: number; previous?: Plan | undefined },
  kept: (result: PlanningResult) => KeptPlan,
  onProgress: (progress: PlanningProgress) => void,
): { result: Promise<KeptPlan | undefined>; stop: () => void; end: () => void } {
  let shortest = Infinity
  let best: Plan | undefined
  let bound = 0
  const each = new Map<number, number>()
  const team = workTogether(1 + helpersHere(), async (planner, who) => {
    const found = await planner.plan(
      problem,
      { ...options, seed: options.seed + SEED_STEP * who, compared: who === 0 },
      proxy((p: PlanningProgress) => hear(who, p)),
    )
    if (found.plan.status === 'optimal' || found.plan.status === 'infeasible') team.stop()
    return kept(found)
  })

  function hear(who: number, p: PlanningProgress) {
    each.set(who, p.iterations)
    bound = Math.max(bound, p.bound)
    let better: CheckedPlan | undefined
    if (p.best !== undefined) shortest = Math.min(shortest, p.best)
    if (p.better && (!best || comparePlans(problem, p.better.plan, best) < 0)) {
      better = p.better
      best = better.plan
      const { plan } = better
      team.tell((planner) => planner.receive(plan), who)
    }
    if (who === 0 || better)
      onProgress({
        ...p,
        best: shortest < Infinity ? shortest : undefined,
        bound: Math.min(bound, shortest),
        iterations: [...each.values()].reduce((a, b) => a + b, 0),
        better,
      })
  }

  const result = team.result.then((all) => {
    const proof = all?.find((k) => k.plan.status === 'infeasible')
    if (!all || proof) return proof
    // The first has been measured against one dish after another: that is kept.
    const { oneByOne } = all[0]!
    return { ...all.reduce((best, next) => betterPlan(best, next)), oneByOne }
  })
  return { result, stop: team.stop, end: team.end }
}
