import { ownValue, type Problem, type Progress } from '../problem'
import type { Plan } from '../plan'
import type { Course } from './follow'
import type { Network } from './network'

/** What has happened by an instant of a run, as the contract words it: what began before, with its ends so far. */
export function factsAt(
  problem: Problem,
  plan: Plan,
  net: Network,
  { at }: Course,
  now: number,
): Progress {
  const begun = plan.activities.flatMap((run, i) =>
    at[net.runs[i]!.start]! < now ? [{ run, nodes: net.runs[i]! }] : [],
  )
  const ids = new Set(begun.map(({ run }) => run.id))
  const ended = (x: number) => (at[x]! <= now ? at[x]! : null)
  const endOf = new Map(begun.map(({ run, nodes }) => [run.id, ended(nodes.end)]))
  return {
    now,
    choices: Object.fromEntries(
      problem.choices
        .filter((c) => c.options.some((o) => o.activities.some((a) => ids.has(a))))
        .map((c) => [c.id, ownValue(plan.choices, c.id)!]),
    ),
    activities: begun.map(({ run, nodes: { start, end } }) => {
      const phases = run.phases
        .map((p, k) => ({ ...p, from: at[start + k]!, to: ended(start + k + 1) }))
        .filter((p, k) => k === 0 || p.from < now)
      // One that is over by the last moment of its last phase is over.
      const over = ended(end) !== null && phases.length === run.phases.length
      return {
        ...run,
        start: at[start]!,
        end: over ? at[end]! : null,
        phases: over
          ? phases
          : phases.map((p, k) => (k < phases.length - 1 ? p : { ...p, to: null })),
      }
    }),
    holds: plan.holds.flatMap((hold) => {
      const spec = problem.holds.find((h) => h.id === hold.id)!
      const from = plan.activities.findIndex((r) => r.id === spec.from)
      if (!ids.has(spec.from)) return []
      const to = spec.to === null ? null : (endOf.get(spec.to) ?? null)
      return [{ ...hold, from: at[net.runs[from]!.start]!, to }]
    }),
    chores: plan.chores.flatMap((chore, i) => {
      const { from, to } = net.chores[i]!
      return at[from]! < now ? [{ ...chore, from: at[from]!, to: ended(to) }] : []
    }),
    heats: plan.heats.flatMap((heat, i) => {
      const { begins, ends } = net.heats[i]!
      if (!begins.length) return []
      const from = Math.min(...begins.map((x) => at[x]!))
      if (from >= now) return []
      const to = Math.max(...ends.map((x) => at[x]!))
      // What ends at this very moment is still under way, and so is its heat.
      return [{ ...heat, from, to: to < now ? to : null }]
    }),
  }
}
