import { lyingOf, rounded } from './lying'
import type { Pack } from './schema'

/** What became of all that was ever packed: the parts add up to the whole. */
export interface Tally {
  packed: number
  left: number
  eaten: number
  thrown: number
  given: number
  used: number
}

export function tallyMoves(packs: readonly Pack[]): Tally {
  const t: Tally = { packed: 0, left: 0, eaten: 0, thrown: 0, given: 0, used: 0 }
  for (const p of packs) {
    t.packed += p.portions
    t.left += lyingOf(p).left
    for (const m of p.moves) if (m.kind !== 'moved') t[m.kind] += m.portions
  }
  for (const key of Object.keys(t) as (keyof Tally)[]) t[key] = rounded(t[key])
  return t
}
