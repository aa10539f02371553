import { BRIEF, switches } from '../../plan'
import { isOver, NEVER, type Model } from '../model/model'
import type { PartialSchedule } from './partialSchedule'

/**
 * The values for a schedule of a session that has not begun, without making a plan of it first: a
 * search asks after every decode, and makes plans of few.
 */
export function valuesOfSchedule(model: Model, schedule: PartialSchedule): number[] {
  const { present, start, end } = schedule
  let makespan = 0
  let earliest = NEVER
  const first = model.cooks.map(() => NEVER)
  const last = model.cooks.map(() => 0)
  let busy = 0
  const asked = model.problem.objective.includes('switches')
  const stays: Parameters<typeof switches>[0][number][] = []
  const work = (cook: number, from: number, to: number) => {
    if (from < first[cook]!) first[cook] = from
    if (to > last[cook]!) last[cook] = to
    busy += to - from
  }
  for (const a of model.activities) {
    const i = a.index
    if (!present[i] || a.aside) continue
    if (end[i]! > makespan) makespan = end[i]!
    if (start[i]! < earliest) earliest = start[i]!
    const { phases } = a.modes[schedule.mode[i]!]!
    const runs = schedule.phases[i]!
    const { dish } = model.problem.activities[i]!
    for (let k = 0; k < runs.length; k++)
      if (phases[k]!.hands) {
        const { cook, from, to } = runs[k]!
        work(cook, from, to)
        if (asked && to - from > BRIEF) stays.push({ cook: String(cook), from, to, dish })
      }
  }
  for (const station of schedule.stations)
    for (const c of station.chores) work(c.cook, c.from, c.to)
  return model.problem.objective.map((name) => {
    switch (name) {
      case 'makespan':
        return makespan
      case 'handsFree':
        return last.reduce((most, t) => Math.max(most, t), 0)
      case 'handsSpread':
        return last.reduce((sum, t, c) => sum + (first[c]! < NEVER ? t - first[c]! : 0), -busy)
      case 'cost':
        return schedule.options.reduce(
          (sum, option, c) => sum + model.choices[c]!.options[option]!.cost,
          0,
        )
      case 'heatChanges':
        return schedule.ovens.reduce((sum, oven) => {
          const segments = oven?.segments().length ?? 0
          return sum + Math.max(0, segments - 1)
        }, 0)
      case 'lateStart':
        return earliest < NEVER ? -earliest : 0
      case 'switches':
        return switches(stays)
    }
  })
}

/** Seconds by which due times, pinned starts and the deadline are missed, summed. */
export function lateness(model: Model, schedule: PartialSchedule): number {
  let late = 0
  const after = (at: number, limit: number) => (at > limit ? at - limit : 0)
  for (const a of model.activities) {
    if (!schedule.present[a.index]) continue
    if (isOver(a)) continue
    const end = schedule.end[a.index]!
    late += after(schedule.start[a.index]!, a.latestStart)
    late += after(end, a.due) + after(end, model.deadline)
  }
  if (model.deadline < NEVER)
    for (const station of schedule.stations)
      for (const chore of station.chores) late += after(chore.to, model.deadline)
  return late
}
