import type { PastTouch } from '../model/facts'
import { grown } from '../structures/growingArray'
import type { UndoLog } from '../structures/undoLog'
import { NEVER, type MCook, type Model } from '../model/model'
import { IntervalList } from '../structures/intervalList'

export const CHORE = -1
const AWAY = -2

/** One cook's day so far: what the hands hold, what the eyes are on, how clean the hands are. */
export class CookTime {
  /** Hands phases with their hygiene class, chores and absences, none of which overlap. */
  private readonly blocks = new IntervalList()
  /** What takes attention, and how much. */
  private readonly loads = new IntervalList()
  /** Of the loads at some instant, which they are. */
  private under = new Int32Array(32)
  /** Seconds that the longest of them took so far. */
  private longest = 0
  /** Classes met going back from an instant, and the longest pause since each. */
  private readonly back: Int32Array
  private readonly backSeen: Int32Array

  constructor(
    private readonly model: Model,
    private readonly cook: MCook,
    private readonly undoLog: UndoLog,
    past: readonly PastTouch[] = [],
  ) {
    const away = cook.away.map(([from, to]) => ({ from, to, hygiene: AWAY }))
    for (const { from, to, hygiene } of past.length ? withPast(away, past) : away)
      this.blocks.insert(from, to, hygiene)
    this.back = new Int32Array(model.classes)
    this.backSeen = new Int32Array(model.classes)
  }

  /**
   * The earliest start in [t, limit] of `seconds` of hands (class `hygiene`, or CHORE) or, with
   * `hands` false, of watching; otherwise some instant after `limit` below which there is none.
   */
  slot(
    t: number,
    limit: number,
    seconds: number,
    attention: number,
    hands: boolean,
    hygiene: number,
  ): number {
    for (;;) {
      if (t > limit) return t
      const start = t
      t = hands ? this.afterBlocks(t, seconds) : this.afterAbsences(t, seconds)
      if (t > limit) return t
      if (attention > 0) t = this.afterLoads(t, seconds, attention)
      if (t > limit) return t
      if (t !== start) continue
      if (!hands || this.model.longestClean === 0) return t
      const clean = this.cleanFrom(t, seconds, hygiene)
      if (clean === t) return t
      t = clean
    }
  }

  /** When the last hands work so far ends. */
  get lastHands(): number {
    const { to, what, count } = this.blocks
    let i = count - 1
    while (i >= 0 && what[i]! < 0) i--
    return i < 0 ? 0 : to[i]!
  }

  take(from: number, to: number, attention: number, hands: boolean, hygiene: number): void {
    if (hands) this.undoLog.put(this.blocks, from, to, hygiene)
    if (attention === 0) return
    this.longest = Math.max(this.longest, to - from)
    this.undoLog.put(this.loads, from, to, attention)
  }

  private afterBlocks(t: number, seconds: number): number {
    const { from, to, count } = this.blocks
    for (let i = this.blocks.firstEndingAfter(t); i < count; i++) {
      if (from[i]! >= t + seconds) break
      if (to[i]! > t) t = to[i]!
    }
    return t
  }

  private afterAbsences(t: number, seconds: number): number {
    for (const [from, to] of this.cook.away) if (from < t + seconds && to > t) t = to
    return t
  }

  private afterLoads(t: number, seconds: number, attention: number): number {
    const room = this.cook.attention - attention + 1e-9
    if (room < 0) return NEVER
    if (seconds === 0) return t
    for (;;) {
      if (this.loadWithin(t, t + seconds) <= room) return t
      const next = this.endOfExcess(t, seconds, room)
      if (next < 0) return t
      t = next
    }
  }

  /** Where at some instant of a stretch more than `room` is taken, when that may first be less; or -1. */
  private endOfExcess(t: number, seconds: number, room: number): number {
    const { loads } = this
    const { from, to, what, count } = loads
    while (this.under.length < count) this.under = grown(this.under)
    const { under } = this
    let size = 0
    // What is taken changes for the worse only where something begins.
    let at = t
    for (let i = loads.firstAfter(t - this.longest); ;) {
      for (; i < count && from[i]! <= at; i++) if (to[i]! > at) under[size++] = i
      let sum = 0
      let soonest = NEVER
      let kept = 0
      for (let k = 0; k < size; k++) {
        const j = under[k]!
        if (to[j]! <= at) continue
        under[kept++] = j
        sum += what[j]!
        if (to[j]! < soonest) soonest = to[j]!
      }
      size = kept
      if (sum > room) return soonest
      if (i === count || from[i]! >= t + seconds) return -1
      at = from[i]!
    }
  }

  /** All that overlaps [from, to), summed: an upper limit of the load at any instant of it. */
  loadWithin(from: number, to: number): number {
    const { loads } = this
    const { from: begins, to: ends, what, count } = loads
    let sum = 0
    for (let i = loads.firstAfter(from - this.longest); i < count; i++) {
      if (begins[i]! >= to) break
      if (ends[i]! > from) sum += what[i]!
    }
    return sum
  }

  /** `t` where the hands are clean enough for it and for all that follows, else a later try. */
  private cleanFrom(t: number, seconds: number, hygiene: number): number {
    const { blocks, model, back, backSeen } = this
    const { classes, longestClean } = model
    const position = blocks.firstEndingAfter(t)
    const { from, to, what, count } = blocks
    let met = 0
    let gap = 0
    let at = t
    for (let i = position - 1; i >= 0 && gap < longestClean; i--) {
      if (at - to[i]! > gap) gap = at - to[i]!
      at = from[i]!
      const before = what[i]!
      if (before < 0 || isAmong(backSeen, met, before)) continue
      if (gap >= longestClean) break
      backSeen[met++] = before
      back[before] = gap
      const needed = hygiene < 0 ? 0 : model.hygiene[before * classes + hygiene]!
      if (needed > gap) return Math.max(t + 1, to[position - 1]! + needed)
    }
    let ahead = 0
    at = t + seconds
    for (let i = position; i < count && ahead < longestClean; i++) {
      if (from[i]! - at > ahead) ahead = from[i]! - at
      at = to[i]!
      const next = what[i]!
      if (next < 0) continue
      if (ahead >= longestClean) break
      if (hygiene >= 0 && model.hygiene[hygiene * classes + next]! > ahead) return to[position]!
      for (let k = 0; k < met; k++) {
        const before = backSeen[k]!
        if (model.hygiene[before * classes + next]! > Math.max(back[before]!, ahead))
          return this.splitHint(t, seconds, position)
      }
    }
    return t
  }

  /** The block would split the pause in which hands are washed: try its far end, then go on. */
  private splitHint(t: number, seconds: number, position: number): number {
    const flush = this.blocks.from[position]! - seconds
    return flush > t ? flush : this.blocks.to[position]!
  }
}

function isAmong(list: Int32Array, count: number, x: number): boolean {
  for (let i = 0; i < count; i++) if (list[i] === x) return true
  return false
}

/** Absences and the work that lies behind, by end and without overlaps. */
function withPast(away: PastTouch[], past: readonly PastTouch[]): PastTouch[] {
  let at = 0
  return [...away, ...past]
    .sort((a, b) => a.to - b.to || a.from - b.from)
    .map((b) => {
      const from = Math.min(b.to, Math.max(b.from, at))
      at = b.to
      return { ...b, from }
    })
}
