import type { Kitchen } from '../../kitchen'
import type { Recipe } from '../../recipe'
import type { Session } from '../schema'
import { assign } from './assign'
import { withFixed } from './edit'

/**
 * What it costs to do each step of a dish in each sitting, in minutes of all sittings together as far as
 * hands and longest dishes tell, by step and sitting; where it cannot be done then there is nothing.
 */
export function partingCosts(
  { session, kitchen, recipes }: { session: Session; kitchen: Kitchen; recipes: readonly Recipe[] },
  dish: string,
  sittings: readonly string[],
): Map<string, Map<string, number>> {
  const lengthOf = (now: Session) => {
    const { lengths, issues } = assign(now, kitchen, recipes)
    return issues.length ? undefined : lengths.reduce((n, l) => n + l, 0)
  }
  const recipe = recipes.find((r) => r.id === dish)
  const before = lengthOf(session)
  if (!recipe || before === undefined || sittings.length < 2) return new Map()
  return new Map(
    recipe.steps.map((step) => [
      step.id,
      new Map(
        sittings.flatMap((sitting) => {
          const length = lengthOf(withFixed(session, dish, step.id, sitting))
          return length === undefined ? [] : [[sitting, length - before] as const]
        }),
      ),
    ]),
  )
}
