import { earliestTimes, timeLags } from '../../model/temporalNetwork'
import { NEVER, type Model } from '../../model/model'
import { ALWAYS, NEVER_SO, not } from '../engine/literals'
import type { Literal } from '../engine/trail'
import type { OrderEnd, SessionModel } from './sessionModel'

export interface OrderLiterals {
  /**
   * A literal that has the first end before the second begins wherever both take place: of two
   * that exclude each other (see `apart`) one comes first, so that its negation says the reverse.
   */
  turn: (a: OrderEnd, b: OrderEnd) => Literal
  /** The same after the sealing, while booleans are left. */
  late: (a: OrderEnd, b: OrderEnd) => Literal | undefined
  /** A literal that, where true, has the first end before the second begins, whatever else holds. */
  strict: (a: OrderEnd, b: OrderEnd) => Literal
}

/** For each pair of stretches what orders them: a boolean, or what the lags say anyway. */
export function orderLiterals(session: SessionModel): OrderLiterals {
  const { engine } = session
  const turns = new Map<number, Literal>()
  const strict = new Map<number, Literal>()
  const keyOf = pairKeys()
  const precedes = precedence(session.model)
  const given = (a: OrderEnd, b: OrderEnd): Literal | undefined => {
    if (a.past !== undefined) return b.past === undefined || a.past <= b.past ? ALWAYS : NEVER_SO
    if (b.past !== undefined) return NEVER_SO
    if (precedes(a.until, b.activity)) return ALWAYS
    return precedes(b.until, a.activity) ? NEVER_SO : undefined
  }
  session.turnOf = (a, b) => given(a, b) ?? turns.get(keyOf(a, b))
  session.strictOf = (a, b) => given(a, b) ?? strict.get(keyOf(a, b))
  const exact = new Set<Literal>()
  session.exactly = (a, b) => {
    const literal = session.strictOf(a, b) ?? session.turnOf(a, b)
    if (literal === undefined || literal < 0 || exact.has(literal) || !strict.has(keyOf(a, b)))
      return literal
    exact.add(literal)
    return engine.requireLag(b.s, a.e, 1, [not(literal)]) ? literal : undefined
  }
  const turn = (a: OrderEnd, b: OrderEnd, make: () => Literal | undefined): Literal | undefined => {
    const known = session.turnOf(a, b)
    if (known !== undefined) return known
    const literal = make()
    if (literal === undefined) return undefined
    turns.set(keyOf(a, b), literal)
    turns.set(keyOf(b, a), not(literal))
    session.orders.push({ literal, first: a, second: b })
    return literal
  }
  return {
    turn: (a, b) => turn(a, b, () => engine.newBool())!,
    late: (a, b) => turn(a, b, () => engine.lateBool()),
    strict: (a, b) => {
      const known = session.strictOf(a, b)
      if (known !== undefined) return known
      const literal = engine.newBool()
      strict.set(keyOf(a, b), literal)
      session.orders.push({ literal, first: a, second: b })
      engine.precedences.add(a.e, b.s, 0, [literal])
      return literal
    },
  }
}

/** A number for each ordered pair of stretches, the same for stretches between the same variables. */
function pairKeys(): (a: OrderEnd, b: OrderEnd) => number {
  const ids = new Map<number, number>()
  const idOf = (end: OrderEnd): number => {
    const key = end.s * MOST_VARIABLES + end.e
    const id = ids.get(key) ?? ids.size
    ids.set(key, id)
    return id
  }
  return (a, b) => idOf(a) * MOST_VARIABLES + idOf(b)
}
/** More than any session has, and small enough for exact pairs. */
const MOST_VARIABLES = 2 ** 24

/** Pairs of activities outside choices of which one always ends before the other begins. */
function precedence(model: Model): (a: number, b: number) => boolean {
  const n = model.activities.length
  const present = Uint8Array.from(model.activities, (a) => (a.choice < 0 ? 1 : 0))
  const list = timeLags(model, present).filter((r) => r.from !== 2 * n && r.to !== 2 * n)
  if (!earliestTimes(model, list)) return () => false
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

/** One before the other wherever all of the given literals are true, with setup times. */
export function apart(
  session: SessionModel,
  order: OrderLiterals,
  a: OrderEnd,
  b: OrderEnd,
  setups: [number, number],
  given: Literal[],
): void {
  if (given.includes(NEVER_SO) || (a.fact && b.fact)) return
  const literals = [...new Set(given.filter((c) => c !== ALWAYS))]
  if (literals.some((c) => literals.includes(not(c)))) return
  const { engine } = session
  const first = order.turn(a, b)
  const say = (literal: Literal, from: number, to: number, setup: number) => {
    if (literal === NEVER_SO || (literal === ALWAYS && setup === 0)) return
    engine.precedences.add(from, to, setup, literal === ALWAYS ? literals : [literal, ...literals])
  }
  say(first, a.e, b.s, setups[0])
  say(not(first), b.e, a.s, setups[1])
}
