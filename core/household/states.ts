/** An earlier state of the household, as the browser keeps it to go back to. */
export interface StateMark {
  id: number
  /** When it was kept, in milliseconds since the epoch. */
  at: number
}

/** So many of the latest states are kept whatever their age … */
export const LATEST = 10
/** … and beside them the last of each day for so many days. */
export const DAYS = 7

const DAY_MS = 86_400_000

/**
 * Which states need no longer be kept: all but the ten latest and the last one of each of the seven
 * days up to the latest. Days are those of UTC; the clock of the browser may have been set back, so
 * what counts as latest is the order in which they were kept.
 */
export function outdated(states: readonly StateMark[]): number[] {
  const order = [...states].sort((a, b) => b.id - a.id)
  const kept = new Set(order.slice(0, LATEST).map((s) => s.id))
  const today = Math.floor((order[0]?.at ?? 0) / DAY_MS)
  const days = new Set<number>()
  for (const s of order) {
    const day = Math.floor(s.at / DAY_MS)
    if (day > today - DAYS && !days.has(day)) {
      days.add(day)
      kept.add(s.id)
    }
  }
  return order.filter((s) => !kept.has(s.id)).map((s) => s.id)
}
