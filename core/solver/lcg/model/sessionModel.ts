import { NEVER, type MActivity, type MMode, type Model } from '../../model/model'
import { allOf, ALWAYS, anyOf, NEVER_SO, not, oneOf, someOf } from '../engine/literals'
import type { Task } from '../engine/timeTable'
import { Engine } from '../engine/engine'
import { horizonOf } from '../../model/horizon'
import type { Literal } from '../engine/trail'
import type { PlanBody } from '../../model/planBody'
import { PARAMS } from '../../params'

/** A phase of one mode: from one boundary variable to the next, and who may do it. */
export interface LPhase {
  from: number
  to: number
  cooks: { cook: number; literal: Literal }[]
}

export interface LMode {
  literal: Literal
  phases: LPhase[]
  /** For each need, the places that may serve it. */
  places: { place: number; literal: Literal }[][]
}

export interface LActivity {
  index: number
  literal: Literal
  start: number
  end: number
  modes: LMode[]
}

/** A stretch of hands work and who may do it. */
export interface Touch extends OrderEnd {
  hygiene: number
  /** Done at all where this is true, and then for at least so many seconds. */
  literal: Literal
  least: number
  /** Which phase of its activity it is. */
  phase?: number
  cooks: { cook: number; literal: Literal }[]
}

/** A heat of one oven, where `literal` is true. */
export interface Heat extends OrderEnd {
  station: number
  literal: Literal
  lo: number
  hi: number
  /** Seconds that it lasts at least. */
  least: number
  method: number
}

/** Use of a place: by a need of a mode, or by a hold. */
export interface Use extends Task, OrderEnd {
  contents: number
  /** Which need or hold it serves, the same on every place that could. */
  need: string
}

export interface LHold {
  index: number
  literal: Literal
  start: number
  end: number
  places: { place: number; literal: Literal }[]
}

/** A wash before an activity (or hold) takes a place; its own hands work. */
export interface LWash {
  /** What it is done for, on each station that could serve, and the least it then takes. */
  uses: { use: Use; station: number; seconds: number }[]
  literal: Literal
  start: number
  end: number
  cooks: { cook: number; literal: Literal }[]
}

/** Stations that nothing tells apart, as one place of their joint capacity. */
export interface Place {
  stations: number[]
  capacity: number
  uses: Use[]
}

/** The session as constraints over bounds, and where everything of it is. */
export interface SessionModel {
  engine: Engine
  model: Model
  makespan: number
  zero: number
  /** Per station with an oven, the instant from which it is free to change. */
  ovenFrom: number[]
  forever: number
  activities: (LActivity | undefined)[]
  options: Literal[][]
  holds: (LHold | undefined)[]
  places: Place[]
  washes: LWash[]
  /** Per cook, the beginning of the first hands work, where an objective asks for it. */
  firsts: number[]
  /** All hands work, washes included. */
  touches: Touch[]
  /** When each cook is away: nothing is in hand then, nor can hands be washed. */
  absences: Touch[]
  heats: Heat[]
  /** What `Order` gives of two stretches, and undefined where that is neither known nor a boolean. */
  turnOf: (a: OrderEnd, b: OrderEnd) => Literal | undefined
  strictOf: (a: OrderEnd, b: OrderEnd) => Literal | undefined
  /** A literal that is true exactly where the first ends before the second begins; only at level 0. */
  exactly: (a: OrderEnd, b: OrderEnd) => Literal | undefined
  /** Whether the order of two touches of one cook has been asked for. */
  ordered: (a: Touch, b: Touch) => boolean
  /** The turn of two touches, made where there was none yet; only at level 0. */
  lateTurn: (a: Touch, b: Touch) => Literal | undefined
  /** The same of two uses of a washed place. */
  usesOrdered: (a: Use, b: Use) => boolean
  /** Gives two uses of a washed place an order; then the second is always washed for. */
  lateUses: (place: Place, a: Use, b: Use) => void
  /** The plan known at the beginning. */
  plan: PlanBody | undefined
  scope: Scope
  /** A large session, of which not everything is said from the beginning: it proves nothing. */
  partial: boolean
  /** Order booleans with what they order, for neighbourhoods and hints. */
  orders: { literal: Literal; first: OrderEnd; second: OrderEnd }[]
}

