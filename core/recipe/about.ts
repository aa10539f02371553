import { foodLinks } from './flow'
import type { Recipe, Step } from './schema'
import { isLiquid, isMeat } from './text/foods'
import { isStaple } from './text/references'

type Ingredient = Recipe['ingredients'][number]

/**
 * The food that a step is about, as one says it: `the duck legs`, `the onions and peppers`. Meat and
 * fish first, then what there is most of; undefined where nothing but oil, salt and water is in it.
 */
export function aboutStep(recipe: Recipe, step: Step): string | undefined {
  const links = foodLinks(recipe)
  const steps = new Set([step.id])
  for (const id of steps) for (const l of links) if (l.to === id) steps.add(l.from)
  const used = new Set(recipe.steps.filter((s) => steps.has(s.id)).flatMap((s) => s.uses))
  const food = recipe.ingredients
    .filter((i) => used.has(i.id) && !isStaple(i.item) && !isLiquid(i.item))
    .map((i) => ({ name: nameOf(i), rank: isMeat(i.item) ? Infinity : grams(i) }))
    .sort((a, b) => b.rank - a.rank || 0)
  const names = [...new Set(food.map((f) => f.name))]
  if (!names.length) return undefined
  return names.length > 2
    ? `the ${names[0]}, ${names[1]} and the rest`
    : `the ${names.join(' and ')}`
}

const nameOf = ({ item }: Ingredient) =>
  item
    .toLowerCase()
    .replace(/\s*[,(].*$/, '')
    .replace(/ (?:for|to) .*$/, '')

/** What a piece of something is counted as here, in grams: an estimate of ours. */
const PIECE = 100
const GRAMS: Partial<Record<Ingredient['unit'], number>> = {
  g: 1,
  kg: 1000,
  ml: 1,
  l: 1000,
  piece: PIECE,
  tbsp: 15,
  tsp: 5,
}
const grams = ({ amount, unit }: Ingredient) => amount * (GRAMS[unit] ?? 1)
