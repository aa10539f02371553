import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { jobShop } from '../../../bench/jobShops'
import { breachText, checkPlan, type Plan } from '../../plan'
import type { Problem } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { solve } from '..'
import { exhaustive } from './exhaustive.fixture'

function solved(problem: Problem, iterations: number): Plan {
  const plan = solve(problem, { iterations, seed: 1 })
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return plan
}

describe('proofs', () => {
  it('solves the classic job shops 6x6 and 10x5 to their known optimum', () => {
    for (const name of ['6x6', '10x5']) {
      const { problem, optimum } = jobShop(name)
      expect(solved(problem, 800)).toMatchObject({ status: 'optimal', makespan: optimum })
    }
  })

  it('agrees with exhaustive search on tiny problems', () => {
    let proven = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), (seed) => {
        const problem = tiny(seed)
        const wanted = exhaustive(problem)
        const plan = solved(problem, 400)
        expect(plan.status).not.toBe('infeasible')
        expect(plan.bound).toBeLessThanOrEqual(wanted)
        if (plan.status !== 'optimal') return
        expect(plan.makespan).toBe(wanted)
        proven++
      }),
      { numRuns: 60, seed: 7 },
    )
    expect(proven).toBeGreaterThan(50)
  })

  it('never gets longer with one more cook or without one of the dishes', () => {
    let compared = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), (seed) => {
        const problem = randomProblem(seed, 7)
        const plan = solved(problem, 200)
        if (plan.status !== 'optimal') return
        const helped = solved(
          { ...problem, cooks: [...problem.cooks, { ...problem.cooks[0]!, id: 'more' }] },
          200,
        )
        expect(helped.bound).toBeLessThanOrEqual(plan.makespan)
        const smaller = solved(without(problem, 'd2'), 200)
        expect(smaller.bound).toBeLessThanOrEqual(plan.makespan)
        compared++
      }),
      { numRuns: 100, seed: 11 },
    )
    expect(compared).toBeGreaterThan(25)
  })
})

/** Hands, one station and lags only, so that every order can be tried. */
function tiny(seed: number): Problem {
  const problem = randomProblem(seed, 5)
  return {
    ...problem,
    cooks: [{ id: 'c0', attention: 100, unavailable: [] }],
    activities: problem.activities.map((a, i) => ({
      id: a.id,
      label: a.label,
      aside: false,
      hygiene: a.hygiene,
      modes: [
        {
          id: 'm',
          needs: i % 2 ? [{ kind: 'burner', tags: [], amount: 1 }] : [],
          phases: [
            { seconds: [1 + ((seed + i) % 5), null] },
            { seconds: [1 + ((seed * i) % 4), 1 + ((seed * i) % 4)], hands: { attention: 50 } },
          ],
        },
      ],
    })),
    stations: [{ id: 'b0', kind: 'burner', capacity: 1, tags: [], unavailable: [] }],
    choices: [],
    relations: problem.relations
      .filter((r) => r.kind === 'FS')
      .map(({ max: _, ...r }) => ({ ...r, min: Math.max(0, r.min) })),
    holds: [],
    deadline: undefined,
    pins: [],
  }
}

function without(problem: Problem, dish: string): Problem {
  const gone = new Set(problem.activities.filter((a) => a.dish === dish).map((a) => a.id))
  return {
    ...problem,
    activities: problem.activities.filter((a) => !gone.has(a.id)),
    choices: problem.choices.map((c) => ({
      ...c,
      options: c.options.map((o) => ({
        ...o,
        activities: o.activities.filter((a) => !gone.has(a)),
      })),
    })),
    relations: problem.relations.filter((r) => !gone.has(r.from) && !gone.has(r.to)),
    holds: problem.holds.filter((h) => !gone.has(h.from) && (h.to === null || !gone.has(h.to))),
    pins: (problem.pins ?? []).filter((p) => !gone.has(p.activity)),
  }
}

it('ends with fewer activities than a neighbourhood leaves free, and with no station at all', () => {
  const problem = without(randomProblem(50063, 7), 'd2')
  expect(problem.activities).toHaveLength(2)
  expect(solved(problem, 300).activities).toHaveLength(2)
})

it('proves where two options of a choice come to the same', () => {
  const problem = without(randomProblem(50001, 7), 'd2')
  expect(problem.choices[0]!.options.map((o) => o.activities)).toEqual([['a1'], ['a1']])
  const plan = solved(problem, 400)
  expect(plan.activities.map((a) => a.id)).toContain('a1')
})
