import { checkPlan, objectiveValue, type Plan, type PlanStatus } from '../../plan'
import type { MActivity, Model } from './model'

/** Everything of a plan but its verdict. */
export type PlanBody = Pick<
  Plan,
  'choices' | 'activities' | 'holds' | 'chores' | 'heats' | 'makespan'
>

const NOTHING: PlanBody = {
  choices: {},
  activities: [],
  holds: [],
  chores: [],
  heats: [],
  makespan: 0,
}

/** An activity that lies behind, as it was. */
export function factRun(a: MActivity): PlanBody['activities'][number] | undefined {
  const { fact } = a
  if (fact?.end == null) return undefined
  return {
    ...fact,
    end: fact.end,
    phases: fact.phases.map((p) => ({ ...p, to: p.to! })),
  }
}

/** Holds that lie behind, as they were. */
export const holdFacts = (model: Model): PlanBody['holds'] =>
  (model.problem.progress?.holds ?? []).flatMap((h) => (h.to === null ? [] : [{ ...h, to: h.to }]))

/** Washes that lie behind or are under way, which end as soon as they may. */
export const choreFacts = (model: Model): PlanBody['chores'] =>
  (model.facts?.chores ?? []).flatMap((list, s) =>
    list.map(({ cook, from, to }) => ({
      kind: 'wash' as const,
      station: model.problem.stations[s]!.id,
      cook: model.problem.cooks[cook]!.id,
      from,
      to,
    })),
  )

/** Heat segments of a station that lie behind, as they were. */
export function heatFacts(model: Model, station: number): PlanBody['heats'] {
  return (model.problem.progress?.heats ?? []).flatMap((h) =>
    h.station === model.problem.stations[station]!.id && h.to !== null ? [{ ...h, to: h.to }] : [],
  )
}

/** How many breaches the independent checker finds in a plan's body. */
export function breachesOf(model: Model, body: PlanBody): number {
  const verdict = { status: 'feasible' as const, bound: 0, seed: 0, elapsedMs: 0, reasons: [] }
  const plan = planOf(model, body, verdict)
  // Nothing is claimed of a body: any bound that its own value does not beat.
  const bound = objectiveValue(model.problem, plan, model.problem.objective[0]!)
  return checkPlan(model.problem, { ...plan, bound }).length
}

export function planOf(
  model: Model,
  body: PlanBody | undefined,
  verdict: {
    status: PlanStatus
    shortest?: number | undefined
    bound: number
    seed: number
    elapsedMs: number
    reasons: string[]
  },
): Plan {
  return {
    format: 'cadrum/plan@1',
    problem: model.problem.name,
    ...(body ?? NOTHING),
    ...verdict,
    elapsedMs: Math.round(verdict.elapsedMs),
  }
}
