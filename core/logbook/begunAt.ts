import { counting, ofKind } from './events'
import type { Cooking } from './cooking'

/**
 * When somebody has told an activity to have begun, in milliseconds since the epoch; undefined where nobody
 * has, or where it was left out.
 */
export function begunAt(log: Cooking, activity: string): number | undefined {
  const told = ofKind(counting(log.events), 'done').find(
    (e) => e.activity === activity && e.points?.[0] === 0,
  )
  return told && !told.skipped ? log.startedAt + 1000 * told.from : undefined
}
