import { markFor, type Recipe } from '../recipe'
import { marksIn } from './dishes'
import type { Session } from './schema'

/** A dish that comes beside those of a session: one more of it, or another. */
export interface Extra {
  /** Its own name in the session. */
  dish: string
  recipe: string
  batches: number
}

/**
 * A session with dishes that came to it while it was cooked. Each is a dish of its own, and so is what it
 * takes from: nothing of what is under way is made larger or divided anew.
 */
export function withExtras(
  session: Session,
  recipes: readonly Recipe[],
  extras: readonly Extra[],
): { session: Session; recipes: Recipe[] } {
  const out = [...recipes]
  const marks = marksIn(session, recipes)
  const used = new Set(session.dishes.map((d) => d.recipe))
  const known = new Map(recipes.map((r) => [r.id, r]))
  const copy = (recipe: Recipe, id: string, name: string, own: boolean): void => {
    const mark = own ? recipe.mark : markFor(name, marks)
    marks.add(mark)
    const steps = recipe.steps.map((s) => ({
      ...s,
      takes: s.takes.map((t) => (known.has(t.base) ? { ...t, base: `${id}-${t.base}` } : t)),
    }))
    out.push({ ...recipe, id, name, mark, steps })
    const bases = new Set(recipe.steps.flatMap((s) => s.takes.map((t) => t.base)))
    for (const base of bases) {
      const found = known.get(base)
      if (found) copy(found, `${id}-${base}`, `${found.name} for it`, false)
    }
  }
  const dishes = extras.flatMap(({ dish, recipe, batches }) => {
    const found = known.get(recipe)
    if (!found) return []
    const again = used.has(recipe)
    copy(found, dish, again ? `${found.name}, once more` : found.name, !again)
    used.add(recipe)
    return [{ recipe: dish, batches, alone: true }]
  })
  return { session: { ...session, dishes: [...session.dishes, ...dishes] }, recipes: out }
}
