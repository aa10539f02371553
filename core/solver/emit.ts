import { checkPlan, objectiveValue, type Plan, type PlanStatus } from '../plan'
import type { MActivity, Model } from './model'
import type { Schedule } from './schedule'

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

/** The finished schedule as plain data, activities by start. */
export function planBody(model: Model, schedule: Schedule): PlanBody {
  const { problem } = model
  const present = model.activities.filter((a) => schedule.present[a.index])
  const latest = present.reduce((most, a) => Math.max(most, schedule.end[a.index]!), 0)
  const counted = present.filter((a) => !a.aside)
  return {
    makespan: counted.reduce((most, a) => Math.max(most, schedule.end[a.index]!), 0),
    choices: Object.fromEntries(
      problem.choices.map((c, k) => [c.id, c.options[schedule.options[k]!]!.id]),
    ),
    activities: present
      .map((a) => {
        const over = factRun(a)
        if (over) return over
        const mode = a.modes[schedule.mode[a.index]!]!
        return {
          id: problem.activities[a.index]!.id,
          mode: problem.activities[a.index]!.modes[mode.index]!.id,
          start: schedule.start[a.index]!,
          end: schedule.end[a.index]!,
          stations: schedule.served[a.index]!.map((s) => problem.stations[s]!.id),
          phases: schedule.phases[a.index]!.map(({ from, to, cook }) =>
            cook < 0 ? { from, to } : { from, to, cook: problem.cooks[cook]!.id },
          ),
        }
      })
      .sort((a, b) => a.start - b.start || a.end - b.end),
    holds: model.holds
      .filter((h) => schedule.present[h.from] && (h.to < 0 || schedule.present[h.to]))
      .map((h) => ({
        id: problem.holds[h.index]!.id,
        station: problem.stations[h.fact?.station ?? schedule.heldBy[h.index]!]!.id,
        from: schedule.start[h.from]!,
        to: h.fact?.to != null ? h.fact.to : h.to < 0 ? latest : schedule.end[h.to]!,
      })),
    chores: schedule.stations.flatMap((s) =>
      s.chores.map((c) => ({
        kind: 'wash' as const,
        station: problem.stations[s.station.index]!.id,
        cook: problem.cooks[c.cook]!.id,
        from: c.from,
        to: c.to,
      })),
    ),
    heats: schedule.ovens.flatMap((oven, s) => [
      ...heatFacts(model, s),
      ...(oven?.segments() ?? []).map((h) => ({
        station: problem.stations[s]!.id,
        celsius: h.celsius,
        method: model.methods[h.method]!,
        from: h.from,
        to: h.to,
      })),
    ]),
  }
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
