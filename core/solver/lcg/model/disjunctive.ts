import { CHORE } from '../../sgs/cookTime'
import { isBegun, type Model } from '../../model/model'
import { ALWAYS, anyOf, NEVER_SO, not } from '../engine/literals'
import { TimeTable, type Task } from '../engine/timeTable'
import type { Literal } from '../engine/trail'
import { apart, orderLiterals, type OrderLiterals } from './orderLiterals'
import { PairSet } from './pairSet'
import { positions } from './positions'
import type { OrderEnd, Place, SessionModel, Touch, Use } from './sessionModel'
import { addOvenTemperatures } from './ovenTemperatures'
import { addWashing } from './washing'

/** Adds the disjunctive and cumulative constraints: hands, attention, places, washing, temperatures. */
export function addDisjunctives(session: SessionModel): void {
  const order = orderLiterals(session)
  for (const place of session.places) {
    const station = session.model.stations[place.stations[0]!]!
    const { now, chores } = session.model.facts ?? { now: 0, chores: [] }
    const washing = (chores[station.index] ?? []).flatMap((c): [number, number][] =>
      c.to > now ? [[now, c.to]] : [],
    )
    addAbsences(session, order, place, [...station.away, ...washing])
    if (place.capacity > 1 || place.stations.length > 1) addCumulative(session, place)
    else if (!station.wash) inTurn(session, order, place.uses)
  }
  addWashing(session, order)
  addHands(session, order)
  addAttention(session)
  addOvenTemperatures(session, order)
}

function inTurn(session: SessionModel, order: OrderLiterals, uses: Use[]): void {
  for (let i = 0; i < uses.length; i++)
    for (let j = i + 1; j < uses.length; j++)
      // What takes no time may stand inside something else: half-open stretches.
      if (uses[i]!.least === 0 || uses[j]!.least === 0) continue
      else if (uses[i]!.s !== uses[j]!.s)
        apart(session, order, uses[i]!, uses[j]!, [0, 0], [uses[i]!.literal, uses[j]!.literal])
      else anyOf(session.engine, [not(uses[i]!.literal), not(uses[j]!.literal)])
}

function addAbsences(
  session: SessionModel,
  order: OrderLiterals,
  place: Place,
  away: [number, number][],
): void {
  for (const [from, to] of away)
    for (const use of place.uses.filter((u) => !u.fact)) {
      const gap = absence(session, from, to)
      apart(session, order, use, gap, [0, 0], [use.literal])
    }
}

function absence(session: SessionModel, from: number, to: number): OrderEnd {
  const { engine } = session
  return { s: engine.newInt(from, from), e: engine.newInt(to, to), activity: -1, until: -1 }
}

function addCumulative(session: SessionModel, place: Place): void {
  const sum = place.uses.reduce((total, u) => total + u.amount, 0)
  if (sum > place.capacity) addResource(session, place.uses, place.capacity)
}

function addResource(session: SessionModel, tasks: Task[], capacity: number): void {
  const possible = tasks.filter((t) => t.literal !== NEVER_SO)
  const begun = possible.reduce((sum, t) => sum + (t.fact ? t.amount : 0), 0)
  const timeTable = new TimeTable(possible, Math.max(capacity, begun))
  session.engine.addPropagator(timeTable, timeTable.sides())
}

/** The phases that take hands, or that are only watched. */
function phasesWith(session: SessionModel, what: 'hands' | 'watch'): Touch[] {
  const { model } = session
  return session.activities.flatMap((a) =>
    (a?.modes ?? []).flatMap((mode, m) =>
      mode.phases.flatMap((phase, k) => {
        const { modes, hygiene } = model.activities[a!.index]!
        const spec = modes[m]!.phases[k]!
        if (!spec[what]) return []
        return {
          s: phase.from,
          e: phase.to,
          activity: a!.index,
          until: a!.index,
          hygiene: what === 'hands' ? hygiene : CHORE,
          literal: mode.literal,
          least: spec.min,
          cooks: phase.cooks,
          fact: isBegun(model, a!.index, k),
          phase: k,
        }
      }),
    ),
  )
}

