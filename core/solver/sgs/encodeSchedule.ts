import { forgetWishes, wish, WISHES, type Encoding } from './encoding'
import type { PartialSchedule } from './partialSchedule'

/** Takes down what a finished schedule looks like: its order and its wishes. */
export function encodeSchedule(encoding: Encoding, schedule: PartialSchedule): void {
  const { present, start, end, phases, served } = schedule
  for (let i = 0; i < start.length; i++) {
    encoding.at[2 * i] = present[i] ? start[i]! : -1
    encoding.at[2 * i + 1] = present[i] ? end[i]! : -1
    if (!present[i]) continue
    encoding.priority[i] = start[i]!
    forgetWishes(encoding, i)
    phases[i]!.forEach(({ cook }, k) => wish(encoding.cook, i, k, cook))
    served[i]!.forEach((station, k) => wish(encoding.seat, i, k, station))
  }
  encoding.seat.set(schedule.heldBy, WISHES * start.length)
  schedule.stations.forEach((s, k) => (encoding.washes[k] = s.chores.slice()))
}
