import type { Model } from './model'

/** For each activity, marks on itself and on everything that leads to it. */
export function ancestors(follows: number[][]): Uint8Array[] {
  const n = follows.length
  const leads: number[][] = Array.from({ length: n }, () => [])
  follows.forEach((list, i) => list.forEach((j) => leads[j]!.push(i)))
  return leads.map((_, i) => {
    const marks = new Uint8Array(n)
    const stack = [i]
    while (stack.length) {
      const k = stack.pop()!
      if (marks[k]) continue
      marks[k] = 1
      stack.push(...leads[k]!)
    }
    return marks
  })
}

/** For each activity those that are placed after it: ends of lags, ends of holds. */
export function successors(model: Model): number[][] {
  const index = new Map(model.problem.activities.map((a, i) => [a.id, i]))
  const sets = model.activities.map(() => new Set<number>())
  for (const r of model.problem.relations) {
    const from = index.get(r.from)!
    const to = index.get(r.to)!
    if (from !== to) sets[from]!.add(to)
  }
  for (const h of model.holds) if (h.to >= 0 && h.to !== h.from) sets[h.from]!.add(h.to)
  // Pairs tied in both directions keep the one order in which they are listed.
  sets.forEach((set, i) => {
    for (const j of set) if (sets[j]!.has(i) && j < i) set.delete(j)
  })
  return sets.map((s) => [...s])
}
