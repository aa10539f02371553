import { amountText, UNITS, IN_SMALL } from '../quantity'
import type { Issue, Reading } from '../reading'
import { idFor } from './naming'
import type { Recipe } from './schema'
import { isLiquid } from './text/foods'
import { namesOf, readIngredientLine, singular, type IngredientRead } from './text/ingredientLine'

type Ingredient = Recipe['ingredients'][number]

/**
 * An ingredient as a cook would write it: `500 g leeks, sliced`, `200 g tomatoes (½ of a 400 g
 * pack)`, `300 g chard; or spinach`, `20 g parsley (optional)`.
 */
export const ingredientLine = (i: Ingredient) =>
  `${amountText(i.amount, i.unit)} ${i.counted === undefined ? '' : `${i.counted} `}${itemText(i)}${packsText(i)}${i.note === undefined ? '' : `, ${i.note}`}${i.optional ? ' (optional)' : ''}${i.instead === undefined ? '' : `; or ${i.instead}`}`

/** `1 carrot` of what the list has in the plural: one of it, or a part of one. */
const itemText = ({ item, unit, amount, counted }: Ingredient) =>
  unit === 'piece' && amount <= 1 && counted === undefined
    ? item.replace(/^([^,(]*?)([a-z]+s)(?= *(?:[,(]|$))/i, (_, before: string, last: string) =>
        /(?:us|ss|is|as|ios|hummus|asparagus)$/i.test(last)
          ? before + last
          : before + singular(last),
      )
    : item

/** In how many packs it comes, where that is about a whole number of quarters. */
function packsText(i: Ingredient): string {
  const packs = packsIn(i)
  if (packs === undefined) return ''
  const quarters = Math.round(packs * 4) / 4
  const near = quarters > 0 && Math.abs(quarters - packs) <= 0.03 * packs
  const count = near ? `${amountText(quarters, 'piece')} ` : ''
  const size = amountText(i.pack!.amount, i.pack!.unit)
  if (packs > 1.03) return ` (${count}packs of ${size})`
  return near && quarters === 1 ? ` (1 pack of ${size})` : ` (${count}of a ${size} pack)`
}

/** The food that a line as a cook writes it is of: `double cream` of `200 ml double cream, whipped`. */
export const itemIn = (line: string): string => readIngredientLine(line).item
/** What a line says may go in instead, if it says so. */
export const insteadIn = (line: string): string | undefined => readIngredientLine(line).instead

/** How many packs the amount is; undefined where it does not come in packs. */
export function packsIn(i: Ingredient): number | undefined {
  const own = IN_SMALL[i.unit]
  if (!i.pack || own === undefined) return undefined
  return (i.amount * own) / (i.pack.amount * IN_SMALL[i.pack.unit]!)
}

/** Fat to cook in: nobody takes a pinch of it. */
const FAT = /\b(?:oil|butter|ghee|dripping|lard)\b/i

/** An ingredient as the format has it; what states no amount is a pinch, or a spoonful. */
export const ingredientOf = (read: Omit<IngredientRead, 'id'>): Omit<Ingredient, 'id'> => ({
  item: read.item.slice(0, 300),
  amount: read.amount > 0 ? read.amount : 1,
  unit:
    read.amount > 0
      ? read.unit
      : read.counted
        ? 'piece'
        : isLiquid(read.item) || FAT.test(read.item)
          ? 'tbsp'
          : 'pinch',
  ...(read.counted ? { counted: read.counted } : {}),
  ...(read.preparation ? { note: read.preparation.slice(0, 300) } : {}),
  ...(read.pack ? { pack: read.pack } : {}),
  ...(read.instead ? { instead: read.instead.slice(0, 300) } : {}),
  ...(read.optional ? { optional: true as const } : {}),
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
  if (!/\p{L}/u.test(read.item) || /^\d+(?:[.,]\d+)?\s*\p{L}{1,4}$/u.test(read.item))
    return no('there is no word in it', 'an amount, a unit and what it is')
  if (read.unknownUnit)
    return no(
      `"${read.unknownUnit}" is not a unit that is known`,
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
