import { describe, expect, it } from 'vitest'
import { breachText, checkPlan, objectiveValue, valuesOfPlan } from '../../plan'
import type { Problem, ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { randomProblem } from '../../testing/randomProblem'
import { solve } from '..'

const hands = (seconds: number): [{ seconds: [number, number]; hands: object }] => [
  { seconds: [seconds, seconds], hands: {} },
]
const step = (id: string, dish: string, phases: object[]): ProblemInput['activities'][number] =>
  ({ id, label: id, dish, modes: [{ id: 'm', needs: [], phases }] }) as never

/**
 * Two dishes for one cook, each work, a wait and work again: the shortest plan works on one while the
 * other waits, and goes to and fro.
 */
const toAndFro = (change: Partial<ProblemInput> = {}): Problem =>
  problemOf({
    activities: ['soup', 'pie'].flatMap((dish) => [
      step(`${dish} cut`, dish, hands(300)),
      step(`${dish} stir`, dish, hands(300)),
      step(`${dish} pack`, dish, hands(300)),
    ]),
    relations: ['soup', 'pie'].flatMap((dish) => [
      { from: `${dish} cut`, to: `${dish} stir`, kind: 'FS' as const, min: 300 },
      { from: `${dish} stir`, to: `${dish} pack`, kind: 'FS' as const, min: 300 },
    ]),
    objective: ['makespan', 'switches'],
    ...change,
  })

describe('an allowance', () => {
  it('is spent where it saves changes of dish, and only as far as it goes', () => {
    const changes = (allowance: number) => {
      const problem = toAndFro(allowance ? { allowance: { makespan: allowance } } : {})
      const plan = solve(problem, { iterations: 600 })
      expect(checkPlan(problem, plan).map(breachText)).toEqual([])
      expect([plan.status, plan.shortest]).toEqual(['optimal', 1800])
      expect(plan.makespan).toBeLessThanOrEqual(1800 + allowance)
      return objectiveValue(problem, plan, 'switches')
    }
    expect(changes(0)).toBe(5)
    // One dish after the other takes 3,000 s.
    expect(changes(1200)).toBe(1)
    expect(changes(1199)).toBeGreaterThan(1)
    expect(changes(300)).toBeLessThan(5)
  })

  it('works for any objective: the last start is put off no further than it says', () => {
    const problem = toAndFro({
      objective: ['switches', 'makespan'],
      allowance: { switches: 2 },
    })
    const plan = solve(problem, { iterations: 800 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    expect(plan.shortest).toBe(1)
    const value = objectiveValue(problem, plan, 'switches')
    expect(value).toBeLessThanOrEqual(3)
    expect(plan.makespan).toBeLessThan(3000)
  })

  it('never costs a rule, and never more than it says, in problems of all features', () => {
    let spent = 0
    for (let seed = 1; seed <= 20; seed++) {
      const plain = randomProblem(seed, 7)
      const problem: Problem = {
        ...plain,
        objective: ['makespan', 'switches', 'handsSpread'],
        allowance: { makespan: 400 },
      }
      const plan = solve(problem, { iterations: 120, seed })
      if (!plan.activities.length) continue
      expect(checkPlan(problem, plan).map(breachText)).toEqual([])
      const strict = solve({ ...problem, allowance: {} }, { iterations: 120, seed })
      const [length] = valuesOfPlan(problem, plan)
      expect(length! - plan.shortest!).toBeLessThanOrEqual(400)
      expect(plan.bound).toBeLessThanOrEqual(strict.makespan)
      if (length! > plan.shortest!) spent++
    }
    expect(spent).toBeGreaterThan(3)
  })
})

it('knows how few changes of dish there can be at least, of more dishes than cooks', () => {
  const problem = problemOf({
    activities: ['soup', 'pie', 'bread'].map((d) => step(d, d, hands(300))),
    objective: ['switches'],
  })
  expect(solve(problem, { iterations: 200 })).toMatchObject({ status: 'optimal', bound: 2 })
})
