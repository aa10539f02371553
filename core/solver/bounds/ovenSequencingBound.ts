import type { OvenSequencing } from '../construct/ovenSequencing'
import { PARAMS } from '../params'

const { ATTEMPTS, LEAST, STATES, MOST } = PARAMS.ovenSequencingBound
/** What sums may be off by. */
const CLOSE = 1e-6

/**
 * The least length of any sequence of the bakes, in any ovens; less where proving that takes too long.
 * `known`: that none is shorter than this; `upper`: the length of one of them.
 */
export function ovenSequencingBound(
  sequence: OvenSequencing,
  known: number,
  upper: number,
): number {
  if (sequence.bakes.length > MOST) return known
  const search = new OrderSearch(sequence)
  let proven = known
  // Not asked for from here on: a sequence as long as this is there, or takes too long to rule out.
  let top = upper
  let limit = upper - 1
  let left = ATTEMPTS
  while (proven < top && left > LEAST) {
    const found = search.within(limit, left / 2)
    left = ATTEMPTS - search.attempts
    if (found === undefined) top = limit
    else if (found < Infinity) top = Math.min(limit, Math.ceil(found - CLOSE))
    else proven = limit + 1
    limit = found !== undefined && found < Infinity ? top - 1 : (proven + top) >> 1
  }
  return proven
}

/** Goes through the orders of some bakes by their first heats, and the ovens of each. */
class OrderSearch {
  attempts = 0
  private readonly size: number
  private limit = 0
  private until = 0
  /** For each set of bakes the states that led to nothing. */
  private readonly known = new Map<number, Float64Array[]>()
  private readonly ovens: number[]
  /** When each bake can begin in each oven, when the last one did, and when each room is free. */
  private readonly state: Float64Array
  /** What has most to come after it first, and seconds of rooms that each takes. */
  private readonly byAfter: number[]
  private readonly area: number[]

  constructor(private readonly sequence: OvenSequencing) {
    this.size = sequence.bakes.length
    this.ovens = [...new Set(sequence.bakes.flatMap((b) => b.stations))]
    this.state = new Float64Array(
      this.size * this.ovens.length + sequence.roomCount(this.ovens) + 1,
    )
    const { bakes } = sequence
    const after = (b: number) => bakes[b]!.tail - bakes[b]!.seconds
    this.byAfter = Array.from(bakes.keys()).sort((a, b) => after(b) - after(a))
    this.area = bakes.map((b) => b.rooms * b.seconds)
  }

  /** The length of a sequence within a limit, Infinity: there is none; undefined: that took too long. */
  within(limit: number, attempts: number): number | undefined {
    this.limit = limit
    this.until = this.attempts + attempts
    this.known.clear()
    this.sequence.clear()
    return this.extend(0, 0, 0)
  }

  private extend(set: number, length: number, last: number): number | undefined {
    const { sequence, size, limit, state, ovens } = this
    if (set === (1 << size) - 1) return length
    const branches: { at: number; b: number; station: number }[] = []
    let k = 0
    let first = Infinity
    for (let b = 0; b < size; b++) {
      if (set & (1 << b)) {
        for (let s = 0; s < ovens.length; s++) state[k++] = 0
        continue
      }
      const { stations, tail } = sequence.bakes[b]!
      let soonest = Infinity
      for (const station of ovens) {
        const at = stations.includes(station)
          ? Math.max(last, sequence.earliest(b, station))
          : Infinity
        state[k++] = at
        if (at < soonest) soonest = at
        if (at + tail <= limit + CLOSE) branches.push({ at, b, station })
      }
      if (soonest + tail > limit + CLOSE) return Infinity
      if (soonest < first) first = soonest
    }
    state[k++] = last
    sequence.roomsInto(state, k, ovens)
    if (this.crowded(set, first, k) || this.seen(set)) return Infinity
    branches.sort((x, y) => x.at - y.at)
    for (const { at, b, station } of branches) {
      if (++this.attempts > this.until) return undefined
      sequence.place(b, station, at)
      const found = this.extend(set | (1 << b), Math.max(length, at + sequence.bakes[b]!.tail), at)
      sequence.takeBack()
      if (found === undefined || found < Infinity) return found
    }
    return Infinity
  }

  /** Whether what is left has no room before what comes after it, even cut into pieces. */
  private crowded(set: number, first: number, k: number): boolean {
    const { state, sequence, limit } = this
    let taken = 0
    for (let r = k; r < state.length; r++) taken += Math.max(state[r]!, first)
    for (const b of this.byAfter) {
      if (set & (1 << b)) continue
      taken += this.area[b]!
      const { seconds, tail } = sequence.bakes[b]!
      if (taken / (state.length - k) + tail - seconds > limit + CLOSE) return true
    }
    return false
  }

  /** Whether a state of this set has been gone through that was at least as good in all; otherwise it is kept. */
  private seen(set: number): boolean {
    const { state } = this
    const list = this.known.get(set)
    if (!list) {
      this.known.set(set, [state.slice()])
      return false
    }
    for (const other of list) if (other.every((x, i) => x <= state[i]!)) return true
    if (list.length < STATES) list.push(state.slice())
    return false
  }
}
