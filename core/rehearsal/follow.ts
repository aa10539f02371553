import type { Luck } from './draws'
import type { Network } from './network'

/** Rounds after which what waits for each other in a circle has met: more than any circle needs. */
const SWEEPS = 12

/** One run: when each instant came, and which it waited for. */
export interface Course {
  at: Float64Array
  /** The instant that each one waited for longest; -1: none but its own time in the plan. */
  because: Int32Array
  /** How long each draw took. */
  took: Float64Array
}

export interface Following {
  /** Before when an instant does not come; `now` of the network where nothing is said. */
  from?: (instant: number) => number
  /** Stretches in which hands stand still, in order: nothing is begun, and what is in hand waits. */
  still?: readonly (readonly [from: number, to: number])[]
}

/**
 * How a session goes where everybody keeps to the order of the plan: each thing begins once all that it
 * comes after in the plan is over, no earlier than planned unless what it waits for was early too, and
 * never before `from`.
 */
export function follow(
  net: Network,
  luck: Pick<Luck, 'of'>,
  { from = () => net.now, still = [] }: Following = {},
): Course {
  const { order, first, arcFrom, arcLag, arcDraw, planned, spare, fixed, draws, absences } = net
  const n = planned.length
  const at = new Float64Array(n)
  const because = new Int32Array(n).fill(-1)
  const took = new Float64Array(draws.length)
  const total = new Float64Array(draws.length)
  draws.forEach((d, i) => {
    const [seconds, late] = luck.of(d)
    took[i] = seconds
    total[i] = seconds + late
  })
  const floor = Float64Array.from({ length: n }, (_, i) => from(i))
  const begins = new Set<number>()
  if (still.length)
    arcDraw.forEach((d, j) => d >= 0 && draws[d]!.kind === 'hands' && begins.add(arcFrom[j]!))
  /** How long hands stand still from a beginning until they are done. */
  const waited = (draw: number, begun: number): number => {
    if (!still.length || draws[draw]!.kind !== 'hands') return 0
    let end = begun + total[draw]!
    for (const [a, b] of still) if (a < end && b > begun) end += b - Math.max(a, begun)
    return end - begun - total[draw]!
  }
  const place = (i: number): void => {
    if (fixed[i]) {
      at[i] = planned[i]!
      return
    }
    let soonest = floor[i]!
    for (let j = first[i]!; j < first[i + 1]!; j++) {
      const draw = arcDraw[j]!
      const before = at[arcFrom[j]!]! + arcLag[j]!
      const t = draw < 0 ? before : before + total[draw]! + waited(draw, before)
      if (t > soonest) {
        soonest = t
        because[i] = arcFrom[j]!
      }
    }
    let t = Math.max(soonest, Math.min(planned[i]!, soonest + spare[i]!))
    const away = absences.get(i)
    if (away) for (const [from, to] of away.away) if (t < to && t + took[away.draw]! > from) t = to
    if (begins.has(i)) for (const [a, b] of still) if (a <= t && t < b) t = b
    if (t > soonest) because[i] = -1
    at[i] = t
  }
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    for (const i of order) place(i)
    let again = false
    for (const { from, to, lag } of net.back) {
      if (at[to]! >= at[from]! + lag) continue
      floor[to] = at[from]! + lag
      again = true
    }
    if (!again) break
  }
  return { at, because, took }
}

/** Seconds beyond a limit that nobody would notice: an estimate of ours. */
const TOLERANCE = 30

/** Which limits a run has broken, with by how many seconds; what was a fact before is nobody's fault. */
export function brokenIn(net: Network, { at, took }: Course): { limit: number; over: number }[] {
  return net.limits.flatMap(({ from, to, most, draw }, limit) => {
    if (net.fixed[to]) return []
    const over = at[to]! - at[from]! - Math.max(most, draw < 0 ? 0 : took[draw]!)
    return over > TOLERANCE ? [{ limit, over }] : []
  })
}

/** Seconds to the latest end that counts. */
export const finishOf = (net: Network, { at }: Course): number =>
  net.runs.reduce((most, r) => (r.activity.aside ? most : Math.max(most, at[r.end]!)), 0)
