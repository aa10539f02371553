import { ALWAYS, NEVER_SO, not } from '../engine/literals'
import { Linear } from '../engine/linear'
import type { Literal } from '../engine/trail'
import type { Heat, SessionModel } from '../model/sessionModel'

/** Heats that the oven has too little time, or none, to change between. */
export interface HeatCut {
  /** Those that change it first and last, and what stands between them. */
  chain: Heat[]
  /** For each but the last, whether the next one begins before it ends. */
  joined: boolean[]
  /** Seconds that the change takes. */
  seconds: number
  /** Seconds in the solution from the beginning of the first gap in the chain to the end of the last. */
  between: number
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
      .filter((h) => h.literal === ALWAYS || engine.isTrue(h.literal))
      .sort((a, b) => engine.lo(a.s) - engine.lo(b.s) || engine.lo(a.e) - engine.lo(b.e))
    const origin: Heat = {
      s: session.ovenFrom[station.index]!,
      e: session.ovenFrom[station.index]!,
      activity: -1,
      until: -1,
      station: station.index,
      literal: ALWAYS,
      lo: start,
      hi: start,
      least: 0,
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
      .filter((h) => !chain.includes(h) && engine.lo(h.s) < end)
    const next = touching.includes(to)
      ? to
      : touching.reduce<Heat | undefined>(
          (best, h) => (engine.lo(h.e) > (best ? engine.lo(best.e) : end) ? h : best),
          undefined,
        )
    at = next ?? later.find((h) => engine.lo(h.s) >= end) ?? to
    chain.push(at)
  }
  const joined = chain.slice(1).map((h, i) => engine.lo(h.s) < engine.lo(chain[i]!.e))
  const first = chain[joined.indexOf(false)]
  const last = chain[joined.lastIndexOf(false) + 1]
  const between = first && last ? engine.lo(last.s) - engine.lo(first.e) : 0
  return { chain, joined, seconds, between }
}

/**
 * Says a cut for good: wherever these heats follow each other or overlap in this way, the gaps
 * between them are long enough in sum. Overlapping ones are one stretch without a change; where
 * one of two lies wholly before the other though, the gaps only count for more than they are.
 * Only at level 0; false where no booleans are left or it fails.
 */
export function addHeatCut(session: SessionModel, cut: HeatCut): boolean {
  const { engine } = session
  const { chain, joined, seconds, between } = cut
  const given = new Set<Literal>(chain.map((h) => h.literal))
  const gaps: [Heat, Heat][] = []
  for (let k = 1; k < chain.length; k++) {
    const [a, b] = [chain[k - 1]!, chain[k]!]
    const same = a.activity < 0 || a.activity === b.activity
    const literal = same ? ALWAYS : session.exactly(a, b)
    if (literal === undefined) return false
    given.add(joined[k - 1] ? not(literal) : literal)
    if (!joined[k - 1]) gaps.push([a, b])
  }
  const literals = [...given].filter((c) => c !== ALWAYS)
  if (literals.includes(NEVER_SO)) return true
  if (!gaps.length) return engine.requireAny(literals.map(not)) && engine.settle()
  const all = literals.length > 1 ? engine.lateBool() : literals[0]
  if (literals.length > 1 && (all === undefined || !engine.requireAny([...literals.map(not), all])))
    return false
  // One lag pushes more than a sum of many, but knows only how long what stands between must last.
  const lone = gaps.slice(1).every(([h], k) => h === gaps[k]![1])
  const span = lone ? gaps.slice(1).reduce((sum, [h]) => sum + h.least, seconds) : 0
  const [from, to] = [gaps[0]![0].e, gaps[gaps.length - 1]![1].s]
  if (lone && !engine.requireLag(from, to, span, all === undefined ? [] : [all])) return false
  if (span <= between) {
    const sum = new Linear(-seconds)
    for (const [a, b] of gaps) sum.add(a.e, 1).add(b.s, -1)
    const much = seconds + gaps.length * engine.horizonOf(session.makespan)
    if (all !== undefined) sum.addWhere(all, much).allow(much)
    sum.post(engine)
  }
  return engine.settle()
}
