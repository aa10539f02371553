import { earliest, requirements } from '../lags'
import { NEVER, type Model } from '../model'
import { ALWAYS, anyOf, NEVER_SO, not } from './codes'
import type { Code } from './engine'
import type { OrderEnd, SessionModel } from './sessionModel'

export type Order = (a: OrderEnd, b: OrderEnd) => Code

/**
 * For each ordered pair a boolean that, where true, has the first end before the second
 * begins; or what the lags say anyway.
 */
export function orderer(session: SessionModel): Order {
  const { engine } = session
  const known = new Map<string, Code>()
  const precedes = precedence(session.model)
  const look = (a: OrderEnd, b: OrderEnd, make: boolean): Code | undefined => {
    if (a.past !== undefined) return b.past === undefined || a.past <= b.past ? ALWAYS : NEVER_SO
    if (b.past !== undefined) return NEVER_SO
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
export function apart(
  session: SessionModel,
  order: Order,
  a: OrderEnd,
  b: OrderEnd,
  setups: [number, number],
  given: Code[],
): void {
  if (given.includes(NEVER_SO) || (a.fact && b.fact)) return
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
