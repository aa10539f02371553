import { CHORE } from '../cookTime'
import { earliest, requirements } from '../lags'
import { NEVER, pairKey, type Model } from '../model'
import { allOf, ALWAYS, anyOf, NEVER_SO, not, oneOf } from './codes'
import { Cumulative, type Task } from './cumulative'
import type { Code } from './engine'
import type { LWash, OrderEnd, Place, SessionModel, Touch, Use } from './sessionModel'

/** Adds what excludes what: hands, attention, places, washing, temperatures. */
export function addExclusions(session: SessionModel): void {
  const order = orderer(session)
  for (const place of session.places) {
    const station = session.model.stations[place.stations[0]!]!
    addAbsences(session, order, place, station.away)
    if (place.capacity > 1 || place.stations.length > 1) addCumulative(session, place)
    else if (!station.wash) inTurn(session, order, place.uses)
  }
  addWashing(session, order)
  addHands(session, order)
  addAttention(session)
  addHeats(session, order)
}

type Order = (a: OrderEnd, b: OrderEnd) => Code

/**
 * For each ordered pair a boolean that, where true, has the first end before the second
 * begins; or what the lags say anyway.
 */
function orderer(session: SessionModel): Order {
  const { engine } = session
  const known = new Map<string, Code>()
  const precedes = precedence(session.model)
  const look = (a: OrderEnd, b: OrderEnd, make: boolean): Code | undefined => {
    if (precedes(a.until, b.activity)) return ALWAYS
    if (precedes(b.until, a.activity)) return NEVER_SO
    const decided = session.decided(a, b)
    if (decided !== 0) return decided > 0 ? ALWAYS : NEVER_SO
    const key = `${a.s} ${a.e} ${b.s} ${b.e}`
    let code = known.get(key)
    if (code === undefined && make) {
      code = engine.newBool()
      known.set(key, code)
      session.orders.push({ code, first: a, second: b })
      engine.edges.add(a.e, b.s, 0, [code])
    }
    return code
  }
  session.orderOf = (a, b) => look(a, b, false)
  return (a, b) => look(a, b, true)!
}

/** Pairs of activities outside choices of which one always ends before the other begins. */
function precedence(model: Model): (a: number, b: number) => boolean {
  const n = model.activities.length
  const present = Uint8Array.from(model.activities, (a) => (a.choice < 0 ? 1 : 0))
  const list = requirements(model, present).filter((r) => r.from !== 2 * n && r.to !== 2 * n)
  if (!earliest(model, list)) return () => false
  const out: { to: number; weight: number }[][] = Array.from({ length: 2 * n }, () => [])
  for (const r of list) out[r.from]!.push(r)
  const rows = new Map<number, Float64Array>()
  const rowOf = (a: number) => {
    const at = new Float64Array(2 * n).fill(-NEVER)
    at[2 * a + 1] = 0
    const queue = [2 * a + 1]
    while (queue.length) {
      const u = queue.shift()!
      for (const e of out[u]!)
        if (at[u]! + e.weight > at[e.to]!) {
          at[e.to] = at[u]! + e.weight
          queue.push(e.to)
        }
    }
    return at
  }
  return (a, b) => {
    if (a < 0 || b < 0 || a === b || !present[a] || !present[b]) return false
    if (!rows.has(a)) rows.set(a, rowOf(a))
    return rows.get(a)![2 * b]! >= 0
  }
}

