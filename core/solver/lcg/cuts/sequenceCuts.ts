import { ALWAYS, NEVER_SO, not } from '../engine/literals'
import type { Engine } from '../engine/engine'
import type { Literal } from '../engine/trail'
import { washSeconds } from '../model/washing'
import type { LWash, Place, SessionModel, Touch, Use } from '../model/sessionModel'
import { PARAMS } from '../../params'

const { NEAR } = PARAMS.sequenceCuts

/**
 * In a large session, uses that follow each other on a washed place, their order never asked for,
 * or without a wash: something alike stood before the first, which it knew nothing of.
 */
export function strangers(session: SessionModel): { place: Place; pair: [Use, Use] }[] {
  const { engine, model, places, partial, washes } = session
  if (!partial) return []
  const washed = (a: Use, b: Use) =>
    washes.some(
      (w) =>
        holds(engine, w.literal) &&
        engine.lo(w.start) >= engine.lo(a.e) &&
        w.uses.some((u) => u.use === b),
    )
  return places
    .filter((p) => model.stations[p.stations[0]!]!.wash)
    .flatMap((place) => {
      const own = place.uses
        .filter((u) => holds(engine, u.literal))
        .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
      return own.slice(1).flatMap((use, i) => {
        const pair: [Use, Use] = [own[i]!, use]
        if (pair[0].s === use.s) return []
        const unclean = () =>
          washSeconds(model, place.stations[0]!, ...pair) > 0 && !washed(...pair)
        return !session.usesOrdered(...pair) || unclean() ? [{ place, pair }] : []
      })
    })
}

const apartAnyway = (a: Touch, b: Touch) =>
  (a.activity >= 0 && a.activity === b.activity) || (a.fact && b.fact)

/**
 * Touches of one cook that the solution has at the same time, their order never asked for; with
 * them such as it has shortly after each other, or they would be the next to meet.
 */
export function together(session: SessionModel): [Touch, Touch][] {
  const { engine, model, touches } = session
  const pairs: [Touch, Touch][] = []
  let meeting = false
  model.cooks.forEach((_, c) => {
    const own = touches
      .filter((t) => t.cooks.some((x) => x.cook === c && holds(engine, x.literal)))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    for (const [i, first] of own.entries())
      for (const next of own.slice(i + 1)) {
        const pause = engine.lo(next.s) - engine.lo(first.e)
        if (pause >= NEAR) break
        if (apartAnyway(first, next) || session.ordered(first, next)) continue
        pairs.push([first, next])
        meeting ||= pause < 0
      }
  })
  return meeting ? pairs : []
}

export const holds = (engine: Engine, literal: Literal) =>
  literal === ALWAYS || (literal >= 0 && engine.isTrue(literal))

/** A wash that was too short for what stood there just before: rule 6 in the solution. */
export function addWashCuts(
  session: SessionModel,
  found: { wash: LWash; before: Use; use: Use; seconds: number }[],
): void {
  const { engine } = session
  for (const { wash, before, use, seconds } of found) {
    const order = session.turnOf(before, use)
    const long = engine.lateBool()
    if (order === undefined || order === NEVER_SO || long === undefined) continue
    if (!engine.requireLag(wash.start, wash.end, seconds, [long])) return
    const literals = [not(order), not(before.literal), not(use.literal), long]
    // Unless something else comes in between, whatever it is.
    for (const between of session.places.find((p) => p.uses.includes(use))!.uses) {
      if (between === use || between === before) continue
      const [first, second] = [session.turnOf(before, between), session.turnOf(between, use)]
      if (first === undefined || second === undefined || first === NEVER_SO || second === NEVER_SO)
        continue
      const both = engine.lateBool()
      if (both === undefined) return
      for (const c of [first, second, between.literal])
        if (c >= 0 && !engine.requireAny([not(both), c])) return
      literals.push(both)
    }
    if (!engine.requireAny(literals.filter((c) => c >= 0)) || !engine.settle()) return
  }
}

/** The washes of the solution in the engine that are shorter than what they come between wants. */
export function shortWashes(
  session: SessionModel,
): { wash: LWash; before: Use; use: Use; seconds: number }[] {
  const { engine } = session
  return session.washes.flatMap((wash) => {
    const place = wash.uses.find((u) => holds(engine, u.use.literal))
    if (!place || !engine.isTrue(wash.literal)) return []
    const { use, station } = place
    const before = session.places
      .find((p) => p.stations[0] === station)!
      .uses.filter(
        (u) => u !== use && holds(engine, u.literal) && engine.lo(u.s) < engine.lo(use.s),
      )
      .sort((a, b) => engine.lo(b.s) - engine.lo(a.s))[0]
    if (!before) return []
    const seconds = washSeconds(session.model, station, before, use)
    return engine.lo(wash.end) - engine.lo(wash.start) < seconds
      ? [{ wash, before, use, seconds }]
      : []
  })
}
