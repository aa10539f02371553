import type { UndoLog, Timed } from '../structures/undoLog'
import { NEVER, type MStation } from '../model/model'

interface Demand extends Timed {
  lo: number
  hi: number
  method: number
}
interface Segment extends Demand {
  /** Temperatures that can be reached in time, given all that comes before. */
  reachLo: number
  reachHi: number
}

const CLOSE = 1e-7

/** One oven: who wants which heat when, and whether it can get from each heat to the next. */
export class OvenTime {
  private readonly demands: Demand[] = []
  /** Segments of the last chain, and spare ones: the search asks far too often to allocate. */
  private readonly out: Segment[] = []
  private used = 0
  private readonly oven: NonNullable<MStation['oven']>

  constructor(
    station: MStation,
    private readonly range: { min: number; max: number },
    private readonly undoLog: UndoLog,
  ) {
    this.oven = station.oven!
    const { running, start, from } = this.oven
    if (running)
      this.demands.push({
        from: running.from,
        to: from,
        lo: start,
        hi: start,
        method: running.method,
      })
  }

  /** The earliest start in [t, limit] of a heat, or an instant after `limit` or NEVER. */
  slot(t: number, limit: number, seconds: number, lo: number, hi: number, method: number): number {
    const low = Math.max(lo, this.range.min)
    const high = Math.min(hi, this.range.max)
    const demand = { from: t, to: t + seconds, lo: low, hi: high, method }
    while (t <= limit) {
      demand.from = t
      demand.to = t + seconds
      if (this.fits(demand)) return t
      t = this.nextTry(t, demand)
    }
    return t
  }

  take(from: number, to: number, lo: number, hi: number, method: number): void {
    this.undoLog.insert(this.demands, {
      from,
      to,
      lo: Math.max(lo, this.range.min),
      hi: Math.min(hi, this.range.max),
      method,
    })
  }

  /** Whether one temperature can be found for every stretch, in time from one to the next. */
  consistent(): boolean {
    return this.chain(undefined)
  }

  /** One temperature for each stretch of heat; stretches at the same one are joined. */
  segments(): { from: number; to: number; celsius: number; method: number }[] {
    if (!this.chain(undefined)) throw new Error('oven demands no longer fit')
    const chain = this.out
    const out: { from: number; to: number; celsius: number; method: number }[] = []
    let next: { from: number; celsius: number } | undefined
    for (let i = this.used - 1; i >= 0; i--) {
      const s = chain[i]!
      let lo = s.reachLo
      let hi = s.reachHi
      let wish = (s.lo + s.hi) / 2
      if (next) {
        const gap = next.from - s.to
        lo = Math.max(lo, next.celsius - span(gap, this.oven.heat))
        hi = Math.min(hi, next.celsius + span(gap, this.oven.cool))
        // Held where it can be; else the middle of what is asked for, not its edge.
        if (next.celsius >= s.lo && next.celsius <= s.hi) wish = next.celsius
      }
      const celsius = tidy(Math.min(Math.max(wish, lo), hi), lo, hi)
      next = { from: s.from, celsius }
      const first = out[0]
      if (first && first.celsius === celsius && first.method === s.method) first.from = s.from
      else out.unshift({ from: s.from, to: s.to, celsius, method: s.method })
    }
    return out
  }

  private fits(demand: Demand): boolean {
    // Most tries fail on one plain clash; the chain is only built where there is none.
    for (const d of this.demands) {
      if (d.from >= demand.to) break
      if (
        d.to > demand.from &&
        (d.method !== demand.method || d.lo > demand.hi || d.hi < demand.lo)
      )
        return false
    }
    return this.chain(demand)
  }

  /** Puts the demands, `extra` among them, merged where they overlap into `out`; false: a clash. */
  private chain(extra: Demand | undefined): boolean {
    const { demands } = this
    this.used = 0
    let taken = extra === undefined
    for (let i = 0; i < demands.length || !taken;) {
      const d = demands[i]
      if (!taken && (!d || extra!.from < d.from)) {
        taken = true
        if (!this.append(extra!)) return false
      } else {
        i++
        if (!this.append(d!)) return false
      }
    }
    return this.reach()
  }

  private append(demand: Demand): boolean {
    const last = this.used > 0 ? this.out[this.used - 1]! : undefined
    if (last && demand.from < last.to) {
      if (last.method !== demand.method) return false
      if (demand.lo > last.lo) last.lo = demand.lo
      if (demand.hi < last.hi) last.hi = demand.hi
      if (demand.to > last.to) last.to = demand.to
      return last.lo <= last.hi
    }
    const spare = this.out[this.used]
    if (spare) {
      spare.from = demand.from
      spare.to = demand.to
      spare.lo = demand.lo
      spare.hi = demand.hi
      spare.method = demand.method
    } else this.out.push({ ...demand, reachLo: 0, reachHi: 0 })
    this.used++
    return true
  }

  /** Forward over the segments, the temperatures that can be reached in time; false: none. */
  private reach(): boolean {
    let at = this.oven.running?.from ?? this.oven.from
    let lo = this.oven.start
    let hi = this.oven.start
    for (let i = 0; i < this.used; i++) {
      const s = this.out[i]!
      const gap = s.from - at
      s.reachLo = lo = Math.max(s.lo, lo - span(gap, this.oven.cool))
      s.reachHi = hi = Math.min(s.hi, hi + span(gap, this.oven.heat))
      if (lo > hi + CLOSE) return false
      if (lo > hi) s.reachLo = s.reachHi = lo = hi = Math.min(Math.max((lo + hi) / 2, s.lo), s.hi)
      at = s.to
    }
    return true
  }

  private nextTry(t: number, demand: Demand): number {
    const { heat, cool, start, from } = this.oven
    let best = NEVER
    const consider = (at: number) => {
      if (at > t && at < best) best = at
    }
    consider(from + Math.ceil(ramp(start, start, demand, heat, cool)))
    for (const d of this.demands) {
      consider(d.from)
      consider(d.to)
      consider(d.to + Math.ceil(ramp(d.lo, d.hi, demand, heat, cool)))
      // The oven may stand at the far end of what was asked of it.
      consider(d.to + Math.ceil(ramp(d.lo, d.lo, demand, heat, cool)))
      consider(d.to + Math.ceil(ramp(d.hi, d.hi, demand, heat, cool)))
    }
    return best
  }
}

/** Degrees that can be crossed in `seconds`. */
const span = (seconds: number, rate: number) => (rate === 0 ? Infinity : seconds / rate)

/** Shortest time from anywhere in [lo, hi] to the range of `to`. */
function ramp(lo: number, hi: number, to: { lo: number; hi: number }, heat: number, cool: number) {
  if (hi < to.lo) return (to.lo - hi) * heat
  if (lo > to.hi) return (lo - to.hi) * cool
  return 0
}

/** A round setting where there is one within reach: nobody sets an oven to 203.7 °C. */
function tidy(celsius: number, lo: number, hi: number): number {
  for (const step of [5, 1]) {
    const round = Math.round(celsius / step) * step
    for (const candidate of [round, round - step, round + step])
      if (candidate >= lo && candidate <= hi) return candidate
  }
  return celsius
}
