import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { homeSession } from '../../../bench/sessions'
import { checkPlan } from '../../plan'
import type { Problem } from '../../problem'
import { solve, startSolving, STRATEGIES, type StrategyName } from '../index'

const ITERATIONS = 300

function searched(problem: Problem, without: StrategyName[] = []) {
  const values: number[] = []
  const run = startSolving(problem, {
    iterations: ITERATIONS,
    seed: 3,
    without,
    onImprovement: (plan) => values.push(plan.makespan),
  })
  while (run.advance(Infinity));
  return { run, plan: run.plan(), values }
}

describe('every strategy', () => {
  const problem = everyFeature(7, 1)
  const all = searched(problem)

  it('says what it contributed, and that adds up to what the plan gained', () => {
    const list = [...all.run.contributions()]
    expect(list.map(([name]) => name)).toEqual([...STRATEGIES])
    const sum = (key: 'steps' | 'better' | 'gained') =>
      list.reduce((total, [, own]) => total + own[key], 0)
    expect(sum('better')).toBe(all.values.length)
    expect(sum('gained')).toBe(all.values[0]! - all.plan.makespan)
    expect(sum('gained')).toBeGreaterThan(0)
    expect(sum('steps')).toBeLessThanOrEqual(all.run.iterations())
    for (const name of ['construct', 'ovenOrders', 'anneal', 'lns'] as const)
      expect(all.run.contributions().get(name)!.steps, name).toBeGreaterThan(0)
  })

  it.each(STRATEGIES)('can be left out: %s', (name) => {
    const { plan, run } = searched(problem, [name])
    expect(run.contributions().has(name)).toBe(false)
    expect(plan.activities.length).toBeGreaterThan(0)
    expect(checkPlan(problem, plan)).toEqual([])
    // A proof is a proof, whoever had a part in it.
    expect(plan.bound).toBeLessThanOrEqual(all.plan.makespan)
  })

  it('does the same as before where none is left out', () => {
    const problem = homeSession(4, 1)
    expect(solve(problem, { iterations: 200, without: [] })).toEqual(
      solve(problem, { iterations: 200 }),
    )
  })

  it('ends in a plan where only first schedules are left', () => {
    const others = STRATEGIES.filter((name) => name !== 'construct')
    const { plan, run } = searched(problem, others)
    expect([...run.contributions().keys()]).toEqual(['construct'])
    expect(checkPlan(problem, plan)).toEqual([])
  })
})
