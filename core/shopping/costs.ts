import { dishesToMake, type Session } from '../session'
import type { Recipe } from '../recipe'
import type { ShopLine } from './list'

/** What a dish costs by what goes into it, in the smallest coin. */
export interface DishCost {
  dish: string
  /** What is known of it, and ingredients whose price is not. */
  cost: number
  unknown: string[]
  servings: number
}

/**
 * What each dish costs: of every line the part that it uses, at what the line costs by the gram; what is in
 * the house counts as much. What is left of packs belongs to no dish. A base counts with those that take it,
 * by what each takes.
 */
export function dishCosts(
  lines: readonly ShopLine[],
  session: Session,
  recipes: readonly Recipe[],
): DishCost[] {
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const made = dishesToMake(session, byId)
  const own = new Map<string, { cost: number; unknown: string[] }>()
  for (const line of lines) {
    const { rate } = line
    for (const want of line.wants) {
      const so = own.get(want.dish) ?? { cost: 0, unknown: [] }
      own.set(
        want.dish,
        rate === undefined
          ? { ...so, unknown: [...so.unknown, line.item] }
          : { ...so, cost: so.cost + rate * want.amount },
      )
    }
  }
  const wished = new Map(session.dishes.map((d) => [d.recipe, d.batches]))
  const taken = new Map<string, number>()
  const takes = (recipe: Recipe, batches: number) =>
    recipe.steps.flatMap((s) => s.takes.map((t) => ({ base: t.base, n: t.batches * batches })))
  for (const [id, n] of wished)
    for (const t of byId.has(id) ? takes(byId.get(id)!, n) : [])
      taken.set(t.base, (taken.get(t.base) ?? 0) + t.n)
  return made.flatMap(({ recipe }) => {
    const batches = wished.get(recipe.id)
    if (batches === undefined) return []
    const so = own.get(recipe.id) ?? { cost: 0, unknown: [] }
    let { cost } = so
    const unknown = [...so.unknown]
    for (const { base, n } of takes(recipe, batches)) {
      const of = own.get(base)
      const whole = (taken.get(base) ?? 0) + (wished.get(base) ?? 0)
      if (!of || !whole) continue
      cost += (of.cost * n) / whole
      unknown.push(...of.unknown)
    }
    return [
      {
        dish: recipe.id,
        cost: Math.round(cost),
        unknown: [...new Set(unknown)],
        servings: recipe.serves * batches,
      },
    ]
  })
}
