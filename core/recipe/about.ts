import { WITH_SPOONS } from '../quantity'
import { comesFrom, foodLinks } from './flow'
import type { Recipe } from './schema'
import { isLiquid, isMeat } from './text/foods'
import { isStaple } from './text/references'

type Ingredient = Recipe['ingredients'][number]

/**
 * The food that each step is about, as one says it: `the duck legs`, `the onions and peppers`. Meat
 * and fish first, then what there is most of; none where nothing but oil, salt and water is in it.
 */
export function aboutSteps(recipe: Recipe): Map<string, string> {
  const links = foodLinks(recipe)
  return new Map(
    recipe.steps.flatMap((step) => {
      const inside = comesFrom(links, step.id)
      const about = inWords(
        new Set(recipe.steps.filter((s) => inside.has(s.id)).flatMap((s) => s.uses)),
        recipe.ingredients,
      )
      return about === undefined ? [] : [[step.id, about] as const]
    }),
  )
}

function inWords(used: ReadonlySet<string>, all: readonly Ingredient[]): string | undefined {
  const food = all
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
const grams = ({ amount, unit }: Ingredient) =>
  amount * (unit === 'piece' ? PIECE : (WITH_SPOONS[unit] ?? 1))
