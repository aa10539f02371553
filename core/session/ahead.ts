import type { Recipe, Step } from '../recipe'

/** Ids of steps that must be done before a step can be, itself among them. */
export function upTo(recipe: Recipe, ids: readonly string[]): Set<string> {
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  const all = new Set<string>()
  const add = (id: string) => {
    if (all.has(id)) return
    all.add(id)
    byId.get(id)?.after.forEach((a) => add(a.step))
  }
  ids.forEach(add)
  return all
}

/**
 * The recipe without what was done on an earlier day: the steps that can be, all that leads to
 * them, and vessels kept only for them. Nothing is left out where everything would be.
 */
export function withoutDone(recipe: Recipe, done: readonly string[]): Recipe {
  const gone = upTo(
    recipe,
    done.filter((id) => recipe.steps.some((s) => s.id === id && s.ahead)),
  )
  const steps = recipe.steps.filter((s) => !gone.has(s.id))
  if (!gone.size || !steps.length) return recipe
  return {
    ...recipe,
    steps: steps.map((s) => ({ ...s, after: s.after.filter((a) => !gone.has(a.step)) })),
    keeps: recipe.keeps.flatMap((k) => {
      if (gone.has(k.to)) return []
      if (!gone.has(k.from)) return [k]
      // What was begun before goes on in the vessel from the first step that is left.
      const next = steps.find((s) => !gone.has(s.id) && upTo(recipe, [k.to]).has(s.id))
      return next ? [{ ...k, from: next.id }] : []
    }),
    routes: recipe.routes.map((r) => ({
      ...r,
      options: r.options.map((o) => ({ ...o, steps: o.steps.filter((s) => !gone.has(s)) })),
    })),
  }
}

/** Steps of a recipe that can be done on an earlier day, the longest keeping first. */
export const aheadOf = (recipe: Recipe): (Step & { ahead: NonNullable<Step['ahead']> })[] =>
  recipe.steps
    .flatMap((s) => (s.ahead ? [{ ...s, ahead: s.ahead }] : []))
    .sort((a, b) => b.ahead.days - a.ahead.days)
