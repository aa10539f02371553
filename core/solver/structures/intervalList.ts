import { grown } from './growingArray'

/**
 * Intervals sorted by their beginning, each with a number of its own, as plain numbers: a search for
 * room reads far more of them than it writes.
 */
export class IntervalList {
  from = new Int32Array(32)
  to = new Int32Array(32)
  what = new Float64Array(32)
  count = 0

  /** Puts an interval in its place, an empty one before what begins there; which one it is now. */
  insert(from: number, to: number, what: number): number {
    if (this.count === this.from.length) {
      this.from = grown(this.from)
      this.to = grown(this.to)
      const what = new Float64Array(this.from.length)
      what.set(this.what)
      this.what = what
    }
    const { from: begins, to: ends, what: kinds } = this
    let at = this.count++
    for (; at > 0; at--) {
      const begin = begins[at - 1]!
      if (begin < from || (begin === from && ends[at - 1]! <= to)) break
      begins[at] = begin
      ends[at] = ends[at - 1]!
      kinds[at] = kinds[at - 1]!
    }
    begins[at] = from
    ends[at] = to
    kinds[at] = what
    return at
  }

  remove(at: number): void {
    const { from, to, what } = this
    const last = --this.count
    for (let i = at; i < last; i++) {
      from[i] = from[i + 1]!
      to[i] = to[i + 1]!
      what[i] = what[i + 1]!
    }
  }

  /** The first one that ends after an instant, where none begins before another ends. */
  firstEndingAfter(at: number): number {
    return firstAbove(this.to, this.count, at)
  }

  /** The first one that begins after an instant. */
  firstAfter(at: number): number {
    return firstAbove(this.from, this.count, at)
  }
}

/** Where in so many sorted numbers the first one above a limit is. */
function firstAbove(sorted: Int32Array, count: number, limit: number): number {
  let low = 0
  let high = count
  while (low < high) {
    const middle = (low + high) >> 1
    if (sorted[middle]! > limit) high = middle
    else low = middle + 1
  }
  return low
}