/** One before the other wherever all of the given codes are true, with setup times. */
function apart(
  session: SessionModel,
  order: Order,
  a: OrderEnd,
  b: OrderEnd,
  setups: [number, number],
  given: Code[],
): void {
  if (given.includes(NEVER_SO)) return
  const codes = [...new Set(given.filter((c) => c !== ALWAYS))]
  if (codes.some((c) => codes.includes(not(c)))) return
  const { engine } = session
  const decided = session.decided(a, b)
  if (Math.abs(decided) > 1) return
  if (decided > 0) return engine.edges.add(a.e, b.s, setups[0], codes)
  if (decided < 0) return engine.edges.add(b.e, a.s, setups[1], codes)
  const [first, second] = [order(a, b), order(b, a)]
  anyOf(engine, [...codes.map(not), first, second])
  const when = (code: Code) => (code === ALWAYS ? codes : [code, ...codes])
  if (setups[0] > 0 && first !== NEVER_SO) engine.edges.add(a.e, b.s, setups[0], when(first))
  if (setups[1] > 0 && second !== NEVER_SO) engine.edges.add(b.e, a.s, setups[1], when(second))
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
    for (const use of [...place.uses]) {
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
  const cumulative = new Cumulative(
    tasks.filter((t) => t.code !== NEVER_SO),
    capacity,
  )
  session.engine.addPropagator(cumulative, cumulative.sides())
}

/**
 * On a station that is washed, uses follow each other with the time of the wash between, and
 * before each use that needs one there is a wash, which is hands work like any other. A wash
 * may be left out where something with the same contents stands in between.
 */
function addWashing(session: SessionModel, order: Order): void {
  const { engine, model } = session
  const washes = new Map<string, LWash>()
  for (const place of session.places) {
    const station = model.stations[place.stations[0]!]!
    if (!station.wash) continue
    const { wash } = station
    const direct = (a: Use, b: Use) => washSeconds(model, station.index, a, b)
    const leastBetween = shortest(place.uses, direct)
    for (const use of place.uses) {
      const others = place.uses.filter((o) => o !== use && direct(o, use) > 0 && o.s !== use.s)
      if (!others.length) continue
      const seconds = Math.min(...others.map((o) => direct(o, use)))
      const washed = washes.get(use.need) ?? newWash(session, use, wash.cooks)
      washes.set(use.need, washed)
      washed.uses.push({ use, station: station.index })
      engine.edges.add(washed.start, washed.end, seconds, use.code === ALWAYS ? [] : [use.code])
      for (const c of washed.cooks)
        if (!wash.cooks.includes(c.cook)) anyOf(engine, [not(use.code), not(c.code)])
      for (const other of others) {
        const first = order(other, use)
        if (first === NEVER_SO) continue
        const given = [first, other.code, use.code]
        engine.edges.add(other.e, washed.start, 0, [...new Set(given.filter((c) => c !== ALWAYS))])
        const between = place.uses
          .filter((k) => k !== use && k !== other && direct(k, use) === 0 && k.s !== use.s)
          .map((k) => allOf(engine, [order(other, k), order(k, use), k.code]))
        anyOf(engine, [...given.map(not), washed.code, ...between])
      }
    }
    place.uses.forEach((a, i) => {
      for (const b of place.uses.slice(i + 1))
        if (a.s !== b.s)
          apart(session, order, a, b, [leastBetween(a, b), leastBetween(b, a)], [a.code, b.code])
        // Begun together they overlap, unless one of them takes no time.
        else if (a.least > 0 && b.least > 0) anyOf(engine, [not(a.code), not(b.code)])
    })
  }
  session.washes.push(...washes.values())
}

/** Seconds of washing on a station between two uses that follow each other. */
export function washSeconds(model: Model, station: number, a: Use, b: Use): number {
  const { wash } = model.stations[station]!
  if (!wash || (a.contents >= 0 && a.contents === b.contents)) return 0
  const named =
    a.contents >= 0 && b.contents >= 0
      ? wash.between.get(pairKey(a.contents, b.contents))
      : undefined
  return named ?? wash.seconds
}

function newWash(session: SessionModel, use: Use, able: number[]): LWash {
  const { engine, model } = session
  const horizon = engine.horizonOf(session.makespan)
  const code = engine.newBool()
  const start = engine.newInt(0, horizon)
  const end = engine.newInt(0, horizon)
  const cooks = [...new Set([...able, ...model.cooks.keys()])]
  const codes = oneOf(engine, cooks.length, code)
  engine.edges.add(end, use.s, 0, [code])
  return { uses: [], code, start, end, cooks: cooks.map((cook, i) => ({ cook, code: codes[i]! })) }
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

function touches(session: SessionModel): Touch[] {
  const { model } = session
  const out: Touch[] = []
  for (const a of session.activities)
    a?.modes.forEach((mode, m) =>
      mode.phases.forEach((phase, k) => {
        const spec = model.activities[a.index]!.modes[m]!.phases[k]!
        if (spec.hands)
          out.push({
            s: phase.from,
            e: phase.to,
            activity: a.index,
            until: a.index,
            hygiene: model.activities[a.index]!.hygiene,
            cooks: phase.cooks,
          })
      }),
    )
  for (const w of session.washes)
    out.push({
      s: w.start,
      e: w.end,
      activity: -1,
      until: -1,
      near: w.uses[0]!.use.activity,
      hygiene: CHORE,
      cooks: w.cooks,
    })
  return out
}

/** Seconds in which hands are washed between two touches of one cook in this order. */
export const cleanSeconds = (model: Model, a: Touch, b: Touch) =>
  a.hygiene < 0 || b.hygiene < 0 ? 0 : model.hygiene[a.hygiene * model.classes + b.hygiene]!

function addHands(session: SessionModel, order: Order): void {
  const { model } = session
  const list = touches(session)
  session.touches = list
  const clean = (a: Touch, b: Touch) => cleanSeconds(model, a, b)
  list.forEach((a, i) => {
    for (const b of list.slice(i + 1)) {
      if (a.activity >= 0 && a.activity === b.activity) continue
      for (const x of a.cooks)
        for (const y of b.cooks)
          if (x.cook === y.cook)
            apart(session, order, a, b, [clean(a, b), clean(b, a)], [x.code, y.code])
    }
  })
  model.cooks.forEach((cook, c) => {
    for (const [from, to] of cook.away) {
      const gap = absence(session, from, to)
      for (const t of [...list, ...watched(session)])
        for (const x of t.cooks) if (x.cook === c) apart(session, order, t, gap, [0, 0], [x.code])
    }
  })
}

/** Phases that are only watched. */
function watched(session: SessionModel): Touch[] {
  const { model } = session
  return session.activities.flatMap((a) =>
    a
      ? a.modes.flatMap((mode, m) =>
          mode.phases.flatMap((phase, k) =>
            model.activities[a.index]!.modes[m]!.phases[k]!.watch
              ? [
                  {
                    s: phase.from,
                    e: phase.to,
                    activity: a.index,
                    until: a.index,
                    hygiene: CHORE,
                    cooks: phase.cooks,
                  },
                ]
              : [],
          ),
        )
      : [],
  )
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
          })
        }),
      )
    if (watching) addResource(session, tasks, cook.attention)
  })
}

