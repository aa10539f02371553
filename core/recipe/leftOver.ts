import { amountText, measurable } from '../quantity'
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
  const no = (message: string, allowed: string): Reading<Leaving> => ({
    ok: false,
    issues: [{ path: 'leaves', message, allowed }],
  })
  const keeps = /,?\s*(?:keeps?|for)?\s*(\d+)\s*days?\b\.?/i
  const days = Number(text.match(keeps)?.[1] ?? USUAL_DAYS)
  const rest = text.replace(keeps, '').trim()
  if (!/\p{L}/u.test(rest)) return no('it does not say what is left', '500 g bones, keeps 2 days')
  if (/^[-−]/.test(rest)) return no('the amount is negative', 'an amount above 0')
  if (days > 365) return no(`${days} days is too long`, '0 to 365 days')
  const read = readIngredientLine(rest)
  if (read.unknownUnit || read.amount <= 0)
    return no(`"${rest}" has no amount that is known`, '500 g bones, keeps 2 days')
  const { item, amount, unit } = ingredientOf(read)
  return { ok: true, value: { item, amount, unit, days } }
}

/**
 * What the dishes made leave over, each with the recipes that ask for such a thing by name: every
 * word of what is left must stand in the ingredient.
 */
export function leftOver(
  made: readonly { recipe: Recipe; batches: number }[],
  box: readonly Recipe[],
): Offer[] {
  return made.flatMap(({ recipe, batches }) =>
    (recipe.leaves ?? []).map((l) => {
      const words = namesOf(l.item)
      return {
        from: recipe.id,
        line: `${amountText(measurable(l.amount * batches, l.unit), l.unit)} ${l.item}`,
        days: l.days,
        takers: box.flatMap((r) => {
          const hit =
            r.id !== recipe.id && words.length > 0
              ? r.ingredients.find((i) => words.every((w) => namesOf(i.item).includes(w)))
              : undefined
          return hit
            ? [{ recipe: r.id, wants: `${amountText(hit.amount, hit.unit)} ${hit.item}` }]
            : []
        }),
      }
    }),
  )
}
