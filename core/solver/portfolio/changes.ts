import type { Plan } from '../../plan'
import type { PlanBody } from '../model/planBody'
import { PARAMS } from '../params'

const { SAME } = PARAMS.changes

/**
 * How many steps of an earlier plan a new one changes: left out, done in another way, by
 * somebody else, on something else, or beginning at another time, more than a minute off.
 */
export function changesFrom(previous: Plan, body: PlanBody): number {
  const now = new Map(body.activities.map((r) => [r.id, r]))
  let changes = 0
  for (const was of previous.activities) {
    const is = now.get(was.id)
    const same =
      is &&
      is.mode === was.mode &&
      Math.abs(is.start - was.start) <= SAME &&
      is.stations.every((s, k) => s === was.stations[k]) &&
      is.phases.every((p, k) => p.cook === was.phases[k]?.cook)
    if (!same) changes++
  }
  return changes
}
