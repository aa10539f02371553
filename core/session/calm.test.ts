import { describe, expect, it } from 'vitest'
import { kitchenSchema, READY_KITCHENS } from '../kitchen'
import { checkPlan, objectiveValue } from '../plan'
import { recipeTold } from '../recipe/told.fixture'
import { solve, startSolving } from '../solver'
import { AIMS, compileSession, figureOf, type Aim, type Session } from './index'

/** One oven, four burners. */
const kitchen = kitchenSchema.parse(READY_KITCHENS[0]!.kitchen)
const told = (name: string, method: string) =>
  recipeTold(`${name}\nServes 4\n\n500 g flour\n\n${method}`, name.toLowerCase(), name.slice(0, 2))
const recipes = [
  told(
    'Early',
    'Put the flour in an oven dish. Bake at 160C for 20 minutes. Leave to rest for 80 minutes.',
  ),
  told(
    'Hot',
    'Put the flour in an oven dish. Bake at 190C for 20 minutes. Leave to rest for 40 minutes.',
  ),
  told(
    'Late',
    'Soak the flour in cold water for 30 minutes. Tip into an oven dish. Bake at 160C for 20 minutes.',
  ),
]
const session = (aim: Aim, calm: number): Session => ({
  format: 'cadrum/session@1',
  id: 'bakes',
  name: 'Bakes',
  kitchen: kitchen.id,
  cooks: [kitchen.people[0]!.id],
  start: '2027-03-20T09:00',
  calm,
  aim,
  dishes: recipes.map((r) => ({ recipe: r.id, batches: 1, to: 'tonight' as const })),
})

describe('what the cooks aim at', () => {
  const planned = (aim: Aim, calm: number) => {
    const reading = compileSession({ session: session(aim, calm), kitchen, recipes })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { problem } = reading.value
    const plan = solve(problem, { iterations: 400 })
    expect(checkPlan(problem, plan)).toEqual([])
    const value = (name: Parameters<typeof objectiveValue>[2]) =>
      objectiveValue(problem, plan, name)
    return { problem, plan, value }
  }

  it('stands behind the length, which comes first whatever it is', () => {
    for (const aim of AIMS) {
      const { problem } = planned(aim, 8)
      expect(problem.objective.slice(0, 2)).toEqual(['makespan', figureOf(aim)])
    }
  })

  it('changes the heat of the oven less often where the plan may be longer for it', () => {
    const shortest = planned('ovens', 0)
    const spared = planned('ovens', 30)
    expect(spared.value('heatChanges')).toBeLessThan(shortest.value('heatChanges'))
    expect(spared.plan.makespan).toBeGreaterThan(shortest.plan.makespan)
    expect(spared.plan.makespan - shortest.plan.makespan).toBeLessThanOrEqual(
      spared.problem.allowance!.makespan!,
    )
  })
})

it('tells the values of the shortest plan in the order of the objectives, with a plan to keep to as well', () => {
  const reading = compileSession({ session: session('dishes', 8), kitchen, recipes })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  const { problem } = reading.value
  const previous = solve(problem, { iterations: 20, seed: 2 })
  const run = startSolving(problem, { iterations: 200, previous })
  while (run.advance(Infinity));
  const strict = run.strict()!
  expect(strict).toHaveLength(problem.objective.length)
  expect(strict[0]).toBe(run.plan().shortest)
  // Three dishes of few steps: no more changes than there is work.
  expect(strict[problem.objective.indexOf('switches')]).toBeLessThan(problem.activities.length)
})
