import { withSwaps, type Recipe } from '../recipe'
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
export function dishesToMake(session: Session, recipes: ReadonlyMap<string, Recipe>): DishToMake[] {
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

/** All recipes by their ids, with what the cook has chosen to put into the dishes of a session instead. */
export function recipesById(session: Session, recipes: readonly Recipe[]): Map<string, Recipe> {
  const swaps = new Map(session.dishes.map((d) => [d.recipe, d.swaps]))
  return new Map(recipes.map((r) => [r.id, withSwaps(r, swaps.get(r.id))]))
}

/** Recipes by which a session is cooked: those of its dishes, and the bases that they take from. */
export function recipesOf(session: Session, recipes: readonly Recipe[]): Recipe[] {
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const out = new Set<Recipe>()
  const add = (id: string) => {
    const recipe = byId.get(id)
    if (!recipe || out.has(recipe)) return
    out.add(recipe)
    for (const step of recipe.steps) for (const take of step.takes) add(take.base)
  }
  for (const { recipe } of session.dishes) add(recipe)
  return recipes.filter((r) => out.has(r))
}

/** The marks that the dishes of a session have: what comes beside them takes another one. */
export const marksIn = (session: Session, recipes: readonly Recipe[]): Set<string> =>
  new Set(recipesOf(session, recipes).map((r) => r.mark))
