import { handsSpread, switches } from '../../plan'
import { ownValue, type ObjectiveName } from '../../problem'
import type { PlanBody } from './planBody'
import type { Model } from './model'

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