/** What is ordered: between which variables it lies, and between which activities (-1: none). */
export interface OrderEnd {
  s: number
  e: number
  activity: number
  until: number
  /** For a wash: the activity that it comes before. */
  near?: number
  /** It lies behind: at or before now. By this it comes among its like. */
  past?: number
  /** It has begun: between two such nothing is asked. */
  fact?: boolean
}

/** What is said of a session from the beginning, where there is a plan to start from. */
export interface Scope {
  /** How many places apart in the plan two touches have an order. */
  hands: number
  /** Activities above which a session is not learned whole: there would be too many pairs. */
  large: number
  /** How many places apart on a washed station two uses then have an order. */
  uses: number
}
const { SCOPE } = PARAMS.sessionModel

/** Variables, lags, options, modes, cooks and places; who excludes whom is added on top. */
export function buildSessionModel(
  model: Model,
  plan?: PlanBody,
  scope: Scope = SCOPE,
  horizon = horizonOf(model),
): SessionModel {
  const engine = new Engine()
  const makespan = engine.newInt(0, horizon)
  const zero = engine.newInt(0, 0)
  const forever = engine.newInt(horizon + 1, horizon + 1)
  const places = placesOf(model)
  const placeOf = new Map(places.flatMap((p, i) => p.stations.map((s) => [s, i] as const)))

  const options = model.choices.map((choice) => {
    const possible = choice.options.flatMap((o, j) => (o.possible ? [j] : []))
    const literals = oneOf(engine, possible.length, ALWAYS)
    return choice.options.map((_, j) => literals[possible.indexOf(j)] ?? NEVER_SO)
  })
  const presence = model.activities.map((a): Literal => {
    if (a.choice < 0) return ALWAYS
    const choice = model.choices[a.choice]!
    const taking = choice.options.flatMap((o, j) =>
      o.members.has(a.index) ? [options[a.choice]![j]!] : [],
    )
    const leaving = choice.options.some((o) => o.possible && !o.members.has(a.index))
    return leaving ? someOf(engine, taking) : ALWAYS
  })
  const lag = (from: number, to: number, weight: number, literals: Literal[]) => {
    if (literals.includes(NEVER_SO)) return
    engine.precedences.add(from, to, weight, [...new Set(literals.filter((c) => c !== ALWAYS))])
  }

  const activities = model.activities.map((a) =>
    presence[a.index] === NEVER_SO || !a.modes.length
      ? undefined
      : activityOf(a, presence[a.index]!),
  )

  function activityOf(a: MActivity, literal: Literal): LActivity {
    const start = engine.newInt(0, horizon)
    const end = engine.newInt(0, horizon)
    const literals = oneOf(engine, a.modes.length, literal)
    lag(zero, start, a.release, [literal])
    lag(zero, end, a.earliestEnd, [literal])
    if (a.latestStart < NEVER) lag(start, zero, -a.latestStart, [literal])
    const due = Math.min(a.due, model.deadline)
    if (due < NEVER) lag(end, zero, -due, [literal])
    lag(start, end, a.min, [literal])
    if (a.max < NEVER) lag(end, start, -a.max, [literal])
    if (!a.aside) lag(end, makespan, 0, [literal])
    return {
      index: a.index,
      literal,
      start,
      end,
      modes: a.modes.map((mode, m) => modeOf(a, mode, literals[m]!, start, end)),
    }
  }

  function modeOf(a: MActivity, mode: MMode, literal: Literal, start: number, end: number): LMode {
    const last = mode.phases.length - 1
    let from = start
    const phases = mode.phases.map((phase, k): LPhase => {
      const to = k === last ? end : engine.newInt(0, horizon)
      lag(from, to, phase.min, [literal])
      if (phase.max < NEVER) lag(to, from, -phase.max, [literal])
      const literals = oneOf(engine, phase.cooks.length, literal)
      const out = {
        from,
        to,
        cooks: phase.cooks.map((cook, c) => ({ cook, literal: literals[c]! })),
      }
      from = to
      return out
    })
    const served = mode.needs.map((need, n) => {
      const able = [...new Set(need.stations.map((s) => placeOf.get(s)!))]
      const literals = oneOf(engine, able.length, literal)
      return able.map((place, i) => {
        places[place]!.uses.push({
          s: start,
          e: end,
          literal: literals[i]!,
          amount: need.amount,
          least: mode.min,
          activity: a.index,
          until: a.index,
          contents: need.contents,
          need: `${a.index}.${mode.index}.${n}`,
          fact: a.fact !== undefined,
        })
        return { place, literal: literals[i]! }
      })
    })
    return { literal, phases, places: served }
  }

  for (const e of model.edges) {
    const from = activities[e.from >> 1]
    const to = activities[e.to >> 1]
    if (from && to)
      lag(e.from & 1 ? from.end : from.start, e.to & 1 ? to.end : to.start, e.weight, [
        from.literal,
        to.literal,
      ])
  }
  const holds = model.holds.map((h): LHold | undefined => {
    const from = activities[h.from]
    const to = h.to < 0 ? undefined : activities[h.to]
    if (!from || (h.to >= 0 && !to) || h.fact?.to != null) return undefined
    const literal = allOf(engine, [from.literal, to?.literal ?? ALWAYS])
    if (literal === NEVER_SO) return undefined
    const able = [...new Set(h.need.stations.map((s) => placeOf.get(s)!))]
    if (!able.length) {
      anyOf(engine, [not(literal)])
      return undefined
    }
    const literals = oneOf(engine, able.length, literal)
    const end = to ? to.end : forever
    able.forEach((place, i) =>
      places[place]!.uses.push({
        s: from.start,
        e: end,
        literal: literals[i]!,
        amount: h.need.amount,
        // A hold ends with its last activity, which may be done before its first one is.
        least: h.to === h.from ? model.activities[h.from]!.min : 0,
        activity: h.from,
        until: h.to,
        contents: h.need.contents,
        need: `h${h.index}`,
        fact: h.fact !== undefined,
      }),
    )
    return {
      index: h.index,
      literal,
      start: from.start,
      end,
      places: able.map((place, i) => ({ place, literal: literals[i]! })),
    }
  })
  addPastUses(engine, model, places, placeOf)
  return {
    engine,
    model,
    makespan,
    zero,
    ovenFrom: model.stations.map((s) =>
      s.oven && s.oven.from > 0 ? engine.newInt(s.oven.from, s.oven.from) : zero,
    ),
    forever,
    activities,
    options,
    holds,
    places,
    washes: [],
    firsts: [],
    touches: [],
    absences: [],
    heats: [],
    turnOf: () => undefined,
    strictOf: () => undefined,
    exactly: () => undefined,
    ordered: () => false,
    lateTurn: () => undefined,
    usesOrdered: () => false,
    lateUses: () => {},
    plan,
    scope,
    partial: plan !== undefined && model.activities.length > scope.large,
    orders: [],
  }
}

