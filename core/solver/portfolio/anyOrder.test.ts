import { describe, expect, it } from 'vitest'
import { checkPlan, objectiveValue, valuesOfPlan } from '../../plan'
import { objectiveName, readProblem, type Problem, type ProblemInput } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { bestOfAll } from './everyPlan.fixture'
import { below, seeded } from '../structures/random'
import { solve } from '..'

const read = (input: unknown): Problem => {
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}

/** Two or three short steps for one cook or two, so small that every plan of it can be tried. */
function tiny(seed: number, objective: Problem['objective']): Problem {
  const random = seeded(seed * 48271)
  const int = (from: number, to: number) => from + below(random, to - from + 1)
  const chance = (p: number) => random() < p
  const cooks = chance(0.5) ? ['ana'] : ['ana', 'bo']
  const activities: ProblemInput['activities'] = ['a', 'b', 'c'].slice(0, int(2, 3)).map((id) => ({
    id,
    label: id,
    hygiene: chance(0.5) ? 'raw' : 'ready',
    ...(chance(0.3) ? { release: int(0, 2) } : {}),
    ...(chance(0.3) ? { due: int(5, 7) } : {}),
    modes: [
      {
        id: 'm',
        needs: chance(0.4) ? [{ kind: 'pan' }] : [],
        phases: [
          { seconds: chance(0.3) ? [1, 2] : [1, 1], ...(chance(0.8) ? { hands: {} } : {}) },
          ...(chance(0.3) ? [{ seconds: [1, 1] as [number, number] }] : []),
        ],
      },
    ],
  }))
  return read({
    format: 'cadrum/problem@1',
    name: `tiny ${seed}`,
    cooks: cooks.map((id) => ({ id, unavailable: chance(0.3) ? [[2, 3]] : [] })),
    stations: [{ id: 'pan', kind: 'pan' }],
    activities,
    choices:
      activities.length > 2 && chance(0.5)
        ? [
            {
              id: 'way',
              options: [
                { id: 'b', activities: ['b'], cost: int(0, 3) },
                { id: 'none', activities: [], cost: int(0, 3) },
              ],
            },
          ]
        : [],
    relations: chance(0.6)
      ? [{ from: 'a', to: activities.at(-1)!.id, kind: 'FS', min: int(0, 2), max: int(2, 3) }]
      : [],
    hygiene: chance(0.5) ? { raw: { ready: 1 } } : {},
    deadline: 7,
    objective,
  })
}

describe('objectives', () => {
  it.each(objectiveName.options)('are as good as can be with %s first', (name) => {
    const others = objectiveName.options.filter((o) => o !== name)
    const failures: string[] = []
    let proven = 0
    for (let seed = 1; seed <= 30; seed++) {
      const problem = tiny(seed, [name, others[seed % others.length]!])
      const plan = solve(problem, { iterations: 1500, seed })
      const best = bestOfAll(problem, 7)
      if (!best) {
        if (plan.activities.length) failures.push(`${seed}: a plan where there is none`)
        continue
      }
      if (plan.status === 'infeasible' || plan.status === 'unknown') {
        failures.push(`${seed}: ${plan.status}, ${String(best)} is possible`)
        continue
      }
      expect(checkPlan(problem, plan)).toEqual([])
      const values = valuesOfPlan(problem, plan)
      if (values[0] !== best[0]) failures.push(`${seed}: ${values[0]} instead of ${best[0]}`)
      if (plan.status === 'optimal') proven++
    }
    expect(failures).toEqual([])
    if (name !== 'handsSpread' && name !== 'heatChanges') expect(proven).toBeGreaterThan(20)
  })

  it('begin as late as what is due allows', () => {
    const problem = read({
      format: 'cadrum/problem@1',
      name: 'late',
      cooks: [{ id: 'ana' }],
      stations: [],
      activities: [
        {
          id: 'a',
          label: 'A',
          due: 500,
          modes: [{ id: 'm', needs: [], phases: [{ seconds: [50, 50], hands: {} }] }],
        },
      ],
      objective: ['lateStart'],
    })
    expect(solve(problem, { clock: () => performance.now(), seconds: 2 })).toMatchObject({
      status: 'optimal',
      bound: 450,
      makespan: 500,
    })
  })

  it('are never claimed to be proven where the first of them can be beaten', () => {
    // The same problem with another objective in front gives plans that hold against the claim.
    for (let seed = 1; seed <= 12; seed++) {
      const problem = randomProblem(seed, 6)
      if (problem.progress) continue
      const plans = objectiveName.options.map((name) => {
        const asked = { ...problem, objective: [name] }
        return { name, plan: solve(asked, { iterations: 80, seed }), asked }
      })
      for (const { name, plan, asked } of plans) {
        if (!plan.activities.length) continue
        expect(checkPlan(asked, plan)).toEqual([])
        for (const other of plans) {
          if (!other.plan.activities.length) continue
          const value = objectiveValue(problem, other.plan, name)
          const beaten = name === 'lateStart' ? value > plan.bound : value < plan.bound
          expect(beaten, `seed ${seed}: ${name} ${value} beats ${plan.bound}`).toBe(false)
        }
      }
    }
  })
})
