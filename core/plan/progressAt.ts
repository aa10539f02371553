import { ownValue, type Problem, type Progress } from '../problem'
import type { Plan } from './schema'

/**
 * The facts at `now`, in seconds, if everything went as planned until then: what began before
 * now, its ends left open where they lie ahead, and the choices that this has decided.
 */
export function progressAt(problem: Problem, plan: Plan, now: number): Progress {
  const begun = plan.activities.filter((a) => a.start < now)
  const ids = new Set(begun.map((a) => a.id))
  const open = <T extends { from: number; to: number }>(list: T[], last = now) =>
    list.filter((x) => x.from < now).map((x) => ({ ...x, to: x.to <= last ? x.to : null }))
  return {
    now,
    choices: Object.fromEntries(
      problem.choices
        .filter((c) => c.options.some((o) => o.activities.some((a) => ids.has(a))))
        .map((c) => [c.id, ownValue(plan.choices, c.id)!]),
    ),
    activities: begun.map((a) => {
      if (a.end <= now) return a
      const phases = a.phases.filter((p, k) => k === 0 || p.from < now)
      return {
        ...a,
        end: null,
        phases: phases.map((p, k) => ({ ...p, to: k === phases.length - 1 ? null : p.to })),
      }
    }),
    holds: open(plan.holds.filter((h) => ids.has(problem.holds.find((x) => x.id === h.id)!.from))),
    chores: open(plan.chores),
    // A phase that ends at this very moment is still under way, and so is its heat.
    heats: open(plan.heats, now - 1),
  }
}
