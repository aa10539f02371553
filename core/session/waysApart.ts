import type { Kitchen } from '../kitchen'
import { freeId, vesselOf, vesselRuns, type Recipe, type Step } from '../recipe'
import { filled } from './vesselHolds'

/**
 * The recipe with each way of a step as a step of its own, and a choice between them, where the ways
 * are done in different vessels and the food stays in them: which one is kept, and until when, goes
 * by the way that is taken. Ways for which the kitchen has nothing are left out.
 */
export function withWaysApart(recipe: Recipe, kitchen: Kitchen): Recipe {
  let out = { ...recipe, steps: recipe.steps.map((s) => withPossibleWays(s, kitchen)) }
  for (const { id } of out.steps) {
    const step = out.steps.find((s) => s.id === id)!
    if (isApart(out, step)) out = apart(out, step)
  }
  return out
}

function withPossibleWays(step: Step, kitchen: Kitchen): Step {
  if (step.ways.length === 1) return step
  const kinds = new Set(kitchen.stations.map((s) => s.kind))
  const ways = step.ways.filter((w) => w.on.every((need) => kinds.has(need.kind)))
  return ways.length ? { ...step, ways } : step
}

function isApart(recipe: Recipe, step: Step): boolean {
  const kinds = new Set(step.ways.map((w) => vesselOf({ ...step, ways: [w] })?.kind ?? ''))
  if (kinds.size < 2) return false
  return vesselRuns(recipe).some(
    (r) => r.steps.includes(step.id) && (r.steps.length > 1 || r.takers.length > 0),
  )
}

function apart(recipe: Recipe, step: Step): Recipe {
  const ids = new Set(recipe.steps.map((s) => s.id))
  const own = step.ways.map((way): Step => {
    const id = freeId(`${step.id}-${way.id}`.slice(0, 80), ids)
    ids.add(id)
    const words = way.label === undefined ? step.do : `${step.do}, ${way.label}`
    return { ...step, id, do: words.slice(0, 300), ways: [way] }
  })
  const label = (k: number) => step.ways[k]!.label ?? step.ways[k]!.id
  const instead = (id: string) => (id === step.id ? own.map((s) => s.id) : [id])
  const inRoute = recipe.routes.some((r) => r.options.some((o) => o.steps.includes(step.id)))
  return {
    ...recipe,
    steps: recipe.steps.flatMap((s) =>
      s === step
        ? own
        : [
            {
              ...s,
              after: s.after.flatMap((a) => instead(a.step).map((id) => ({ ...a, step: id }))),
            },
          ],
    ),
    // A vessel kept from or to it goes by the way; what its steps ask for is kept anyway.
    keeps: recipe.keeps.filter((k) => k.from !== step.id && k.to !== step.id),
    routes: inRoute
      ? recipe.routes.map((r) => ({
          ...r,
          options: r.options.flatMap((o) =>
            o.steps.includes(step.id)
              ? own.map((s, k) => ({
                  id: `${o.id}-${step.ways[k]!.id}`,
                  label: `${o.label}, ${label(k)}`,
                  steps: o.steps.map((x) => (x === step.id ? s.id : x)),
                }))
              : [o],
          ),
        }))
      : [
          ...recipe.routes,
          {
            id: `${step.id}-way`,
            options: own.map((s, k) => ({
              id: step.ways[k]!.id,
              label: label(k),
              steps: [s.id],
            })),
          },
        ],
  }
}

/**
 * The recipe without those options of its choices that no vessel of the kitchen is large enough for,
 * as long as one is left: so much barley and stock may be too much for the pressure cooker.
 */
export function withRoomyWays(recipe: Recipe, batches: number, kitchen: Kitchen): Recipe {
  const tooSmall = new Set(
    vesselRuns(recipe).flatMap((run) => {
      const litres = run.litres ?? filled(recipe, run)
      const sizes = kitchen.stations
        .filter((s) => s.kind === run.vessel.kind && s.size !== undefined)
        .map((s) => s.size!)
      return litres !== undefined && sizes.length && litres * batches > Math.max(...sizes)
        ? [run.steps[0]!]
        : []
    }),
  )
  const gone = new Set(
    recipe.routes.flatMap((r) => {
      const fits = (o: (typeof r.options)[number]) => !o.steps.some((s) => tooSmall.has(s))
      return r.options.some(fits) ? r.options.filter((o) => !fits(o)).flatMap((o) => o.steps) : []
    }),
  )
  if (!gone.size) return recipe
  return {
    ...recipe,
    steps: recipe.steps
      .filter((s) => !gone.has(s.id))
      .map((s) => ({ ...s, after: s.after.filter((a) => !gone.has(a.step)) })),
    keeps: recipe.keeps.filter((k) => !gone.has(k.from) && !gone.has(k.to)),
    routes: recipe.routes.map((r) => ({
      ...r,
      options: r.options.filter((o) => !o.steps.some((s) => gone.has(s))),
    })),
  }
}
