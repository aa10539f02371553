import { grainOf, mostLitres, type Recipe } from '../recipe'
import { upTo } from './ahead'

/** Litres that a unit of an ingredient fills: a kilo about as much as a litre. Pieces are not known. */
const LITRES: Record<string, number> = { g: 0.001, kg: 1, ml: 0.001, l: 1 }
const FILLED = ['pot', 'slow-cooker', 'pressure-cooker'] as const
type Filled = (typeof FILLED)[number]

/**
 * The recipe with the litres that its kept pots and cookers must hold, where it does not say: all
 * that has gone in by the last step in them, with the room above it that such a vessel wants. Only
 * ever too little, since what is counted in pieces is left out.
 */
export function withFill(recipe: Recipe): Recipe {
  const keeps = recipe.keeps.map((k) => {
    const kind = FILLED.find((f) => f === k.vessel.kind)
    if (!kind || k.litres !== undefined || k.vessel.minSize !== undefined) return k
    const litres = litresIn(recipe, k.to, kind)
    return litres ? { ...k, litres } : k
  })
  return keeps.some((k, i) => k !== recipe.keeps[i]) ? { ...recipe, keeps } : recipe
}

/** Litres of all that has gone in by a step, without what is counted in pieces or spoons. */
export const litresBy = (recipe: Recipe, step: string): number =>
  insideBy(recipe, step).reduce((sum, i) => sum + i.amount * (LITRES[i.unit] ?? 0), 0)

function insideBy(recipe: Recipe, step: string): Recipe['ingredients'] {
  const steps = upTo(recipe, [step])
  const used = new Set(recipe.steps.flatMap((s) => (steps.has(s.id) ? s.uses : [])))
  return recipe.ingredients.filter((i) => used.has(i.id))
}

function litresIn(recipe: Recipe, to: string, kind: Filled): number | undefined {
  const inside = insideBy(recipe, to)
  const food = litresBy(recipe, to)
  if (food < 0.25) return undefined
  const foams = inside.some((i) => grainOf(i.item) !== undefined)
  const share = mostLitres(kind, 100, foams).most / 100
  return Math.round((food / share) * 10) / 10
}
