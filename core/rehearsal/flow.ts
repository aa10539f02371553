/** A stretch of use: between which instants, when by the plan, and how much of what there is. */
export interface Stretch {
  begin: number
  /** -1: it never ends. */
  end: number
  from: number
  to: number
  amount: number
}

const LITTLE = 1e-6

/**
 * Who takes over from whom, as pairs of instants (end of one, beginning of the next): each unit of what
 * there is goes from stretch to stretch, from the one that was over first. In a plan that keeps the capacity this has
 * every stretch served; the arcs keep it whatever the times turn out to be (Artigues, Michelon and
 * Reusser, 2003: insertion techniques for static and dynamic resource-constrained project scheduling).
 */
export function flowArcs(stretches: readonly Stretch[], capacity: number): [number, number][] {
  const arcs: [number, number][] = []
  const pool: { end: number; at: number; amount: number }[] = [{ end: 0, at: 0, amount: capacity }]
  const order = [...stretches].sort((a, b) => a.from - b.from || a.to - b.to)
  for (const s of order) {
    let wanted = s.amount
    for (const free of pool) {
      if (wanted <= LITTLE) break
      if (free.at > s.from || free.amount <= LITTLE) continue
      const taken = Math.min(free.amount, wanted)
      free.amount -= taken
      wanted -= taken
      if (free.end > 0) arcs.push([free.end, s.begin])
    }
    if (s.end >= 0) pool.push({ end: s.end, at: s.to, amount: s.amount })
    pool.sort((a, b) => a.at - b.at)
  }
  return arcs
}
