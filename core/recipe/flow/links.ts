import type { Recipe } from '../schema'
import { lotsOf, type Lot } from './lots'
import { standingBetween, type Standing } from './standing'
import { vesselRuns } from './vessels'

/** Food that goes from one step to another, and how long it must and may stand in between. */
export interface FoodLink {
  from: string
  to: string
  lot: Lot
  /** Minutes. */
  least: number
  /** Minutes; undefined: as long as one likes. */
  most: number | undefined
  /** Where the recipe leaves the most open: what the most was taken from. */
  usual: Standing | undefined
}

/** A longest wait is never shorter than the shortest wait, and leaves so many minutes on top of it. */
const ROOM = 10

/** Every link of food of a recipe, with its waits: as stated, or by what the food is. */
export function foodLinks(recipe: Recipe): FoodLink[] {
  const lots = lotsOf(recipe)
  const runs = vesselRuns(recipe)
  // With others in between it was lifted out for them.
  const together = (a: string, b: string) =>
    runs.some((r) => r.steps.includes(a) && r.steps.indexOf(b) === r.steps.indexOf(a) + 1)
  const byId = new Map(recipe.steps.map((s) => [s.id, s]))
  return recipe.steps.flatMap((step) =>
    step.after.flatMap((wait): FoodLink[] => {
      const a = byId.get(wait.step)
      if (!a || wait.food === false) return []
      const lot = lots.get(a.id)!
      const least = wait.least ?? 0
      const usual =
        wait.most === undefined ? standingBetween(lot, a, step, together(a.id, step.id)) : undefined
      const most =
        wait.most === undefined
          ? usual && Math.max(usual.most, least > 0 ? least + ROOM : 0)
          : (wait.most ?? undefined)
      return [{ from: a.id, to: step.id, lot, least, most, usual }]
    }),
  )
}

/** A step and all whose food is in it by then, near and far. */
export const comesFrom = (links: readonly FoodLink[], step: string) =>
  reached(links, step, 'to', 'from')
/** A step and all that its food goes into. */
export const goesInto = (links: readonly FoodLink[], step: string) =>
  reached(links, step, 'from', 'to')

function reached(
  links: readonly FoodLink[],
  step: string,
  here: 'from' | 'to',
  there: 'from' | 'to',
): Set<string> {
  // A set that grows while it is gone through.
  const all = new Set([step])
  for (const id of all) for (const l of links) if (l[here] === id) all.add(l[there])
  return all
}
