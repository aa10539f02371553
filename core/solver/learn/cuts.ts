import { ALWAYS, NEVER_SO, not } from './codes'
import type { Engine } from './engine'
import type { Code } from './trail'
import { cleanSeconds } from './exclusion'
import { washSeconds } from './washing'
import type { LWash, Place, SessionModel, Touch, Use } from './sessionModel'

/**
 * Seconds between two touches of one cook within which they get an order too where others meet. (Of
 * 0, 300, 1200 and 3000: after 2 s 16 sessions of 9 dishes stand 0.7, 0.7, 0.3 and 0.3 % above the
 * best known, and after 10 s twelve of 18 dishes 3.0, -, 3.5 and 1.9 %.)
 */
const NEAR = 3000

/** What a solution did that the constraints so far allow and the rules do not. */
export interface Cut {
  /** Stretches of one cook in their order: between some two of them hands must be washed. */
  chain: Touch[]
  cook: number
  seconds: number
}

/**
 * Hands that were not free long enough at a stretch between two classes, in the solution that
 * stands in the engine. Most sessions need few of these, and all of them would be far too many
 * constraints, so they are added as they turn out to be missing.
 */
export function handWashCuts(session: SessionModel): Cut[] {
  const { engine, model, touches, absences } = session
  const cuts: Cut[] = []
  if (model.longestClean === 0) return cuts
  model.cooks.forEach((_, c) => {
    const own = [...touches, ...absences]
      .filter((t) => t.cooks.some((x) => x.cook === c && holds(engine, x.code)))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    own.forEach((second, j) => {
      const seen = new Set<number>()
      let free = 0
      for (let i = j - 1; i >= 0 && free < model.longestClean; i--) {
        const first = own[i]!
        free = Math.max(free, engine.lo(own[i + 1]!.s) - engine.lo(first.e))
        if (seen.has(first.hygiene)) continue
        seen.add(first.hygiene)
        if (first.fact && second.fact) continue
        const seconds = cleanSeconds(model, first, second)
        if (free < seconds) cuts.push({ chain: own.slice(i, j + 1), cook: c, seconds })
      }
    })
  })
  return cuts
}

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
        holds(engine, w.code) &&
        engine.lo(w.start) >= engine.lo(a.e) &&
        w.uses.some((u) => u.use === b),
    )
  return places
    .filter((p) => model.stations[p.stations[0]!]!.wash)
    .flatMap((place) => {
      const own = place.uses
        .filter((u) => holds(engine, u.code))
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
      .filter((t) => t.cooks.some((x) => x.cook === c && holds(engine, x.code)))
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

const holds = (engine: Engine, code: Code) => code === ALWAYS || (code >= 0 && engine.isTrue(code))

/**
 * Whenever one cook does these in this order, there is a pause between two neighbours of them.
 * True whatever comes in between: a pause is shorter than the time around it. Only at level 0;
 * false where it cannot be said (no booleans left, or no order between two of them).
 */
export function addCut(session: SessionModel, cut: Cut): boolean {
  const { engine } = session
  const codes: Code[] = []
  for (const touch of cut.chain) codes.push(not(touch.cooks.find((x) => x.cook === cut.cook)!.code))
  const pauses: [Touch, Touch][] = []
  for (let k = 1; k < cut.chain.length; k++) {
    const [a, b] = [cut.chain[k - 1]!, cut.chain[k]!]
    const order = a.activity >= 0 && a.activity === b.activity ? ALWAYS : session.lateTurn(a, b)
    if (order === undefined) return false
    codes.push(not(order))
    pauses.push([a, b])
  }
  for (const [a, b] of pauses) {
    const pause = engine.lateBool()
    if (pause === undefined || !engine.requireLag(a.e, b.s, cut.seconds, [pause])) return false
    codes.push(pause)
  }
  // A code that can never be false (not ALWAYS) says nothing in a clause.
  const open = codes.filter((c) => c >= 0)
  return engine.requireAny(open) && engine.settle()
}

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
    const codes = [not(order), not(before.code), not(use.code), long]
    // Unless something else comes in between, whatever it is.
    for (const between of session.places.find((p) => p.uses.includes(use))!.uses) {
      if (between === use || between === before) continue
      const [first, second] = [session.turnOf(before, between), session.turnOf(between, use)]
      if (first === undefined || second === undefined || first === NEVER_SO || second === NEVER_SO)
        continue
      const both = engine.lateBool()
      if (both === undefined) return
      for (const c of [first, second, between.code])
        if (c >= 0 && !engine.requireAny([not(both), c])) return
      codes.push(both)
    }
    if (!engine.requireAny(codes.filter((c) => c >= 0)) || !engine.settle()) return
  }
}

/** The washes of the solution in the engine that are shorter than what they come between wants. */
export function shortWashes(
  session: SessionModel,
): { wash: LWash; before: Use; use: Use; seconds: number }[] {
  const { engine } = session
  return session.washes.flatMap((wash) => {
    const place = wash.uses.find((u) => holds(engine, u.use.code))
    if (!place || !engine.isTrue(wash.code)) return []
    const { use, station } = place
    const before = session.places
      .find((p) => p.stations[0] === station)!
      .uses.filter((u) => u !== use && holds(engine, u.code) && engine.lo(u.s) < engine.lo(use.s))
      .sort((a, b) => engine.lo(b.s) - engine.lo(a.s))[0]
    if (!before) return []
    const seconds = washSeconds(session.model, station, before, use)
    return engine.lo(wash.end) - engine.lo(wash.start) < seconds
      ? [{ wash, before, use, seconds }]
      : []
  })
}
