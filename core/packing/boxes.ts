import type { Box, Kitchen } from '../kitchen'
import type { StockPlace } from '../stock'
import type { Recipe } from '../recipe'
import { isWet, litresOfPortion } from './litres'
import type { Lying } from './lying'

/** Share of a box that stays empty where what is in it grows as it freezes; a lid wants a little anyway. */
export const HEADROOM = 0.1
const UNDER_THE_LID = 0.03

/** What wants a box of its own. */
export interface ToBox {
  id: string
  litres: number
  place: StockPlace
  wet: boolean
}

/** So many portions of a dish, as they go into a place. */
export const toBox = (
  recipe: Recipe,
  share: { id: string; portions: number; place: StockPlace },
): ToBox => ({
  id: share.id,
  litres: litresOfPortion(recipe) * share.portions,
  place: share.place,
  wet: isWet(recipe),
})

/** Into which box each goes; those that find none are lacking. */
export interface Boxed {
  boxOf: Map<string, Box>
  lacking: ToBox[]
}

/** Litres of a thing that a box takes. */
const holds = (box: Box, { place, wet }: Pick<ToBox, 'place' | 'wet'>) =>
  box.litres * (1 - (place === 'freezer' && wet ? HEADROOM : UNDER_THE_LID))

/** How many litres too large one would rather take than this: bags stack frozen, frozen glass cracks. */
const LIKED: Record<StockPlace, Record<Box['kind'], number>> = {
  fridge: { box: 1, jar: 1, tray: 1.4, bag: 2 },
  freezer: { box: 1, jar: 3, tray: 1.2, bag: 0.9 },
  shelf: { box: 1, jar: 1, tray: 1.4, bag: 1 },
}

/** How many of a kind can be closed. */
export const closable = (box: Box): number => Math.min(box.count, box.lids ?? box.count)

/** How many of each kind lie in the house with something in them. */
export function inUse(lying: readonly Lying[]): Map<string, number> {
  const out = new Map<string, number>()
  for (const { pack } of lying)
    if (pack.box !== undefined) out.set(pack.box, (out.get(pack.box) ?? 0) + 1)
  return out
}

/**
 * The smallest free box for each that it fits into, the largest things first: so as many as can be find one.
 * What is frozen rather lies flat in a bag, where it stacks, and never in glass where anything else is free.
 */
export function chooseBoxes(
  things: readonly ToBox[],
  boxes: readonly Box[],
  lying: readonly Lying[] = [],
): Boxed {
  const used = inUse(lying)
  const free = new Map(boxes.map((b) => [b.id, Math.max(0, closable(b) - (used.get(b.id) ?? 0))]))
  const boxOf = new Map<string, Box>()
  const lacking: ToBox[] = []
  const order = [...things].sort((a, b) => b.litres - a.litres || a.id.localeCompare(b.id))
  for (const thing of order) {
    const suits = (b: Box) =>
      b.litres * LIKED[thing.place][b.kind] * (b.kind === 'jar' && !thing.wet ? 2 : 1)
    const fits = boxes
      .filter((b) => (free.get(b.id) ?? 0) > 0 && holds(b, thing) >= thing.litres - 1e-9)
      .sort((a, b) => suits(a) - suits(b) || a.id.localeCompare(b.id))
    const best = fits[0]
    if (!best) {
      lacking.push(thing)
      continue
    }
    boxOf.set(thing.id, best)
    free.set(best.id, free.get(best.id)! - 1)
  }
  return { boxOf, lacking }
}

/** Litres that a place of the kitchen has for what is packed; undefined where nobody said. */
export function roomIn(kitchen: Kitchen, place: StockPlace): number | undefined {
  if (place === 'shelf') return undefined
  const there = kitchen.stations.filter((s) => s.kind === place && !s.outOfUse)
  return there.length ? there.reduce((n, s) => n + s.capacity, 0) : undefined
}
