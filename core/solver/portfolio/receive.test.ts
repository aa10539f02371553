import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breachText, checkPlan } from '../../plan'
import { randomProblem } from '../../testing/randomProblem'
import { solve, startSolving } from '..'

describe('a run that hears of a plan found elsewhere', () => {
  it('takes it over where it is better, and never gives a worse one again', () => {
    let taken = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = randomProblem(seed, 10)
        const other = solve(problem, { iterations: 400, seed: seed + 1 })
        if (!other.activities.length) return
        const run = startSolving(problem, { iterations: 3, seed })
        while (run.advance(Infinity));
        const before = run.plan()
        const better = run.receive(other)
        const after = run.plan()
        expect(checkPlan(problem, after).map(breachText)).toEqual([])
        expect(after.makespan).toBeLessThanOrEqual(other.makespan)
        if (before.activities.length) expect(after.makespan).toBeLessThanOrEqual(before.makespan)
        if (better) taken++
        expect(run.receive(other)).toBe(false)
      }),
      { numRuns: 60, seed: 2 },
    )
    expect(taken).toBeGreaterThan(5)
  })

  it('refuses a plan that breaks a rule', () => {
    const planned = Array.from({ length: 20 }, (_, seed) => {
      const problem = randomProblem(seed + 1, 8)
      return { problem, plan: solve(problem, { iterations: 60 }) }
    }).find(({ plan }) => plan.activities.length > 3)!
    const { problem, plan } = planned
    const broken = {
      ...plan,
      makespan: 1,
      activities: plan.activities.map((a) => ({
        ...a,
        start: 0,
        end: 1,
        phases: a.phases.map((p) => ({ ...p, from: 0, to: 1 })),
      })),
    }
    const run = startSolving(problem, { iterations: 1 })
    expect(run.receive(broken)).toBe(false)
  })
})
