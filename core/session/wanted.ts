import { markFor, withSwaps, type Recipe } from '../recipe'
import { withoutDone } from './ahead'
import { withEnd } from './closing'
import { marksIn } from './dishes'
import { keptTill } from './eatenSoon'
import type { Session, SessionDish } from './schema'

/**
 * The session and its recipes as the cook wants each dish: in several goes, each then a dish of
 * its own with its part of the batches, going where the cook says when it is done, without what
 * was done before, and with what its recipe leaves out at the end.
 */
export function asWanted(
  session: Session,
  recipes: readonly Recipe[],
): { session: Session; recipes: Recipe[] } {
  const out = new Map(recipes.map((r) => [r.id, r]))
  const marks = marksIn(session, recipes)
  const dishes = session.dishes.flatMap((wish): SessionDish[] => {
    const known = out.get(wish.recipe)
    if (!known) return [wish]
    const recipe = withSwaps(known, wish.swaps)
    const dish = keptTill(session, wish, recipe)
    const whole = withEnd(withoutDone(goingTo(recipe, dish.to), dish.done ?? []), dish.to)
    out.set(whole.id, whole)
    const goes = dish.goes ?? 1
    const batches = dish.batches / goes
    return Array.from({ length: goes }, (_, k) => {
      if (k === 0) return { ...dish, batches }
      const mark = markFor(recipe.name, marks)
      marks.add(mark)
      const id = `${recipe.id}-go-${k + 1}`
      out.set(id, { ...whole, id, mark, name: `${recipe.name}, go ${k + 1}` })
      return { ...dish, recipe: id, batches }
    })
  })
  return { session: { ...session, dishes }, recipes: [...out.values()] }
}

/** What is eaten tonight takes no room in the cold. */
function goingTo(recipe: Recipe, to: SessionDish['to']): Recipe {
  if (to === undefined || !recipe.store) return recipe
  if (to === 'tonight') {
    const { store: _, ...rest } = recipe
    return rest
  }
  return { ...recipe, store: { ...recipe.store, place: to } }
}