/** Heats of one oven that no one temperature and method serves follow each other with a ramp. */
function addHeats(session: SessionModel, order: Order): void {
  const { engine, model } = session
  for (const [p, place] of session.places.entries()) {
    const station = model.stations[place.stations[0]!]!
    if (!station.oven) continue
    const range = model.problem.stations[station.index]!.oven!
    const heats = session.activities.flatMap((a) =>
      a
        ? a.modes.flatMap((mode, m) =>
            mode.phases.flatMap((phase, k) => {
              const spec = model.activities[a.index]!.modes[m]!.phases[k]!
              if (!spec.heat) return []
              const code = mode.places[spec.heat.need]!.find((x) => x.place === p)?.code
              if (code === undefined || code === NEVER_SO) return []
              const lo = Math.max(spec.heat.lo, range.min)
              const hi = Math.min(spec.heat.hi, range.max)
              return [
                {
                  s: phase.from,
                  e: phase.to,
                  activity: a.index,
                  until: a.index,
                  station: station.index,
                  lo,
                  hi,
                  method: spec.heat.method,
                  code,
                },
              ]
            }),
          )
        : [],
    )
    session.heats.push(...heats)
    const { start, heat, cool } = station.oven
    const ramp = (lo: number, hi: number, to: { lo: number; hi: number }) =>
      Math.ceil((hi < to.lo ? (to.lo - hi) * heat : lo > to.hi ? (lo - to.hi) * cool : 0) - 1e-6)
    heats.forEach((a, i) => {
      const first = ramp(start, start, a)
      if (first > 0) engine.edges.add(session.zero, a.s, first, a.code === ALWAYS ? [] : [a.code])
      for (const b of heats.slice(i + 1)) {
        if (a.activity === b.activity) continue
        const apartBy: [number, number] = [ramp(a.lo, a.hi, b), ramp(b.lo, b.hi, a)]
        if (apartBy[0] + apartBy[1] > 0 || a.method !== b.method)
          apart(session, order, a, b, apartBy, [a.code, b.code])
        // Not excluded by themselves, but perhaps by a third: cuts will speak of their order.
        else
          for (const [x, y] of [
            [a, b],
            [b, a],
          ] as const)
            order(x, y)
      }
    })
  }
}
