import type { Pack } from './schema'

/** Why something is not put into a place in which it keeps for no day. */
const WHY: Record<Pack['place'], string> = {
  fridge: 'does not keep in the fridge',
  freezer: 'does not freeze well: it comes out limp or watery',
  shelf: 'does not keep outside the cold',
}

/** Why a thing must not go to a place, and where it may; nothing where it keeps there. */
export function misplaced(
  keeps: Pack['keeps'],
  place: Pack['place'],
): { message: string; allowed: string } | undefined {
  if (keeps[place] > 0) return undefined
  const there = (['fridge', 'freezer', 'shelf'] as const).filter((p) => keeps[p] > 0)
  const places = there.map((p) => `the ${p}`)
  return { message: WHY[place], allowed: places.join(' or ') || 'eaten on the day' }
}