function touches(session: SessionModel): Touch[] {
  const { model } = session
  const out = phasesWith(session, 'hands')
  model.facts?.touches.forEach((list, cook) => {
    for (const t of list)
      out.push({
        s: session.engine.newInt(t.from, t.from),
        e: session.engine.newInt(t.to, t.to),
        activity: -1,
        until: -1,
        hygiene: t.hygiene,
        literal: ALWAYS,
        least: t.to - t.from,
        cooks: [{ cook, literal: ALWAYS }],
        fact: true,
        ...(t.to <= model.facts!.now ? { past: t.to } : {}),
      })
  })
  for (const w of session.washes)
    out.push({
      s: w.start,
      e: w.end,
      activity: -1,
      until: -1,
      near: w.uses[0]!.use.activity,
      hygiene: CHORE,
      literal: w.literal,
      least: Math.min(...w.uses.map((u) => u.seconds)),
      cooks: w.cooks,
    })
  return out
}

/** Seconds in which hands are washed between two touches of one cook in this order. */
export const cleanSeconds = (model: Model, a: Touch, b: Touch) =>
  a.hygiene < 0 || b.hygiene < 0 ? 0 : model.hygiene[a.hygiene * model.classes + b.hygiene]!

/**
 * Whether two touches lie so far apart in the plan to start from that nothing is said of their
 * order before a solution has them at the same time: see `together`.
 */
function distance(session: SessionModel, list: Touch[]): (a: Touch, b: Touch) => boolean {
  if (!session.plan || list.length <= 2 * session.scope.hands) return () => false
  const position = positions(session)
  const at = (t: Touch) => position(t.activity >= 0 ? t.activity : (t.near ?? -1), t.phase)
  const rank = new Map(
    list
      .map((t) => [t, at(t)] as const)
      .sort((a, b) => a[1] - b[1])
      .map(([t], k) => [t, k]),
  )
  return (a, b) => Math.abs(rank.get(a)! - rank.get(b)!) > session.scope.hands
}

function addHands(session: SessionModel, order: OrderLiterals): void {
  const { model } = session
  const list = touches(session)
  session.touches = list
  const clean = (a: Touch, b: Touch) => cleanSeconds(model, a, b)
  const distant = distance(session, list)
  // Touches of two modes of one activity share an order, so it alone does not tell.
  const said = new PairSet<Touch>()
  session.ordered = (a, b) => said.has(a, b)
  list.forEach((a, i) => {
    for (const b of list.slice(i + 1)) {
      if (a.activity >= 0 && a.activity === b.activity) continue
      if (!a.fact && !b.fact && distant(a, b)) continue
      said.add(a, b)
      for (const x of a.cooks)
        for (const y of b.cooks)
          if (x.cook === y.cook)
            apart(session, order, a, b, [clean(a, b), clean(b, a)], [x.literal, y.literal])
    }
  })
  session.lateTurn = (a, b) => {
    const literal = order.late(a, b)
    if (literal === undefined || said.has(a, b)) return literal
    said.add(a, b)
    const say = (from: Touch, to: Touch, turn: Literal, cooks: Literal[]) => {
      const literals = [...new Set([turn, ...cooks].filter((c) => c !== ALWAYS))]
      return (
        literals.includes(NEVER_SO) ||
        session.engine.requireLag(from.e, to.s, clean(from, to), literals)
      )
    }
    for (const x of a.cooks)
      for (const y of b.cooks)
        if (x.cook === y.cook)
          if (
            !say(a, b, literal, [x.literal, y.literal]) ||
            !say(b, a, not(literal), [x.literal, y.literal])
          )
            return undefined
    return literal
  }
  model.cooks.forEach((cook, c) => {
    for (const [from, to] of cook.away) {
      const away: Touch = {
        ...absence(session, from, to),
        hygiene: CHORE,
        literal: ALWAYS,
        least: to - from,
        cooks: [{ cook: c, literal: ALWAYS }],
      }
      session.absences.push(away)
      for (const t of list) said.add(t, away)
      for (const t of [...list, ...phasesWith(session, 'watch')].filter((x) => !x.fact))
        for (const x of t.cooks)
          if (x.cook === c) apart(session, order, t, away, [0, 0], [x.literal])
    }
  })
}

function addAttention(session: SessionModel): void {
  const { model } = session
  model.cooks.forEach((cook, c) => {
    const tasks: Task[] = []
    let watching = false
    for (const a of session.activities)
      a?.modes.forEach((mode, m) =>
        mode.phases.forEach((phase, k) => {
          const spec = model.activities[a.index]!.modes[m]!.phases[k]!
          const who = phase.cooks.find((x) => x.cook === c)
          if (!who || spec.attention === 0) return
          watching ||= spec.watch
          tasks.push({
            s: phase.from,
            e: phase.to,
            literal: who.literal,
            amount: spec.attention,
            least: spec.min,
            fact: isBegun(model, a.index, k),
          })
        }),
      )
    if (watching) addResource(session, tasks, cook.attention)
  })
}
