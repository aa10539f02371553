import { NEVER } from '../model/model'

/** Work that must be done by one of a group: how much, not before `head`, `tail` to go after. */
export interface Work {
  seconds: number
  head: number
  tail: number
}

/** Of several lists of work, something that each of them is at least. */
export function leastOf(lists: Work[][]): Work[] {
  if (lists.some((l) => !l.length)) return []
  const seconds = Math.min(...lists.map((l) => l.reduce((sum, w) => sum + w.seconds, 0)))
  const all = lists.flat()
  return [
    {
      seconds,
      head: Math.min(...all.map((w) => w.head)),
      tail: Math.min(...all.map((w) => w.tail)),
    },
  ]
}

/**
 * Energetic reasoning: the least end by which all the work fits, for every subset cut off by a head and a tail:
 * from the cut head to the end less the cut tail there must be room for it. `spared`: seconds that
 * some of the work may not take, whichever subset it is in.
 */
export function energyBound(
  work: Work[],
  room: (from: number, to: number) => number,
  spared = 0,
): number {
  let best = 0
  const byTail = [...work].sort((a, b) => b.tail - a.tail)
  for (const head of new Set(work.map((w) => w.head))) {
    let seconds = -spared
    for (const w of byTail) {
      if (w.head < head || w.tail <= -NEVER) continue
      seconds += w.seconds
      if (room(head, best - w.tail) >= seconds) continue
      let low = best
      let high = Math.max(best, head) + seconds + w.tail + 1
      while (room(head, high - w.tail) < seconds) high = high * 2 + 60
      while (low < high) {
        const mid = (low + high) >> 1
        if (room(head, mid - w.tail) >= seconds) high = mid
        else low = mid + 1
      }
      best = low
    }
  }
  return best
}
