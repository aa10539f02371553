import { grainOf, mostLitres, type Recipe } from '../recipe'
import { upTo } from './ahead'

/** Litres that a unit of an ingredient fills: a kilo about as much as a litre. Pieces are not known. */
const LITRES: Record<string, number> = { g: 0.001, kg: 1, ml: 0.001, l: 1 }
export type Filled = 'pot' | 'slow-cooker' | 'pressure-cooker'

/** Litres of all that has gone in by a step, without what is counted in pieces or spoons. */
export const litresBy = (recipe: Recipe, step: string): number =>
  insideBy(recipe, step).reduce((sum, i) => sum + i.amount * (LITRES[i.unit] ?? 0), 0)

function insideBy(recipe: Recipe, step: string): Recipe['ingredients'] {
  const steps = upTo(recipe, [step])
  const used = new Set(recipe.steps.flatMap((s) => (steps.has(s.id) ? s.uses : [])))
  return recipe.ingredients.filter((i) => used.has(i.id))
}

/**
 * Litres that a pot or cooker must hold for one batch: all that has gone in by a step, with the room
 * above it that such a vessel wants. Only ever too little, since what is counted in pieces is left
 * out; undefined where next to nothing is known.
 */
export function litresIn(recipe: Recipe, to: string, kind: Filled): number | undefined {
  const inside = insideBy(recipe, to)
  const food = litresBy(recipe, to)
  if (food < 0.25) return undefined
  const foams = inside.some((i) => grainOf(i.item) !== undefined)
  const share = mostLitres(kind, 100, foams).most / 100
  return Math.round((food / share) * 10) / 10
}
