import type { Recipe } from '../recipe'
import type { Session } from './schema'

export interface DishToMake {
  recipe: Recipe
  /** Batches to make, with what other dishes take of it. */
  batches: number
}

/**
 * The dishes of a session with the shared bases they take from: a base is made once, for all,
 * rounded up to a quarter batch. Bases come first.
 */
export function dishesToMake(session: Session, recipes: Map<string, Recipe>): DishToMake[] {
  const batches = new Map<string, number>()
  const add = (id: string, amount: number) => batches.set(id, (batches.get(id) ?? 0) + amount)
  for (const dish of session.dishes) {
    add(dish.recipe, dish.batches)
    for (const step of recipes.get(dish.recipe)?.steps ?? [])
      for (const take of step.takes) add(take.base, take.batches * dish.batches)
  }
  return [...batches]
    .flatMap(([id, amount]) => {
      const recipe = recipes.get(id)
      return recipe ? [{ recipe, batches: Math.ceil(amount * 4 - 1e-9) / 4 }] : []
    })
    .sort((a, b) => Number(b.recipe.base) - Number(a.recipe.base))
}
