import type { PastTouch } from './facts'
import type { Journal, Timed } from './journal'
import { NEVER, type MCook, type Model } from './model'

export interface Block extends Timed {
  /** Hygiene class of a hands phase, or CHORE, or AWAY. */
  hygiene: number
}
interface Load extends Timed {
  load: number
}

export const CHORE = -1
const AWAY = -2

/** One cook's day so far: what the hands hold, what the eyes are on, how clean the hands are. */
export class CookTime {
  readonly blocks: Block[]
  private readonly loads: Load[] = []
  /** Seconds that the longest of them took so far. */
  private longest = 0
  private readonly back: number[]
  private readonly backSeen: number[]

  constructor(
    private readonly model: Model,
    private readonly cook: MCook,
    private readonly journal: Journal,
    past: readonly PastTouch[] = [],
  ) {
    this.blocks = cook.away.map(([from, to]) => ({ from, to, hygiene: AWAY }))
    if (past.length) this.blocks = withPast(this.blocks, past)
    this.back = new Array<number>(model.classes).fill(0)
    this.backSeen = []
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

  take(from: number, to: number, attention: number, hands: boolean, hygiene: number): void {
    if (hands) this.journal.insert(this.blocks, { from, to, hygiene })
    if (attention === 0) return
    this.longest = Math.max(this.longest, to - from)
    this.journal.insert(this.loads, { from, to, load: attention })
  }

  private afterBlocks(t: number, seconds: number): number {
    const { blocks } = this
    for (let i = this.firstEndingAfter(t); i < blocks.length; i++) {
      const block = blocks[i]!
      if (block.from >= t + seconds) break
      if (block.to > t) t = block.to
    }
    return t
  }

  private firstEndingAfter(t: number): number {
    let low = 0
    let high = this.blocks.length
    while (low < high) {
      const mid = (low + high) >> 1
      if (this.blocks[mid]!.to > t) high = mid
      else low = mid + 1
    }
    return low
  }

  private afterAbsences(t: number, seconds: number): number {
    for (const [from, to] of this.cook.away) if (from < t + seconds && to > t) t = to
    return t
  }

  private afterLoads(t: number, seconds: number, attention: number): number {
    const room = this.cook.attention - attention + 1e-9
    if (room < 0) return NEVER
    if (seconds === 0) return t
    const { loads } = this
    for (;;) {
      if (this.loadWithin(t, t + seconds) <= room) return t
      let next = -1
      const first = this.firstReaching(t)
      for (let i = first - 1; i < loads.length && next < 0; i++) {
        const at = i < first ? t : loads[i]!.from
        if (i >= first && (at <= t || loads[i]!.to <= t)) continue
        if (at >= t + seconds) break
        let sum = 0
        let soonest = NEVER
        for (let j = first; j < loads.length; j++) {
          const other = loads[j]!
          if (other.from > at) break
          if (other.to <= at) continue
          sum += other.load
          if (other.to < soonest) soonest = other.to
        }
        if (sum > room) next = soonest
      }
      if (next < 0) return t
      t = next
    }
  }

  /** The first load that may reach past an instant. */
  private firstReaching(t: number): number {
    let low = 0
    let high = this.loads.length
    while (low < high) {
      const mid = (low + high) >> 1
      if (this.loads[mid]!.from > t - this.longest) high = mid
      else low = mid + 1
    }
    return low
  }

  /** All that overlaps [from, to), summed: an upper limit of the load at any instant of it. */
  loadWithin(from: number, to: number): number {
    const { loads } = this
    let sum = 0
    for (let i = this.firstReaching(from); i < loads.length; i++) {
      const o = loads[i]!
      if (o.from >= to) break
      if (o.to > from) sum += o.load
    }
    return sum
  }

  /** `t` where the hands are clean enough for it and for all that follows, else a later try. */
  private cleanFrom(t: number, seconds: number, hygiene: number): number {
    const { blocks, model, back, backSeen } = this
    const { classes, longestClean } = model
    const position = this.firstEndingAfter(t)
    backSeen.length = 0
    let gap = 0
    let at = t
    for (let i = position - 1; i >= 0 && gap < longestClean; i--) {
      const block = blocks[i]!
      if (at - block.to > gap) gap = at - block.to
      at = block.from
      if (block.hygiene < 0 || backSeen.includes(block.hygiene)) continue
      if (gap >= longestClean) break
      backSeen.push(block.hygiene)
      back[block.hygiene] = gap
      const needed = hygiene < 0 ? 0 : model.hygiene[block.hygiene * classes + hygiene]!
      if (needed > gap) return Math.max(t + 1, blocks[position - 1]!.to + needed)
    }
    let ahead = 0
    at = t + seconds
    for (let i = position; i < blocks.length && ahead < longestClean; i++) {
      const block = blocks[i]!
      if (block.from - at > ahead) ahead = block.from - at
      at = block.to
      const next = block.hygiene
      if (next < 0) continue
      if (ahead >= longestClean) break
      if (hygiene >= 0 && model.hygiene[hygiene * classes + next]! > ahead)
        return blocks[position]!.to
      for (const before of backSeen)
        if (model.hygiene[before * classes + next]! > Math.max(back[before]!, ahead))
          return this.splitHint(t, seconds, position)
    }
    return t
  }

  /** The block would split the pause in which hands are washed: try its far end, then go on. */
  private splitHint(t: number, seconds: number, position: number): number {
    const flush = this.blocks[position]!.from - seconds
    return flush > t ? flush : this.blocks[position]!.to
  }
}

/** Absences and the work that lies behind, by end and without overlaps. */
function withPast(away: Block[], past: readonly PastTouch[]): Block[] {
  let at = 0
  return [...away, ...past]
    .sort((a, b) => a.to - b.to || a.from - b.from)
    .map((b) => {
      const from = Math.min(b.to, Math.max(b.from, at))
      at = b.to
      return { ...b, from }
    })
}
