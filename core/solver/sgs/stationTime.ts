import type { PastUse } from '../model/facts'
import type { UndoLog, Timed } from '../structures/undoLog'
import { NEVER, type MStation } from '../model/model'
import { washTime } from '../model/washTime'

export interface Occupation extends Timed {
  amount: number
  contents: number
}
export interface Chore extends Timed {
  cook: number
}

/** What stands on one station so far, and when it was washed. */
export class StationTime {
  readonly occupations: Occupation[] = []
  readonly chores: Chore[] = []
  /** After `room` answered true: until when the room lasts, or else from when to try again. */
  until = 0
  again = 0
  /** After `room` on a station that is washed: seconds to wash before, and from when. */
  washBefore = 0
  washFrom = 0
  /** What stands there at some instant. */
  private readonly under: Occupation[] = []

  constructor(
    readonly station: MStation,
    private readonly undoLog: UndoLog,
    past: { uses: readonly PastUse[]; chores: readonly Chore[] } = { uses: [], chores: [] },
  ) {
    for (const { from, to, contents } of past.uses)
      this.occupations.push({ from, to, contents, amount: 1 })
    this.chores.push(...past.chores)
  }

  /** Whether `amount` fits from `s` on; sets `until`, or `again`. */
  room(s: number, amount: number, contents: number): boolean {
    this.until = NEVER
    this.washBefore = 0
    for (const [from, to] of this.station.away) {
      if (from <= s && s < to) return this.fail(to)
      if (from > s && from < this.until) this.until = from
    }
    return this.station.wash ? this.roomBetween(s, contents) : this.roomBeside(s, amount)
  }

  /** Seconds of washing between two contents in this order. */
  washSeconds(was: number, next: number): number {
    return washTime(this.station, was, next)
  }

  occupy(from: number, to: number, amount: number, contents: number): Occupation {
    const occupation = { from, to, amount, contents }
    this.undoLog.insert(this.occupations, occupation)
    return occupation
  }

  /** The occupation that follows `occupation`, on a station that is washed. */
  following(occupation: Occupation): Occupation | undefined {
    return this.occupations[this.occupations.lastIndexOf(occupation) + 1]
  }

  washedBetween(from: number, to: number, seconds: number): boolean {
    for (const c of this.chores)
      if (c.from >= from && c.to <= to && c.to - c.from >= seconds) return true
    return false
  }

  private fail(again: number): false {
    this.again = again
    return false
  }

  private roomBeside(s: number, amount: number): boolean {
    const room = this.station.capacity - amount + 1e-9
    const list = this.occupations
    const { under } = this
    let size = 0
    let at = s
    // What is taken changes for the worse only where something begins.
    for (let i = 0; ;) {
      for (; i < list.length && list[i]!.from <= at; i++)
        if (list[i]!.to > at) under[size++] = list[i]!
      let load = 0
      let soonest = NEVER
      let kept = 0
      for (let k = 0; k < size; k++) {
        const o = under[k]!
        if (o.to <= at) continue
        under[kept++] = o
        load += o.amount
        if (o.to < soonest) soonest = o.to
      }
      size = kept
      if (load > room) {
        if (at === s) return this.fail(soonest)
        this.until = at
        return true
      }
      if (i === list.length) return true
      at = list[i]!.from
      if (at >= this.until) return true
    }
  }

  private roomBetween(s: number, contents: number): boolean {
    let before: Occupation | undefined
    let after: Occupation | undefined
    for (const o of this.occupations) {
      if (o.from <= s) before = o
      else {
        after = o
        break
      }
    }
    if (before && before.to > s) return this.fail(before.to)
    for (const c of this.chores) {
      if (c.from <= s && s < c.to) return this.fail(c.to)
      if (c.from > s && c.from < this.until) this.until = c.from
    }
    if (after && after.from < this.until) this.until = after.from
    if (after) {
      const seconds = this.washSeconds(contents, after.contents)
      if (seconds > 0 && !this.washedBetween(s, after.from, seconds))
        this.until = Math.min(this.until, after.from - seconds)
      // Too tight to wash afterwards: the next try stands behind what follows.
      if (this.until <= s) return this.fail(after.to)
    }
    if (!before) return true
    const seconds = this.washSeconds(before.contents, contents)
    if (seconds > 0 && !this.washedBetween(before.to, s, seconds)) {
      this.washBefore = seconds
      this.washFrom = before.to
    }
    return true
  }
}
