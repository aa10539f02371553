import type { ObjectiveName, Problem } from '../../../problem'
import type { Literal } from '../engine/trail'
import { allOf, ALWAYS, anyOf, NEVER_SO, not } from '../engine/literals'
import { Linear } from '../engine/linear'
import type { LWash, SessionModel, Touch } from './sessionModel'
import { switchCount } from './switching'
import { washSeconds } from './washing'

export type LcgObjective = Exclude<ObjectiveName, 'heatChanges'>

/**
 * Whether an objective can be learned about: how often an oven changes its heat is not among the
 * constraints, and costs are counted in whole numbers.
 */
export const isLcgObjective = (name: ObjectiveName, problem: Problem): name is LcgObjective =>
  name === 'cost'
    ? problem.choices.every((c) => c.options.every((o) => Number.isInteger(o.cost)))
    : name !== 'heatChanges'

/**
 * A variable of the session that is at least the `strictValue` of an objective, and equal to it in
 * some solution; with `drawn` work counts for as long as it takes, not only as it must. To be called
 * before the engine is sealed, once all hands work is known.
 */
export function objectiveVariable(
  session: SessionModel,
  objective: LcgObjective,
  drawn = false,
): number {
  switch (objective) {
    case 'makespan':
      return session.makespan
    case 'handsFree':
      return handsFree(session)
    case 'handsSpread':
      return handsSpread(session, drawn)
    case 'cost':
      return cost(session)
    case 'lateStart':
      return lateStart(session)
    case 'switches':
      return switchCount(session)
  }
}

/** Hands work that counts: not on what runs on aside. */
function counted({ touches, model }: SessionModel): Touch[] {
  return touches.filter((t) => t.activity < 0 || !model.activities[t.activity]!.aside)
}

function lag({ engine }: SessionModel, from: number, to: number, literal: Literal): void {
  if (literal !== NEVER_SO) engine.precedences.add(from, to, 0, literal === ALWAYS ? [] : [literal])
}

function handsFree(session: SessionModel): number {
  const { engine, makespan } = session
  const last = engine.newInt(0, engine.horizonOf(makespan))
  for (const t of counted(session)) lag(session, t.e, last, t.literal)
  return last
}

/**
 * From each cook's first hands work to the last, less the least that the work takes. What goes on
 * for longer than it must is not taken off, and nothing is washed needlessly: a cook with time to
 * spare would otherwise be given such work to fill it.
 */
function handsSpread(session: SessionModel, drawn: boolean): number {
  const { engine, makespan, model } = session
  const horizon = engine.horizonOf(makespan)
  const spread = engine.newInt(0, model.cooks.length * horizon)
  const sum = new Linear(0).add(spread, -1)
  const work = counted(session)
  model.cooks.forEach((_, c) => {
    const first = engine.newInt(0, horizon)
    const last = engine.newInt(0, horizon)
    lag(session, first, last, ALWAYS)
    for (const t of work)
      for (const { cook, literal } of t.cooks) {
        if (cook !== c) continue
        lag(session, first, t.s, literal)
        lag(session, t.e, last, literal)
      }
    session.firsts[c] = first
    sum.add(last, 1).add(first, -1)
  })
  for (const t of work) {
    sum.addWhere(t.literal, -t.least)
    if (drawn) sum.add(beyondLeast(session, t, horizon), -1)
  }
  for (const wash of session.washes) onlyWhereNeeded(session, wash)
  sum.post(engine)
  return spread
}

/** A variable: at most the seconds that work takes beyond its least, none where it is not done. */
function beyondLeast({ engine, zero }: SessionModel, t: Touch, horizon: number): number {
  const more = engine.newInt(0, horizon)
  new Linear(0).add(more, 1).add(t.s, 1).add(t.e, -1).addWhere(t.literal, t.least).post(engine)
  if (t.literal !== ALWAYS)
    engine.precedences.add(more, zero, 0, t.literal === NEVER_SO ? [] : [not(t.literal)])
  return more
}

/** Washed is what stood with something else before, and only for what is put on it. */
function onlyWhereNeeded(session: SessionModel, { literal, uses }: LWash): void {
  const { engine, model, places } = session
  const reasons = uses.flatMap(({ use, station }) =>
    places
      .find((p) => p.stations[0] === station)!
      .uses.filter((o) => o.s !== use.s && washSeconds(model, station, o, use) > 0)
      .map((other) => {
        const turn = session.turnOf(other, use) ?? NEVER_SO
        return allOf(engine, [...new Set([turn, other.literal, use.literal])])
      }),
  )
  anyOf(engine, [not(literal), ...reasons])
}

function cost(session: SessionModel): number {
  const { engine, model, options } = session
  const costs = model.choices.map((choice) => choice.options.map((o) => o.cost))
  const limits = (pick: (...costs: number[]) => number) =>
    costs.reduce((sum, list) => sum + pick(0, ...list), 0)
  const total = engine.newInt(limits(Math.min), limits(Math.max))
  const sum = new Linear(0).add(total, -1)
  costs.forEach((list, c) => list.forEach((value, o) => sum.addWhere(options[c]![o]!, value)))
  sum.post(engine)
  return total
}

/** The earliest start, counted backward. */
function lateStart(session: SessionModel): number {
  const { engine, makespan, model, activities } = session
  const horizon = engine.horizonOf(makespan)
  const first = engine.newInt(0, horizon)
  for (const a of activities)
    if (a && !model.activities[a.index]!.aside) lag(session, first, a.start, a.literal)
  const late = engine.newInt(-horizon, 0)
  new Linear(0).add(first, -1).add(late, -1).post(engine)
  return late
}
