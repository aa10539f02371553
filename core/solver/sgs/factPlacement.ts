import { NEVER, type MActivity } from '../model/model'
import type { Placement } from './placement'
import type { PartialSchedule } from './partialSchedule'

/**
 * Puts what has begun into an empty schedule: what is over as it was, what is under way where it
 * stands, with the rest of it as early as it goes. False where that rest cannot follow.
 */
export function placeFacts(schedule: PartialSchedule, placement: Placement): boolean {
  const { model, windows } = schedule
  const begun = model.activities.filter((a) => a.fact && schedule.present[a.index])
  for (const a of begun) {
    const { fact, index } = a
    schedule.start[index] = fact!.start
    schedule.mode[index] = 0
    if (fact!.end === null) continue
    schedule.end[index] = fact!.end
    schedule.phases[index] = []
    if (!windows.fix(index, fact!.start, fact!.end)) return false
  }
  const { factTurn } = schedule
  const turnOf = (a: MActivity) =>
    factTurn === 0 ? mostOf(a) : factTurn === 1 ? leastOf(a) : shuffled(a.index, factTurn)
  const running = begun.filter((a) => a.fact!.end === null).sort((a, b) => turnOf(a) - turnOf(b))
  // All hands and heats that are in use at this moment first: nobody else can have them.
  const uses = running.map((a) => placement.takeUp(a))
  for (const hold of model.holds) {
    const { fact, need } = hold
    const from = model.activities[hold.from]!
    if (!from.fact || fact?.to != null || (hold.to >= 0 && !schedule.present[hold.to])) continue
    // Where nobody noted what holds it, because the end of the hold was not decided: what is free.
    const at = fact?.from ?? from.fact.start
    const free = need.stations.find((s) =>
      schedule.stations[s]!.room(at, need.amount, need.contents),
    )
    const index = fact?.station ?? free ?? need.stations[0]
    if (index === undefined) return false
    schedule.heldBy[hold.index] = index
    schedule.heldAs[hold.index] = schedule.stations[index]!.occupy(
      at,
      NEVER,
      need.amount,
      need.contents,
    )
  }
  for (const { index } of running)
    if (!windows.atLeast(2 * index + 1, schedule.minEnd[index]!)) return false
  const left = running.map((activity, k) => ({ activity, use: uses[k]! }))
  while (left.length) {
    // What something else under way waits for goes before it.
    const first = left.findIndex(({ activity }) =>
      left.every((o) => !schedule.eligible.leadsTo(o.activity.index, activity.index)),
    )
    const [next] = left.splice(Math.max(0, first), 1)
    if (!placement.carryOn(next!.activity, next!.use)) return false
  }
  for (const a of begun) schedule.markPlaced(a.index)
  return true
}

/** When the phase under way could end at the soonest. */
function leastOf(a: MActivity): number {
  const k = a.fact!.phases.length - 1
  return a.fact!.phases[k]!.from + a.modes[0]!.phases[k]!.min
}

/** A number that is another for every turn, and the same for the same. */
const shuffled = (index: number, turn: number) =>
  Math.imul((index + 1) * 2654435761 + turn * 40503, 2246822519) >>> 8

/** When the phase under way reaches its most; what is over it long ago comes first. */
function mostOf(a: MActivity): number {
  const k = a.fact!.phases.length - 1
  const { max, min } = a.modes[0]!.phases[k]!
  const since = a.fact!.phases[k]!.from
  return max < NEVER ? since + max : since - min
}
