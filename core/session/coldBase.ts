import type { Kitchen } from '../kitchen'
import type { ProblemInput } from '../problem'
import type { Recipe } from '../recipe'
import type { Card } from './activities'
import { lastSteps } from './closing'
import type { DishToMake } from './dishes'
import type { Turns } from './compile'

/** Seconds that a base must cool before it goes into the fridge, and may at most. */
const COOLING: [number, number] = [900, 5400]
/** Seconds to put it there. */
const PUTTING = 60

/**
 * Activities of which one is there for a shared base that is used within a while of being made: either
 * it stays out and is used while it may stand, or it cools and goes into the fridge until it is wanted.
 */
export interface BaseKeeping {
  warm: string
  cold: string
}

/** Whether a base may stand only for so long before what takes from it. */
export const standsOnly = (base: Recipe, dishes: readonly DishToMake[]) =>
  base.base &&
  dishes.some((d) =>
    d.recipe.steps.some((s) => s.takes.some((t) => t.base === base.id && t.most === undefined)),
  )

/** Adds the choice between using a base warm and keeping it cold, where there is a fridge. */
export function addKeeping(
  problem: ProblemInput,
  base: DishToMake,
  turns: Turns,
  cards: Record<string, Card>,
  kitchen: Kitchen,
): BaseKeeping | undefined {
  if (!kitchen.stations.some((s) => s.kind === 'fridge')) return undefined
  const { recipe } = base
  const warm = `${recipe.id}.warm`
  const cold = `${recipe.id}.cold`
  const name = recipe.name.toLowerCase()
  const aside = recipe.steps.every((s) => s.aside)
  problem.activities.push(
    {
      id: warm,
      dish: recipe.id,
      label: 'Kept out',
      aside,
      modes: [{ id: 'out', needs: [], phases: [{ seconds: [0, 0] }] }],
    },
    {
      id: cold,
      dish: recipe.id,
      label: `Let the ${name} cool, for the fridge`,
      aside,
      hygiene: 'ready',
      modes: [
        {
          id: 'fridge',
          needs: [],
          phases: [
            { seconds: COOLING },
            { seconds: [PUTTING, PUTTING], hands: { skill: 'simple', attention: 40 } },
          ],
        },
      ],
    },
  )
  const card = {
    dish: recipe.id,
    step: 'keeping',
    turns: 1,
    uses: [],
    ways: {},
    hygiene: 'ready',
    later: [],
  }
  cards[warm] = { ...card, text: 'Kept out', work: 'rest', marker: true }
  cards[cold] = {
    ...card,
    text: `Let the ${name} cool, for the fridge`,
    work: 'cool',
    ending: `Put the ${name} into the fridge, covered`,
  }
  for (const last of lastSteps(recipe))
    for (const from of turns.get(`${recipe.id}.${last.id}`)!)
      problem.relations!.push(
        { from, to: warm, kind: 'FS', min: 0, max: 0 },
        { from, to: cold, kind: 'FS', min: 0, max: 600 },
      )
  problem.choices!.push({
    id: `${recipe.id}.keeping`,
    options: [
      { id: 'warm', label: 'used before it has stood for long', activities: [warm] },
      { id: 'cold', label: 'cooled and kept in the fridge', activities: [cold] },
    ],
  })
  return { warm, cold }
}
