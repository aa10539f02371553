import { amountText, UNITS } from '../quantity'
import type { Issue, Reading } from '../reading'
import { idFor } from './naming'
import type { Recipe } from './schema'
import { namesOf, readIngredientLine, type IngredientRead } from './text/ingredientLine'

type Ingredient = Recipe['ingredients'][number]

/** An ingredient as a cook would write it: `500 g leeks, sliced`. */
export const ingredientLine = (i: Ingredient) =>
  `${amountText(i.amount, i.unit)} ${i.item}${i.note === undefined ? '' : `, ${i.note}`}`

/** An ingredient as the format has it; what states no amount is a pinch. */
export const ingredientOf = (read: Omit<IngredientRead, 'id'>): Omit<Ingredient, 'id'> => ({
  item: read.item.slice(0, 300),
  amount: read.amount > 0 ? read.amount : 1,
  unit: read.amount > 0 ? read.unit : 'pinch',
  ...(read.preparation ? { note: read.preparation.slice(0, 300) } : {}),
})

/**
 * The recipe with an ingredient as the line says it, in the place of `id` or, without one, at the
 * end; or why the line is no ingredient.
 */
export function withIngredient(recipe: Recipe, line: string, id?: string): Reading<Recipe> {
  const no = (message: string, allowed: string): { ok: false; issues: Issue[] } => ({
    ok: false,
    issues: [{ path: 'ingredients', message, allowed }],
  })
  if (!line.trim()) return no('the line is empty', 'an amount, a unit and what it is')
  if (/^\s*[-−]\s*\d/.test(line)) return no('the amount is negative', 'an amount above 0')
  const read = readIngredientLine(line)
  if (!/\p{L}/u.test(read.item))
    return no('there is no word in it', 'an amount, a unit and what it is')
  if (read.unknownUnit)
    return no(
      `"${read.unknownUnit}" is no unit that is known`,
      `${UNITS.join(', ')}, cups, oz, lb, pints`,
    )
  const own = {
    id:
      id ??
      idFor(namesOf(read.item).at(-1) ?? 'item', new Set(recipe.ingredients.map((i) => i.id))),
    ...ingredientOf(read),
  }
  const ingredients =
    id === undefined
      ? [...recipe.ingredients, own]
      : recipe.ingredients.map((i) => (i.id === id ? own : i))
  return { ok: true, value: { ...recipe, ingredients } }
}

/** The recipe without an ingredient; its steps use it no more. */
export const withoutIngredient = (recipe: Recipe, id: string): Recipe => ({
  ...recipe,
  ingredients: recipe.ingredients.filter((i) => i.id !== id),
  steps: recipe.steps.map((s) => ({ ...s, uses: s.uses.filter((u) => u !== id) })),
})
