import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compareValues, breachText, checkPlan } from '../../plan'
import { readProblem, type ObjectiveName, type Problem } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { buildModel } from '../model/buildModel'
import { LcgSolver } from '../lcg/search/lcgSolver'
import { Refinement } from './refinement'
import { below, seeded } from '../structures/random'
import { solve } from './solve'
import { planOf, type PlanBody } from '../model/planBody'
import { strictValue, valuesOfBody } from '../model/objective'

const STATUS = { status: 'feasible' as const, bound: 0, seed: 1, elapsedMs: 0, reasons: [] }

/** Three or four pieces of hands work of fixed length for two cooks, in part one after another. */
function tiny(seed: number, objective: ObjectiveName[]): Problem {
  const random = seeded(seed * 2654435761)
  const int = (from: number, to: number) => from + below(random, to - from + 1)
  const n = int(3, 4)
  const reading = readProblem({
    format: 'cadrum/problem@1',
    name: 'tiny',
    cooks: [{ id: 'c0', skills: ['knife', 'heat'] }, { id: 'c1' }],
    stations: [{ id: 'b', kind: 'burner' }],
    activities: Array.from({ length: n }, (_, i) => {
      const least = int(1, 3)
      return {
        id: `a${i}`,
        label: `a${i}`,
        modes: [
          {
            id: 'm',
            needs: random() < 0.3 ? [{ kind: 'burner' }] : [],
            phases: [
              {
                seconds: [least, least] as [number, number],
                hands: random() < 0.2 ? { skill: 'knife' } : {},
              },
            ],
          },
        ],
      }
    }),
    choices: [],
    relations: Array.from({ length: int(1, 2) }, () => {
      const to = int(1, n - 1)
      const min = int(0, 2)
      return {
        from: `a${int(0, to - 1)}`,
        to: `a${to}`,
        kind: 'FS' as const,
        min,
        ...(random() < 0.3 ? { max: min + int(0, 2) } : {}),
      }
    }),
    holds: [],
    hygiene: {},
    objective,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}

/** What all objectives of a tiny problem can be at best, by putting everything everywhere. */
function best(problem: Problem, longest: number): number[] {
  const model = buildModel(problem)
  const burner = problem.activities.map((a) => a.modes[0]!.needs.map(() => 'b'))
  let least: number[] = []
  const place = (runs: PlanBody['activities']) => {
    const activity = problem.activities[runs.length]
    if (activity) {
      const [seconds] = activity.modes[0]!.phases[0]!.seconds
      for (let start = 0; start + seconds <= longest; start++)
        for (const { id } of problem.cooks) {
          const [from, to] = [start, start + seconds]
          const run = {
            id: activity.id,
            mode: 'm',
            start,
            end: to,
            phases: [{ from, to, cook: id }],
          }
          place([...runs, { ...run, stations: burner[runs.length]! }])
        }
      return
    }
    const body: PlanBody = {
      makespan: Math.max(...runs.map((r) => r.end)),
      choices: {},
      activities: runs,
      holds: [],
      chores: [],
      heats: [],
    }
    const values = valuesOfBody(model, body)
    // The checker takes longest, so it is asked last.
    if (least.length && compareValues(values, least) >= 0) return
    if (!checkPlan(problem, planOf(model, body, STATUS)).length) least = values
  }
  place([])
  return least
}

describe('the objectives after the first', () => {
  it.each<[ObjectiveName, ...ObjectiveName[]]>([
    ['makespan', 'handsFree', 'handsSpread'],
    ['makespan', 'lateStart', 'handsSpread'],
  ])('are as small as trying everything finds them: %s, %s, %s', (...objective) => {
    let compared = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 100_000 }), (seed) => {
        const problem = tiny(seed, objective)
        const plan = solve(problem, { iterations: 800 })
        expect(checkPlan(problem, plan).map(breachText)).toEqual([])
        if (plan.status !== 'optimal' || plan.makespan > 9) return
        compared++
        expect(valuesOfBody(buildModel(problem), plan)).toEqual(best(problem, plan.makespan))
      }),
      { numRuns: 30, seed: 3 },
    )
    expect(compared).toBeGreaterThan(15)
  })

  it('are counted by the constraints as they are in the plan', () => {
    const objective: ObjectiveName[] = ['makespan', 'cost', 'handsSpread']
    let counted = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = { ...randomProblem(seed, 9), objective }
        const model = buildModel(problem)
        const plan = solve(problem, { iterations: 14, seed })
        if (!plan.activities.length) return
        for (const aim of [1, 2]) {
          const name = objective[aim]!
          const lcg = new LcgSolver(model, seeded(seed), { aim: { objective: aim, plan } })
          lcg.tell(plan)
          let least = strictValue(model, plan, name)
          for (let k = 0; k < 6 && !lcg.exhausted; k++) {
            const found = k % 2 ? lcg.improve(20) : lcg.explore(20)
            if (!found) continue
            counted++
            expect(checkPlan(problem, planOf(model, found, STATUS)).map(breachText)).toEqual([])
            expect(found.makespan).toBeLessThanOrEqual(plan.makespan)
            if (aim === 2) {
              const costs = [found, plan].map((p) => strictValue(model, p, 'cost'))
              expect(costs[0]).toBeLessThanOrEqual(costs[1]!)
            }
            expect(strictValue(model, found, name)).toBeLessThan(least)
            least = strictValue(model, found, name)
          }
          expect(lcg.bound).toBeLessThanOrEqual(least)
        }
      }),
      { numRuns: 100, seed: 8 },
    )
    expect(counted).toBeGreaterThan(40)
  })

  it('are learned about again where something before them has become better', () => {
    const problem = tiny(11, ['makespan', 'handsFree', 'handsSpread'])
    const plan = solve(problem, { iterations: 2 })
    const model = buildModel(problem)
    const refinement = new Refinement(model, seeded(1))
    const known = { body: plan as PlanBody, values: valuesOfBody(model, plan) }
    expect(refinement.doneWith(known.values)).toBe(false)
    for (let k = 0; k < 200 && !refinement.doneWith(known.values); k++) {
      const body = refinement.learn(known.body, known.values, 60, 24)
      if (!body) continue
      expect(checkPlan(problem, planOf(model, body, STATUS)).map(breachText)).toEqual([])
      const values = valuesOfBody(model, body)
      expect(compareValues(values, known.values)).toBeLessThan(0)
      Object.assign(known, { body, values })
    }
    expect(refinement.provenWith(known.values)).toBe(true)
    const [makespan, ...others] = known.values
    expect(refinement.doneWith([makespan! - 1, ...others])).toBe(false)
    expect(refinement.provenWith([makespan! - 1, ...others])).toBe(false)
  })

  it('put nothing off that may as well be done at once', () => {
    const hands = (id: string, seconds: number, more: { skill?: string } = {}) => ({
      id,
      label: id,
      modes: [
        {
          id: 'm',
          needs: [],
          phases: [{ seconds: [seconds, seconds] as [number, number], hands: more }],
        },
      ],
    })
    const dough = { skill: 'dough' }
    const reading = readProblem({
      format: 'cadrum/problem@1',
      name: 'a dough that rises',
      cooks: [
        { id: 'c0', skills: ['dough'] },
        { id: 'c1', skills: [] },
      ],
      stations: [],
      activities: [
        hands('knead', 50, dough),
        hands('shape', 10, dough),
        hands('salad', 30),
        hands('dip', 5),
      ],
      choices: [],
      relations: [{ from: 'knead', to: 'shape', kind: 'FS', min: 100, max: 100 }],
      holds: [],
      hygiene: {},
    })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const plan = solve(reading.value, { iterations: 2000 })
    expect(plan.status).toBe('optimal')
    // One cook does it all while the dough rises, and then waits; the other is not needed.
    const runs = plan.activities.map(({ id, phases: [p] }) => [id, p!.cook, p!.from])
    expect(runs.map(([, cook]) => cook)).toEqual(['c0', 'c0', 'c0', 'c0'])
    expect(runs[0]).toEqual(['knead', 'c0', 0])
    expect([runs[1]![2], runs[3]]).toEqual([50, ['shape', 'c0', 150]])
    expect([80, 55]).toContain(runs[2]![2])
  })
})
