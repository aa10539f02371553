import { BRIEF, handsSpread, switches } from '../plan'
import { ownValue, type ObjectiveName } from '../problem'
import type { PlanBody } from './emit'
import { isOver, NEVER, type Model } from './model'
import type { Schedule } from './schedule'

/** The values of the problem's objectives for a plan's body, in order; less is better. */
export function valuesOfBody(model: Model, body: PlanBody): number[] {
  const counted = countedOf(model, body)
  return model.problem.objective.map((name) => valueOf(name, model, body, counted))
}

/**
 * The value of one objective where a step counts as work only for as long as it must last: it
 * cannot be made less by chopping slowly. For `handsSpread` no less than what `valuesOfBody` says,
 * for all others the same.
 */
export function strictValue(model: Model, body: PlanBody, name: ObjectiveName): number {
  const counted = countedOf(model, body)
  return name === 'handsSpread'
    ? handsSpread(hands(model, body, counted), ({ least }) => least)
    : valueOf(name, model, body, counted)
}

function countedOf(model: Model, body: PlanBody): PlanBody['activities'] {
  const aside = new Set(model.problem.activities.filter((a) => a.aside).map((a) => a.id))
  return body.activities.filter((r) => !aside.has(r.id))
}

function valueOf(
  name: ObjectiveName,
  model: Model,
  body: PlanBody,
  counted: PlanBody['activities'],
): number {
  switch (name) {
    case 'makespan':
      return body.makespan
    case 'handsFree':
      return hands(model, body, counted).reduce((most, h) => Math.max(most, h.to), 0)
    case 'handsSpread':
      return handsSpread(hands(model, body, counted), ({ from, to }) => to - from)
    case 'cost':
      return model.problem.choices.reduce(
        (sum, c) => sum + (c.options.find((o) => o.id === ownValue(body.choices, c.id))?.cost ?? 0),
        0,
      )
    case 'heatChanges':
      return body.heats.length - new Set(body.heats.map((h) => h.station)).size
    case 'lateStart':
      return counted.length ? -Math.min(...counted.map((r) => r.start)) : 0
    case 'switches':
      return switches(hands(model, body, counted).filter((h) => !h.chore))
  }
}

interface HandsWork {
  cook: string
  from: number
  to: number
  /** Seconds that a step needs of it at least. */
  least: number
  dish: string | undefined
  chore: boolean
}

/** All hands work that counts. Work on what runs on aside does not. */
function hands(model: Model, body: PlanBody, counted: PlanBody['activities']): HandsWork[] {
  const out: HandsWork[] = body.chores.map(({ cook, from, to }) => ({
    cook,
    from,
    to,
    least: to - from,
    dish: undefined,
    chore: true,
  }))
  for (const run of counted) {
    const activity = model.problem.activities[model.indexOf.get(run.id)!]!
    const { phases } = activity.modes.find((m) => m.id === run.mode)!
    run.phases.forEach((p, k) => {
      const { hands, seconds } = phases[k]!
      if (!hands) return
      const { cook, from, to } = p
      out.push({ cook: cook!, from, to, least: seconds[0], dish: activity.dish, chore: false })
    })
  }
  return out
}

/**
 * The values for a schedule of a session that has not begun, without making a plan of it first: a
 * search asks after every decode, and makes plans of few.
 */
export function valuesOfSchedule(model: Model, schedule: Schedule): number[] {
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
export function lateness(model: Model, schedule: Schedule): number {
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
