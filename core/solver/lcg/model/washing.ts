import type { Model } from '../../model/model'
import { washTime } from '../../model/washTime'
import type { Literal } from '../engine/trail'
import { ALWAYS, anyOf, NEVER_SO, not, oneOf } from '../engine/literals'
import { apart, type OrderLiterals } from './orderLiterals'
import { positions } from './positions'
import { PairSet } from './pairSet'
import type { LWash, SessionModel, Use } from './sessionModel'

/**
 * On a station that is washed, uses follow each other with the time of the wash between, and
 * before each use that needs one there is a wash, which is hands work like any other. A wash
 * may be left out where something with the same contents stands in between.
 */
export function addWashing(session: SessionModel, order: OrderLiterals): void {
  const { engine, model } = session
  const washes = new Map<string, LWash>()
  const said = new PairSet<Use>()
  session.usesOrdered = (a, b) => said.has(a, b)
  for (const place of session.places) {
    const station = model.stations[place.stations[0]!]!
    if (!station.wash) continue
    const { wash } = station
    const direct = (a: Use, b: Use) => washSeconds(model, station.index, a, b)
    const leastBetween = shortest(place.uses, direct)
    const near = session.partial ? nearby(session, place.uses) : () => true
    for (const use of place.uses) {
      if (use.fact) continue
      const others = place.uses.filter((o) => o !== use && direct(o, use) > 0 && o.s !== use.s)
      if (!others.length) continue
      const seconds = Math.min(...others.map((o) => direct(o, use)))
      const washed = washes.get(use.need) ?? newWash(session, use, wash.cooks)
      washes.set(use.need, washed)
      washed.uses.push({ use, station: station.index, seconds })
      engine.precedences.add(
        washed.start,
        washed.end,
        seconds,
        use.literal === ALWAYS ? [] : [use.literal],
      )
      for (const c of washed.cooks)
        if (!wash.cooks.includes(c.cook)) anyOf(engine, [not(use.literal), not(c.literal)])
      const alike = place.uses.filter(
        (k) =>
          k !== use &&
          near(k, use) &&
          direct(k, use) === 0 &&
          k.s !== use.s &&
          order.turn(k, use) !== NEVER_SO,
      )
      const after = alike.map((k) => {
        const between = place.uses.filter((o) => near(o, k) && near(o, use) && direct(o, use) > 0)
        return justAfter(session, order, between, k, use)
      })
      for (const other of others) {
        if (!near(other, use)) continue
        const first = order.turn(other, use)
        if (first === NEVER_SO) continue
        const given = [first, other.literal, use.literal]
        engine.precedences.add(other.e, washed.start, 0, [
          ...new Set(given.filter((c) => c !== ALWAYS)),
        ])
        anyOf(engine, [...given.map(not), washed.literal, ...after])
      }
    }
    place.uses.forEach((a, i) => {
      for (const b of place.uses.slice(i + 1)) {
        if (!near(a, b)) continue
        said.add(a, b)
        if (a.s !== b.s)
          apart(
            session,
            order,
            a,
            b,
            [leastBetween(a, b), leastBetween(b, a)],
            [a.literal, b.literal],
          )
        // Begun together they overlap, unless one of them takes no time.
        else if (a.least > 0 && b.least > 0) anyOf(engine, [not(a.literal), not(b.literal)])
      }
    })
  }
  for (const { literal, uses } of washes.values())
    anyOf(engine, [not(literal), ...uses.map((u) => u.use.literal)])
  session.washes.push(...washes.values())
  const always = new PairSet<Use>()
  session.lateUses = (place, a, b) => {
    const station = session.model.stations[place.stations[0]!]!.index
    const literal = order.late(a, b)
    if (literal === undefined || always.has(a, b)) return
    said.add(a, b)
    always.add(a, b)
    const inOrder = (first: Use, second: Use, turn: Literal) => {
      const given = [...new Set([turn, first.literal, second.literal].filter((c) => c !== ALWAYS))]
      if (given.includes(NEVER_SO)) return
      if (!engine.requireLag(first.e, second.s, 0, given)) return
      const washed = washes.get(second.need)
      if (!washed || washSeconds(model, station, first, second) === 0) return
      if (engine.requireLag(first.e, washed.start, 0, given))
        engine.requireAny([...given.map(not), washed.literal])
    }
    inOrder(a, b, literal)
    if (!engine.impossible) inOrder(b, a, not(literal))
  }
}

/** Whether two uses lie near each other, by where the plan to start from has them. */
function nearby(session: SessionModel, uses: Use[]): (a: Use, b: Use) => boolean {
  const at = positions(session)
  const sorted = [...uses].sort((a, b) => at(a.activity) - at(b.activity))
  const rank = new Map(sorted.map((u, i) => [u, i]))
  return (a, b) => a.fact || b.fact || Math.abs(rank.get(a)! - rank.get(b)!) <= session.scope.uses
}

/**
 * A boolean that may be true only where `before` stands on the station before `use` and nothing
 * that would have to be washed away stands there between them.
 */
function justAfter(
  session: SessionModel,
  order: OrderLiterals,
  between: Use[],
  before: Use,
  use: Use,
): Literal {
  const { engine } = session
  const literal = engine.newBool()
  anyOf(engine, [not(literal), before.literal])
  anyOf(engine, [not(literal), order.turn(before, use)])
  for (const other of between)
    if (other.s !== before.s && other.s !== use.s)
      anyOf(engine, [
        not(literal),
        not(other.literal),
        order.turn(other, before),
        order.turn(use, other),
      ])
  return literal
}

/** Seconds of washing on a station between two uses that follow each other. */
export const washSeconds = (model: Model, station: number, a: Use, b: Use): number =>
  washTime(model.stations[station]!, a.contents, b.contents)

function newWash(session: SessionModel, use: Use, able: number[]): LWash {
  const { engine, model } = session
  const horizon = engine.horizonOf(session.makespan)
  const literal = engine.newBool()
  const now = model.facts?.now ?? 0
  const start = engine.newInt(now, horizon)
  const end = engine.newInt(now, horizon)
  const cooks = [...new Set([...able, ...model.cooks.keys()])]
  const literals = oneOf(engine, cooks.length, literal)
  engine.precedences.add(end, use.s, 0, [literal])
  return {
    uses: [],
    literal,
    start,
    end,
    cooks: cooks.map((cook, i) => ({ cook, literal: literals[i]! })),
  }
}

/** Least washing between two contents, by way of any others: holds for uses far apart too. */
function shortest(uses: Use[], direct: (a: Use, b: Use) => number): (a: Use, b: Use) => number {
  const kinds = [...new Map(uses.map((u) => [u.contents, u])).values()]
  const at = new Map(kinds.map((u, i) => [u.contents, i]))
  const d = kinds.map((a) => kinds.map((b) => direct(a, b)))
  for (let k = 0; k < kinds.length; k++)
    for (let i = 0; i < kinds.length; i++)
      for (let j = 0; j < kinds.length; j++) d[i]![j] = Math.min(d[i]![j]!, d[i]![k]! + d[k]![j]!)
  return (a, b) => d[at.get(a.contents)!]![at.get(b.contents)!]!
}
