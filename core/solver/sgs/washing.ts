import { CHORE } from './cookTime'
import { NEVER } from '../model/model'
import type { PartialSchedule } from './partialSchedule'
import type { StationTime } from './stationTime'

/** What `between` answers where the wash found its place. */
export const WASHED = -1

/** Finds somebody and a moment to wash a station, and writes it into a schedule. */
export class Washing {
  constructor(private readonly schedule: PartialSchedule) {}

  /** A wash chore in [from, to]; WASHED, or the earliest `to` for which there would be one. */
  between(station: StationTime, from: number, to: number, seconds: number): number {
    const { schedule } = this
    let best = NEVER
    let who = -1
    const now = schedule.model.facts?.now ?? 0
    if (from < now) from = now
    if (this.asWished(station, from, to, seconds)) return WASHED
    for (const c of station.station.wash!.cooks) {
      let t = from
      for (;;) {
        const slot = schedule.cooks[c]!.slot(t, to - seconds, seconds, 0, true, CHORE)
        const away = station.station.away.find(([a, b]) => a < slot + seconds && slot < b)
        if (!away || slot > to - seconds) {
          t = slot
          break
        }
        t = away[1]
      }
      if (t < best) {
        best = t
        who = c
      }
    }
    if (best > to - seconds) return best >= NEVER ? NEVER : best + seconds
    this.write(station, best, seconds, who)
    return WASHED
  }

  private write(station: StationTime, from: number, seconds: number, cook: number): void {
    const { cooks, undoLog } = this.schedule
    cooks[cook]!.take(from, from + seconds, 0, true, CHORE)
    undoLog.insert(station.chores, { from, to: from + seconds, cook })
  }

  /** Washes in [from, to] when and by whom the encoding wishes, where that can be. */
  private asWished(station: StationTime, from: number, to: number, seconds: number): boolean {
    const { encoding, cooks } = this.schedule
    const { wash, away, index } = station.station
    const can = (at: number, cook: number) =>
      at >= from &&
      at + seconds <= to &&
      wash!.cooks.includes(cook) &&
      !away.some(([a, b]) => a < at + seconds && at < b) &&
      cooks[cook]!.slot(at, at, seconds, 0, true, CHORE) === at
    for (const wish of encoding.washes[index]!) {
      const early = wish.from - encoding.shift
      const at = can(wish.from, wish.cook) ? wish.from : early
      if (at === early && !can(early, wish.cook)) continue
      this.write(station, at, seconds, wish.cook)
      return true
    }
    return false
  }
}
