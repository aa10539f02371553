import { expect, it } from 'vitest'
import { breachText, checkPlan, objectiveValue } from '../../plan'
import type { Problem } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { slowed } from '../../testing/slowed'
import { solve } from '..'

/** In random problems a second is what a minute is in a kitchen: so slow, work counts as a stay at a dish. */
const problems = Array.from({ length: 40 }, (_, i) => [i + 1, randomProblem(i + 1, 6)] as const)
  .filter(([, p]) => !p.progress && !p.pins)
  .map(([seed, p]) => [seed, slowed(p, 60)] as const)

it('are never said to be more at least than some plan has, and fewer where they may cost time', () => {
  let [proven, bounded, fewer] = [0, 0, 0]
  for (const [seed, problem] of problems) {
    const asked: Problem[] = [
      { ...problem, objective: ['switches'] },
      { ...problem, objective: ['makespan', 'switches'] },
      { ...problem, objective: ['makespan', 'switches'], allowance: { makespan: 6000 } },
    ]
    const plans = asked.map((p) => solve(p, { iterations: 90, seed }))
    if (plans.some((p) => !p.activities.length)) continue
    plans.forEach((plan, k) =>
      expect(checkPlan(asked[k]!, plan).map(breachText), `seed ${seed}`).toEqual([]),
    )
    const counts = plans.map((plan) => objectiveValue(problem, plan, 'switches'))
    const [first] = plans
    if (first!.status === 'optimal') proven++
    if (first!.bound > 0) bounded++
    for (const count of counts)
      expect(count, `seed ${seed}: ${count} beats ${first!.bound}`).toBeGreaterThanOrEqual(
        first!.bound,
      )
    if (counts[2]! < counts[1]!) fewer++
  }
  expect(proven).toBeGreaterThan(15)
  expect(bounded).toBeGreaterThan(4)
  expect(fewer).toBeGreaterThan(1)
})
