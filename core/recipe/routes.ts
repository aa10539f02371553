import { freeId } from './naming'
import type { Recipe, Step } from './schema'

type Route = Recipe['routes'][number]

/** The route and the option of it that a step belongs to; undefined where it is always done. */
export function whenOf(
  recipe: Recipe,
  step: string,
): { route: Route; option: Route['options'][number] } | undefined {
  for (const route of recipe.routes)
    for (const option of route.options) if (option.steps.includes(step)) return { route, option }
  return undefined
}

/**
 * The recipe with another way beside a step that has steps of its own: a new step that waits for
 * the same and that the same waits for, and a choice between the two. A step that belongs to a
 * choice already gets another option of that one.
 */
export function withInstead(recipe: Recipe, id: string): { recipe: Recipe; id: string } {
  const at = recipe.steps.findIndex((s) => s.id === id)
  const model = recipe.steps[at]
  if (!model) return { recipe, id }
  const fresh = freeId('instead', new Set(recipe.steps.map((s) => s.id)))
  const step: Step = {
    ...model,
    id: fresh,
    do: 'Something else instead',
    ways: [{ id: 'as-written', minutes: model.ways[0]!.minutes, on: [] }],
    doubts: ['another way: say what is done, with what and for how long'],
  }
  const steps = [...recipe.steps.slice(0, at + 1), step, ...recipe.steps.slice(at + 1)].map((s) => {
    const wait = s.after.find((a) => a.step === id)
    return wait && s.id !== fresh ? { ...s, after: [...s.after, { ...wait, step: fresh }] } : s
  })
  const option = (own: string[], label: string, taken: string[]) => ({
    id: freeId('way', new Set(taken)),
    label,
    steps: own,
  })
  const known = whenOf(recipe, id)
  const routes = known
    ? recipe.routes.map((r) =>
        r.id === known.route.id
          ? {
              ...r,
              options: [
                ...r.options,
                option(
                  [fresh],
                  'another way',
                  r.options.map((o) => o.id),
                ),
              ],
            }
          : r,
      )
    : [
        ...recipe.routes,
        {
          id: freeId('choice', new Set(recipe.routes.map((r) => r.id))),
          options: [option([id], 'as written', []), option([fresh], 'another way', ['way'])],
        },
      ]
  return { recipe: { ...recipe, steps, routes }, id: fresh }
}

/** The recipe with a step done only in one option of a choice or, without one, always. */
export function onlyWhen(
  recipe: Recipe,
  step: string,
  when?: { route: string; option: string },
): Recipe {
  const routes = recipe.routes
    .map((r) => ({
      ...r,
      options: r.options.map((o) => {
        const steps = o.steps.filter((s) => s !== step)
        const here = when !== undefined && r.id === when.route && o.id === when.option
        return { ...o, steps: here ? [...steps, step] : steps }
      }),
    }))
    // Between nothing and nothing there is no choice.
    .filter((r) => r.options.some((o) => o.steps.length))
  return { ...recipe, routes }
}

/** The recipe with an option of a choice under another name. */
export const named = (recipe: Recipe, route: string, option: string, label: string): Recipe => ({
  ...recipe,
  routes: recipe.routes.map((r) =>
    r.id === route
      ? { ...r, options: r.options.map((o) => (o.id === option ? { ...o, label } : o)) }
      : r,
  ),
})
