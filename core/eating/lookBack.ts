import { rounded, tallyMoves, type Pack } from '../packing'

/** What became of what was packed in a time, for the whole or a dish. */
export interface Lookback {
  packed: number
  eaten: number
  thrown: number
  given: number
  used: number
  left: number
  /** What was thrown away, by why. */
  why: { why: string; portions: number; cost: number }[]
  /** What it cost, in the smallest coin, as far as that is known; of how many portions it is. */
  cost: number
  known: number
}

/** What became of packs, all in all. */
export function lookBack(packs: readonly Pack[]): Lookback {
  const t = tallyMoves(packs)
  const why = new Map<string, { portions: number; cost: number }>()
  let [cost, known] = [0, 0]
  for (const p of packs) {
    if (p.cost !== undefined) {
      cost += p.cost
      known += p.portions
    }
    for (const m of p.moves) {
      if (m.kind !== 'thrown') continue
      const so = why.get(m.why) ?? { portions: 0, cost: 0 }
      why.set(m.why, {
        portions: rounded(so.portions + m.portions),
        cost: so.cost + ((p.cost ?? 0) * m.portions) / p.portions,
      })
    }
  }
  return {
    packed: t.packed,
    eaten: t.eaten,
    thrown: t.thrown,
    given: t.given,
    used: t.used,
    left: t.left,
    why: [...why]
      .map(([w, x]) => ({ why: w, portions: x.portions, cost: Math.round(x.cost) }))
      .sort((a, b) => b.portions - a.portions),
    cost,
    known: rounded(known),
  }
}

/** By dish, what was packed last first. */
export function lookBackByDish(
  packs: readonly Pack[],
): { dish: string; name: string; of: Lookback }[] {
  const by = new Map<string, Pack[]>()
  for (const p of [...packs].sort((a, b) => b.at.localeCompare(a.at)))
    by.set(p.dish, [...(by.get(p.dish) ?? []), p])
  return [...by].map(([dish, own]) => ({ dish, name: own[0]!.name, of: lookBack(own) }))
}
