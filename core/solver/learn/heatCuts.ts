import { ALWAYS, NEVER_SO, not } from './codes'
import type { Code } from './trail'
import type { Heat, SessionModel } from './sessionModel'

/** Neighbouring heats between which the oven has too little time, or none, to change. */
export interface HeatCut {
  chain: Heat[]
  /** For each pair of neighbours, seconds of which one at least must lie between them. */
  pauses: number[]
}

/**
 * For each oven whose heats do not fit in the solution in the engine, the chain of heats that
 * proves it: two that want different temperatures, and what stands between them. While a heat
 * lasts the temperature stays, so only the pauses between can change it.
 */
export function heatCuts(session: SessionModel): HeatCut[] {
  const { engine, model } = session
  return model.stations.flatMap((station): HeatCut[] => {
    if (!station.oven) return []
    const { start, from: free, heat, cool } = station.oven
    const own = session.heats
      .filter((h) => h.station === station.index)
      .filter((h) => h.code === ALWAYS || engine.isTrue(h.code))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    const origin: Heat = {
      s: session.ovenFrom[station.index]!,
      e: session.ovenFrom[station.index]!,
      activity: -1,
      until: -1,
      station: station.index,
      code: ALWAYS,
      lo: start,
      hi: start,
      method: -1,
    }
    // Where the lowest and the highest temperature within reach come from.
    let low = origin
    let high = origin
    let lo = start
    let hi = start
    let end = free
    let group: Heat[] = []
    for (const h of own) {
      const gap = engine.lo(h.s) - end
      const merged = gap < 0
      if (!merged) {
        lo -= cool === 0 ? Infinity : gap / cool
        hi += heat === 0 ? Infinity : gap / heat
        group = []
      }
      const other = group.find((g) => g.method !== h.method)
      if (other) return [cutOf(session, own, other, h, 0)]
      group.push(h)
      end = Math.max(end, engine.lo(h.e))
      if (h.lo > lo) {
        lo = h.lo
        low = h
      }
      if (h.hi < hi) {
        hi = h.hi
        high = h
      }
      if (lo <= hi + 1e-7) continue
      const [from, to] = low === h ? [high, low] : [low, high]
      const seconds = low === h ? (h.lo - high.hi) * heat : (low.lo - h.hi) * cool
      const list = from === origin ? [origin, ...own] : own
      return [cutOf(session, list, from, to, Math.ceil(seconds - 1e-6))]
    }
    return []
  })
}

function cutOf(
  session: SessionModel,
  sorted: Heat[],
  from: Heat,
  to: Heat,
  seconds: number,
): HeatCut {
  const { engine } = session
  const chain = [from]
  for (let at = from; at !== to;) {
    const end = engine.lo(at.e)
    const later = sorted.slice(sorted.indexOf(at) + 1, sorted.indexOf(to) + 1)
    // What overlaps and reaches furthest, though it may have begun before, or else what comes next.
    const touching = sorted
      .slice(0, sorted.indexOf(to) + 1)
      .filter((h) => !chain.includes(h) && engine.lo(h.s) <= end)
    const next = touching.includes(to)
      ? to
      : touching.reduce<Heat | undefined>(
          (best, h) => (engine.lo(h.e) > (best ? engine.lo(best.e) : end) ? h : best),
          undefined,
        )
    at = next ?? later.find((h) => engine.lo(h.s) > end) ?? to
    chain.push(at)
  }
  const gaps = chain.slice(1).map((h, i) => Math.max(0, engine.lo(h.s) - engine.lo(chain[i]!.e)))
  const slack = Math.max(0, seconds - 1 - gaps.reduce((a, b) => a + b, 0))
  const share = Math.floor(slack / gaps.length)
  return { chain, pauses: gaps.map((g) => (seconds === 0 ? 0 : g + share + 1)) }
}

/** Says a cut as a clause; only at level 0. False where no booleans are left or it fails. */
export function addHeatCut(session: SessionModel, cut: HeatCut): boolean {
  const { engine } = session
  const codes: Code[] = cut.chain.map((h) => not(h.code))
  for (let k = 1; k < cut.chain.length; k++) {
    const [a, b] = [cut.chain[k - 1]!, cut.chain[k]!]
    if (a.activity >= 0) {
      const back =
        a.activity === b.activity ? NEVER_SO : (session.strictOf(b, a) ?? session.turnOf(b, a))
      if (back === undefined) return false
      codes.push(back)
    }
    const pause = engine.lateBool()
    if (pause === undefined || !engine.requireLag(a.e, b.s, cut.pauses[k - 1]!, [pause]))
      return false
    codes.push(pause)
  }
  if (codes.includes(ALWAYS)) return true
  return engine.requireAny(codes.filter((c) => c >= 0)) && engine.propagate()
}
