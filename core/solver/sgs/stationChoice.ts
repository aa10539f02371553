import { WISHES } from './encoding'
import { NEVER, type MHold, type MMode, type MNeed } from '../model/model'
import type { PartialSchedule } from './partialSchedule'
import type { Occupation, StationTime } from './stationTime'
import { WASHED, Washing } from './washing'

/** What `finish` answers where the occupation can end then; otherwise when to try again. */
export const FINISHED = -1

export interface Pick {
  station: StationTime
  occupation: Occupation
  until: number
}

/** Finds stations for needs and holds, and sees to the washing before and after. */
export class StationChoice {
  /** After a failure: when to try again. */
  again = NEVER
  /** When the next of the ovens that had no room for the last start tried has some. */
  otherOven = NEVER
  private readonly washing: Washing

  constructor(private readonly schedule: PartialSchedule) {
    this.washing = new Washing(schedule)
  }

  /**
   * A station free in [s, least] at least, taken from `s` to `to`, the one wished for if that is
   * one; else `again` says when.
   */
  take(need: MNeed, s: number, least: number, to: number, wish: number): Pick | undefined {
    this.again = NEVER
    const { stations } = need
    const wished = wish < 0 ? -1 : stations.indexOf(wish)
    for (let k = wished < 0 ? 0 : -1; k < stations.length; k++) {
      if (k >= 0 && k === wished) continue
      const station = this.schedule.stations[k < 0 ? wish : stations[k]!]!
      if (!station.room(s, need.amount, need.contents)) {
        this.again = Math.min(this.again, station.again)
        continue
      }
      const { until } = station
      if (until < least) {
        this.again = Math.min(this.again, Math.max(s + 1, until))
        continue
      }
      if (station.washBefore > 0) {
        const again = this.washing.between(station, station.washFrom, s, station.washBefore)
        if (again !== WASHED) {
          this.again = Math.min(this.again, again)
          continue
        }
      }
      const occupation = station.occupy(s, Math.min(to, until), need.amount, need.contents)
      return { station, occupation, until }
    }
    return undefined
  }

  /** Of the ovens with room from `s` on, the one that has the heat first. */
  takeOven(mode: MMode, k: number, s: number, wish: number): Pick | undefined {
    const { stations, ovens } = this.schedule
    const need = mode.needs[k]!
    let at = s
    let heated = 0
    while (mode.phases[heated]!.heat?.need !== k) at += mode.phases[heated++]!.min
    const { min } = mode.phases[heated]!
    const { lo, hi, method } = mode.phases[heated]!.heat!
    let best = -1
    let soonest = NEVER
    for (const station of need.stations) {
      const time = stations[station]!
      const room = time.room(s, need.amount, need.contents)
      if (!room || time.until < s + mode.min) {
        this.otherOven = Math.min(this.otherOven, room ? Math.max(s + 1, time.until) : time.again)
        continue
      }
      const hot = ovens[station]!.slot(at, soonest, min, lo, hi, method)
      if (hot < soonest || (hot === soonest && station === wish)) {
        soonest = hot
        best = station
      }
    }
    if (best < 0) {
      this.again = this.otherOven
      return undefined
    }
    return this.take(need, s, s + mode.min, s + mode.min, best)
  }

  takeHold(hold: MHold, s: number, min: number): Pick | undefined {
    const { schedule } = this
    const wish = schedule.encoding.seat[WISHES * schedule.present.length + hold.index]!
    if (hold.to < 0) return this.take(hold.need, s, NEVER, NEVER, wish)
    if (hold.to !== hold.from && schedule.isPlaced(hold.to)) {
      const end = schedule.end[hold.to]!
      const pick = this.take(hold.need, s, end, end, wish)
      if (!pick) return undefined
      const again = this.finish(pick.station, pick.occupation, end)
      if (again === FINISHED) return pick
      this.again = again
      return undefined
    }
    const chain = schedule.windows.lo[2 * hold.to + 1]! - schedule.windows.lo[2 * hold.from]!
    return this.take(hold.need, s, s + Math.max(min, chain), NEVER, wish)
  }

  /** Ends an occupation and sees to the washing before what follows it. */
  finish(station: StationTime, occupation: Occupation, end: number): number {
    this.schedule.undoLog.setEnd(occupation, end)
    const after = station.station.wash ? station.following(occupation) : undefined
    if (!after) return FINISHED
    const seconds = station.washSeconds(occupation.contents, after.contents)
    if (seconds === 0 || station.washedBetween(end, after.from, seconds)) return FINISHED
    const again = this.washing.between(station, end, after.from, seconds)
    return again === WASHED ? FINISHED : after.from
  }
}
