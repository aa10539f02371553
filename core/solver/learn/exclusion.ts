import { CHORE } from '../cookTime'
import type { Model } from '../model'
import { ALWAYS, anyOf, NEVER_SO, not } from './codes'
import { Cumulative, type Task } from './cumulative'
import type { Code } from './trail'
import { apart, orderer, type Order } from './order'
import { Pairs } from './pairs'
import { positions } from './positions'
import type { OrderEnd, Place, SessionModel, Touch, Use } from './sessionModel'
import { addHeats } from './temperatures'
import { addWashing } from './washing'

/** Adds what excludes what: hands, attention, places, washing, temperatures. */
export function addExclusions(session: SessionModel): void {
  const order = orderer(session)
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
  addHeats(session, order)
}

function inTurn(session: SessionModel, order: Order, uses: Use[]): void {
  for (let i = 0; i < uses.length; i++)
    for (let j = i + 1; j < uses.length; j++)
      // What takes no time may stand inside something else: half-open stretches.
      if (uses[i]!.least === 0 || uses[j]!.least === 0) continue
      else if (uses[i]!.s !== uses[j]!.s)
        apart(session, order, uses[i]!, uses[j]!, [0, 0], [uses[i]!.code, uses[j]!.code])
      else anyOf(session.engine, [not(uses[i]!.code), not(uses[j]!.code)])
}

function addAbsences(
  session: SessionModel,
  order: Order,
  place: Place,
  away: [number, number][],
): void {
  for (const [from, to] of away)
    for (const use of place.uses.filter((u) => !u.fact)) {
      const gap = absence(session, from, to)
      apart(session, order, use, gap, [0, 0], [use.code])
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
  const possible = tasks.filter((t) => t.code !== NEVER_SO)
  const begun = possible.reduce((sum, t) => sum + (t.fact ? t.amount : 0), 0)
  const cumulative = new Cumulative(possible, Math.max(capacity, begun))
  session.engine.addPropagator(cumulative, cumulative.sides())
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
          code: mode.code,
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
        code: ALWAYS,
        least: t.to - t.from,
        cooks: [{ cook, code: ALWAYS }],
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
      code: w.code,
      least: Math.min(...w.uses.map((u) => u.seconds)),
      cooks: w.cooks,
    })
  return out
}

/** Whether the k-th phase of an activity has begun already. */
export const isBegun = (model: Model, activity: number, k: number) =>
  k < (model.activities[activity]!.fact?.phases.length ?? 0)

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

function addHands(session: SessionModel, order: Order): void {
  const { model } = session
  const list = touches(session)
  session.touches = list
  const clean = (a: Touch, b: Touch) => cleanSeconds(model, a, b)
  const distant = distance(session, list)
  // Touches of two modes of one activity share an order, so it alone does not tell.
  const said = new Pairs<Touch>()
  session.ordered = (a, b) => said.has(a, b)
  list.forEach((a, i) => {
    for (const b of list.slice(i + 1)) {
      if (a.activity >= 0 && a.activity === b.activity) continue
      if (!a.fact && !b.fact && distant(a, b)) continue
      said.add(a, b)
      for (const x of a.cooks)
        for (const y of b.cooks)
          if (x.cook === y.cook)
            apart(session, order, a, b, [clean(a, b), clean(b, a)], [x.code, y.code])
    }
  })
  session.lateTurn = (a, b) => {
    const code = order.late(a, b)
    if (code === undefined || said.has(a, b)) return code
    said.add(a, b)
    const say = (from: Touch, to: Touch, turn: Code, cooks: Code[]) => {
      const codes = [...new Set([turn, ...cooks].filter((c) => c !== ALWAYS))]
      return (
        codes.includes(NEVER_SO) || session.engine.requireLag(from.e, to.s, clean(from, to), codes)
      )
    }
    for (const x of a.cooks)
      for (const y of b.cooks)
        if (x.cook === y.cook)
          if (!say(a, b, code, [x.code, y.code]) || !say(b, a, not(code), [x.code, y.code]))
            return undefined
    return code
  }
  model.cooks.forEach((cook, c) => {
    for (const [from, to] of cook.away) {
      const away: Touch = {
        ...absence(session, from, to),
        hygiene: CHORE,
        code: ALWAYS,
        least: to - from,
        cooks: [{ cook: c, code: ALWAYS }],
      }
      session.absences.push(away)
      for (const t of list) said.add(t, away)
      for (const t of [...list, ...phasesWith(session, 'watch')].filter((x) => !x.fact))
        for (const x of t.cooks) if (x.cook === c) apart(session, order, t, away, [0, 0], [x.code])
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
            code: who.code,
            amount: spec.attention,
            least: spec.min,
            fact: isBegun(model, a.index, k),
          })
        }),
      )
    if (watching) addResource(session, tasks, cook.attention)
  })
}