/** What stood last on a station that is washed, unless it was washed or is in use since. */
function addPastUses(
  engine: Engine,
  model: Model,
  places: Place[],
  placeOf: Map<number, number>,
): void {
  model.facts?.uses.forEach((uses, station) => {
    const last = uses[uses.length - 1]
    const place = places[placeOf.get(station)!]!
    if (!last || model.facts!.chores[station]!.length || place.uses.some((u) => u.fact)) return
    place.uses.push({
      s: engine.newInt(last.from, last.from),
      e: engine.newInt(last.to, last.to),
      literal: ALWAYS,
      amount: 1,
      least: Math.max(1, last.to - last.from),
      activity: -1,
      until: -1,
      contents: last.contents,
      need: `past ${station}`,
      fact: true,
      past: last.to,
    })
  })
}

/** Unwashed stations for one thing each that serve exactly the same needs are one place. */
function placesOf(model: Model): Place[] {
  const wanted = model.stations.map(() => [] as string[])
  model.activities.forEach((a) =>
    a.modes.forEach((m) =>
      m.needs.forEach((n, k) =>
        n.stations.forEach((s) => wanted[s]!.push(`${a.index}.${m.index}.${k}`)),
      ),
    ),
  )
  model.holds.forEach((h) => h.need.stations.forEach((s) => wanted[s]!.push(`h${h.index}`)))
  const places = new Map<string, Place>()
  for (const s of model.stations) {
    const alike = s.capacity === 1 && !s.wash && !s.oven && !s.away.length
    const key = alike ? wanted[s.index]!.join() : `alone ${s.index}`
    const place = places.get(key) ?? { stations: [], capacity: 0, uses: [] }
    place.stations.push(s.index)
    place.capacity += s.capacity
    places.set(key, place)
  }
  return [...places.values()]
}
