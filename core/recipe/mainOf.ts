import type { Recipe } from './schema'
import { isMeat } from './text/foods'

/** What a dish is mostly of: its meat or fish, else what weighs most; undefined where nothing is weighed. */
export function mainOf(recipe: Recipe): string | undefined {
  const weight = (i: Recipe['ingredients'][number]) =>
    i.unit === 'kg' ? 1000 * i.amount : i.unit === 'g' ? i.amount : 0
  const weighed = recipe.ingredients.filter((i) => weight(i) > 0)
  const meat = weighed.filter((i) => isMeat(i.item))
  const pool = meat.length ? meat : weighed
  return pool.reduce<(typeof pool)[number] | undefined>(
    (most, i) => (most && weight(most) >= weight(i) ? most : i),
    undefined,
  )?.item
}
