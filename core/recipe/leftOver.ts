import { amountText, measurable, type Unit } from '../quantity'
import type { Reading } from '../reading'
import { ingredientOf } from './ingredients'
import type { Recipe } from './schema'
import { namesOf, readIngredientLine } from './text/ingredientLine'

export type Leaving = NonNullable<Recipe['leaves']>[number]

/** What a dish leaves and who could use it. */
export interface Offer {
  from: string
  /** With its amount for the batches that are made. */
  line: string
  days: number
  /** Recipes that want such a thing, and how much of it for one batch. */
  takers: { recipe: string; wants: string }[]
}

/** Days that a by-product keeps where nothing is said: as cooked food and bones do in the fridge. */
const USUAL_DAYS = 2

/** A by-product as a cook would write it: `500 g bones, keeps 3 days`; or why it is none. */
export function readLeaving(text: string): Reading<Leaving> {
  const keeps = /,?\s*(?:keeps?|for)?\s*(\d+)\s*days?\b\.?/i
  const days = Number(text.match(keeps)?.[1] ?? USUAL_DAYS)
  const rest = text.replace(keeps, '').trim()
  if (days > 365) return no('leaves', `${days} days is too long`, '0 to 365 days')
  const read = readAmount(rest, 'leaves', '500 g bones, keeps 2 days')
  return read.ok ? { ok: true, value: { ...read.value, days } } : read
}

const no = (path: string, message: string, allowed: string): Reading<never> => ({
  ok: false,
  issues: [{ path, message, allowed }],
})

/** An amount of something as a cook would write it; or why it is none, with an example. */
export function readAmount(
  text: string,
  path: string,
  example: string,
): Reading<{ item: string; amount: number; unit: Unit }> {
  const line = text.trim()
  if (!/\p{L}/u.test(line)) return no(path, 'it does not say what it is', example)
  if (/^[-−]/.test(line)) return no(path, 'the amount is negative', 'an amount above 0')
  const read = readIngredientLine(line)
  if (read.unknownUnit || read.amount <= 0)
    return no(path, `"${line}" has no amount that is known`, example)
  const { item, amount, unit } = ingredientOf(read)
  // `300 g` and nothing else comes back as its own name.
  if (/^\d/.test(item)) return no(path, 'it does not say what it is', example)
  return { ok: true, value: { item, amount, unit } }
}

/**
 * Recipes that ask for a thing by name, and how much for so many batches: every word of it must
 * stand in the ingredient.
 */
export function takersOf(
  item: string,
  box: readonly Recipe[],
  batchesOf: (recipe: string) => number = () => 1,
): { recipe: string; wants: string }[] {
  const words = namesOf(item)
  if (!words.length) return []
  return box.flatMap((r) => {
    const hit = r.ingredients.find((i) => words.every((w) => namesOf(i.item).includes(w)))
    if (!hit) return []
    const amount = measurable(hit.amount * batchesOf(r.id), hit.unit)
    return [{ recipe: r.id, wants: `${amountText(amount, hit.unit)} ${hit.item}` }]
  })
}

/** What the dishes made leave over, each with the recipes that ask for such a thing by name. */
export function leftOver(
  made: readonly { recipe: Recipe; batches: number }[],
  box: readonly Recipe[],
): Offer[] {
  return made.flatMap(({ recipe, batches }) =>
    (recipe.leaves ?? []).map((l) => ({
      from: recipe.id,
      line: `${amountText(measurable(l.amount * batches, l.unit), l.unit)} ${l.item}`,
      days: l.days,
      takers: takersOf(
        l.item,
        box.filter((r) => r.id !== recipe.id),
      ),
    })),
  )
}
