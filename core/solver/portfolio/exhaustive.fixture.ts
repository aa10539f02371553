import type { Problem } from '../../problem'

/**
 * The least makespan of a tiny problem by trying every instant for every start and every hands
 * phase, without any of the solver's code. Only for one cook, one phase of waiting followed by
 * one of hands, FS waits without a most, at most one station, and hygiene.
 */
export function exhaustive(problem: Problem): number {
  const { activities, relations, hygiene } = problem
  const least = activities.map((a) => a.modes[0]!.phases[0]!.seconds[0])
  const work = activities.map((a) => a.modes[0]!.phases[1]!.seconds[0])
  const onStation = activities.map((a) => a.modes[0]!.needs.length > 0)
  const order = activities.map((_, i) => i)
  const clean = (a: number, b: number) =>
    hygiene[activities[a]!.hygiene]?.[activities[b]!.hygiene] ?? 0
  let best = Infinity

  // The hands decide: for each order of the hands phases, each begins as soon as its own wait,
  // its predecessors and clean hands allow; a station is taken in each order too.
  const permute = (list: number[], k: number, visit: (l: number[]) => void): void => {
    if (k === list.length) return visit(list)
    for (let i = k; i < list.length; i++) {
      const next = [...list]
      ;[next[k], next[i]] = [next[i]!, next[k]!]
      permute(next, k + 1, visit)
    }
  }
  permute(order, 0, (hands) => {
    const users = hands.filter((i) => onStation[i])
    // On one station, and one pair of hands at the end of each use, the orders must agree.
    const start = new Array<number>(order.length).fill(0)
    const from = new Array<number>(order.length).fill(0)
    const end = new Array<number>(order.length).fill(0)
    for (const [k, i] of hands.entries()) {
      let earliest = 0
      for (const r of relations) {
        if (r.to !== activities[i]!.id) continue
        const p = activities.findIndex((a) => a.id === r.from)
        if (hands.indexOf(p) > k) return
        earliest = Math.max(earliest, end[p]! + r.min)
      }
      const before = users[users.indexOf(i) - 1]
      if (onStation[i] && before !== undefined) earliest = Math.max(earliest, end[before]!)
      start[i] = earliest
      let at = earliest + least[i]!
      if (k > 0) at = Math.max(at, end[hands[k - 1]!]!)
      // A pause long enough somewhere between every unclean pair.
      while (hands.slice(0, k).some((p, q) => pauseBetween(hands, q, k, at) < clean(p, i))) at++
      from[i] = at
      end[i] = at + work[i]!
    }
    best = Math.min(best, Math.max(0, ...end))

    function pauseBetween(list: number[], q: number, k: number, at: number): number {
      let longest = 0
      for (let x = q; x < k; x++) {
        const until = x + 1 === k ? at : from[list[x + 1]!]!
        longest = Math.max(longest, until - end[list[x]!]!)
      }
      return longest
    }
  })
  return best
}
