import type { Model } from '../model/model'
import { factRun, heatFacts, type PlanBody } from '../model/planBody'
import type { PartialSchedule } from './partialSchedule'

/** The finished schedule as plain data, activities by start. */
export function planFromSchedule(model: Model, schedule: PartialSchedule): PlanBody {
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
