import type { ObjectiveName } from '../problem'
import { CHORE } from './cookTime'
import { NEVER, type Model } from './model'
import type { Schedule } from './schedule'

/** The values of the problem's objectives for a finished schedule, in order; less is better. */
export function objectives(model: Model, schedule: Schedule): number[] {
  return model.problem.objective.map((name) => valueOf(name, model, schedule))
}

function valueOf(name: ObjectiveName, model: Model, schedule: Schedule): number {
  switch (name) {
    case 'makespan':
      return counted(model, schedule).reduce((most, i) => Math.max(most, schedule.end[i]!), 0)
    case 'handsFree':
      return hands(model, schedule).reduce((most, [, , to]) => Math.max(most, to), 0)
    case 'handsSpread':
      return handsSpread(model, schedule)
    case 'cost':
      return schedule.options.reduce((sum, o, c) => sum + model.choices[c]!.options[o]!.cost, 0)
    case 'heatChanges':
      return schedule.ovens.reduce(
        (sum, o) => sum + Math.max(0, (o?.segments().length ?? 1) - 1),
        0,
      )
    case 'lateStart': {
      const starts = counted(model, schedule).map((i) => schedule.start[i]!)
      return starts.length ? -Math.min(...starts) : 0
    }
  }
}

const counted = (model: Model, schedule: Schedule) =>
  model.activities.filter((a) => schedule.present[a.index] && !a.aside).map((a) => a.index)

/** All hands work that counts: `[cook, from, to]`. Work on what runs on aside does not. */
function hands(model: Model, schedule: Schedule): [number, number, number][] {
  const out: [number, number, number][] = []
  for (const i of counted(model, schedule)) {
    const phases = model.activities[i]!.modes[schedule.mode[i]!]!.phases
    schedule.phases[i]!.forEach((p, k) => {
      if (phases[k]!.hands) out.push([p.cook, p.from, p.to])
    })
  }
  schedule.cooks.forEach((cook, c) => {
    for (const b of cook.blocks) if (b.hygiene === CHORE) out.push([c, b.from, b.to])
  })
  return out
}

function handsSpread(model: Model, schedule: Schedule): number {
  const first = model.cooks.map(() => Infinity)
  const last = model.cooks.map(() => 0)
  let work = 0
  for (const [cook, from, to] of hands(model, schedule)) {
    first[cook] = Math.min(first[cook]!, from)
    last[cook] = Math.max(last[cook]!, to)
    work += to - from
  }
  return first.reduce((sum, f, c) => sum + (f === Infinity ? 0 : last[c]! - f), 0) - work
}

/** Negative where `a` is better, positive where `b` is, 0 where they are equal in everything. */
export function compareObjectives(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! - b[i]!
  return 0
}

/** Seconds by which due times, pinned starts and the deadline are missed, summed. */
export function lateness(model: Model, schedule: Schedule): number {
  let late = 0
  const after = (at: number, limit: number) => (at > limit ? at - limit : 0)
  for (const a of model.activities) {
    if (!schedule.present[a.index]) continue
    const end = schedule.end[a.index]!
    late += after(schedule.start[a.index]!, a.latestStart)
    late += after(end, a.due) + after(end, model.deadline)
  }
  if (model.deadline < NEVER)
    for (const station of schedule.stations)
      for (const chore of station.chores) late += after(chore.to, model.deadline)
  return late
}
