import type { Plan } from '../plan'
import type { Problem } from '../problem'
import { seeded } from '../solver'
import { Luck } from './draws'
import { follow, type Course } from './follow'
import { networkOf, type Network } from './network'
import { USUAL_TIMES, type Times } from './times'

/** One run of a session as a plan would have it been, had anybody known: everything when it came. */
export function played(
  problem: Problem,
  plan: Plan,
  {
    seed = 1,
    times = USUAL_TIMES,
    noise = 1,
  }: { seed?: number; times?: Times; noise?: number } = {},
): Plan {
  const net = networkOf(problem, plan)
  return coursePlan(problem, plan, net, follow(net, new Luck(seeded(seed), times, noise)))
}

/** A plan with everything when it came, or will come. */
export function coursePlan(problem: Problem, plan: Plan, net: Network, { at }: Course): Plan {
  const nodes = new Map(net.runs.map((r) => [r.activity.id, r]))
  const last = Math.max(...net.runs.map((r) => at[r.end]!))
  return {
    ...plan,
    makespan: Math.max(0, ...net.runs.map((r) => (r.activity.aside ? 0 : at[r.end]!))),
    activities: plan.activities.map((run, i) => {
      const { start, end } = net.runs[i]!
      return {
        ...run,
        start: at[start]!,
        end: at[end]!,
        phases: run.phases.map((p, k) => ({ ...p, from: at[start + k]!, to: at[start + k + 1]! })),
      }
    }),
    holds: plan.holds.map((hold) => {
      const { from, to } = problem.holds.find((h) => h.id === hold.id)!
      return {
        ...hold,
        from: at[nodes.get(from)!.start]!,
        to: to === null ? last : at[nodes.get(to)!.end]!,
      }
    }),
    chores: plan.chores.map((chore, i) => {
      const { from, to } = net.chores[i]!
      return { ...chore, from: at[from]!, to: at[to]! }
    }),
    heats: plan.heats.map((heat, i) => {
      const { begins, ends } = net.heats[i]!
      if (!begins.length) return heat
      return {
        ...heat,
        from: Math.min(...begins.map((x) => at[x]!)),
        to: Math.max(...ends.map((x) => at[x]!)),
      }
    }),
  }
}
