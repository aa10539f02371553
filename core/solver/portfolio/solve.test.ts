import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breachText, checkPlan, type Plan } from '../../plan'
import type { Problem, ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { randomProblem } from '../../testing/randomProblem'
import { solve } from '..'

const work = (id: string, seconds: number, extra: object = {}) => ({
  id,
  label: id,
  modes: [
    {
      id: 'm',
      needs: [],
      phases: [{ seconds: [seconds, seconds] as [number, number], hands: {} }],
    },
  ],
  ...extra,
})
const wait = (id: string, seconds: [number, number | null], extra: object = {}) => ({
  id,
  label: id,
  modes: [{ id: 'm', needs: [], phases: [{ seconds }] }],
  ...extra,
})

/** Solves and has every rule proven before anything else is said about the plan. */
function solved(problem: Problem, iterations = 200, seed = 1): Plan {
  const plan = solve(problem, { iterations, seed })
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return plan
}

describe('solve', () => {
  it('runs unattended work beside hands work, and proves the optimum', () => {
    const plan = solved(
      problemOf({
        activities: [work('a', 30), work('b', 40), wait('stew', [100, 200])],
        relations: [{ from: 'a', to: 'stew', kind: 'FS' }],
      }),
    )
    expect(plan).toMatchObject({ status: 'optimal', makespan: 130, bound: 130 })
  })

  it('starts an activity later rather than break a longest wait', () => {
    const plan = solved(
      problemOf({
        activities: [wait('rise', [50, 50]), work('bake', 20), work('other', 100)],
        relations: [{ from: 'rise', to: 'bake', kind: 'FS', max: 5 }],
      }),
    )
    expect(plan.makespan).toBe(120)
  })

  it('stretches a phase up to its most where it has to wait', () => {
    const plan = solved(
      problemOf({
        cooks: [{ id: 'ana', unavailable: [[100, 150]] }],
        activities: [
          {
            id: 'soup',
            label: 'soup',
            modes: [
              {
                id: 'm',
                needs: [],
                phases: [{ seconds: [90, 160] }, { seconds: [20, 20], hands: {} }],
              },
            ],
            due: 200,
          },
        ],
      }),
    )
    expect(plan.makespan).toBe(170)
  })

  it('washes a pan between two contents and not between the same', () => {
    const fry = (id: string, contents: string) => ({
      id,
      label: id,
      modes: [
        {
          id: 'm',
          needs: [{ kind: 'pan', contents }],
          phases: [{ seconds: [50, 50] as [number, number] }],
        },
      ],
    })
    const stations = [{ id: 'pan', kind: 'pan', wash: { seconds: 10 } }]
    const mixed = problemOf({ stations, activities: [fry('a', 'x'), fry('b', 'y'), fry('c', 'x')] })
    const plan = solved(mixed)
    expect(plan.makespan).toBe(160)
    expect(plan.chores).toHaveLength(1)
  })

  it('orders raw work last where clean hands cost time', () => {
    const plan = solved(
      problemOf({
        activities: [work('raw', 20, { hygiene: 'raw' }), work('salad', 20, { hygiene: 'ready' })],
        hygiene: { raw: { ready: 60 } },
      }),
    )
    expect(plan.makespan).toBe(40)
    expect(plan.activities[0]!.id).toBe('salad')
  })

  it('bakes together what shares a heat, and ramps between what does not', () => {
    const bake = (id: string, celsius: [number, number]) => ({
      id,
      label: id,
      modes: [
        {
          id: 'm',
          needs: [{ kind: 'oven' }],
          phases: [
            { seconds: [100, 100] as [number, number], heat: { need: 0, celsius, method: 'bake' } },
          ],
        },
      ],
    })
    const oven = {
      min: 50,
      max: 250,
      start: 20,
      heatSecondsPerDegree: 1,
      coolSecondsPerDegree: 3,
      methods: ['bake'],
    }
    const plan = solved(
      problemOf({
        stations: [{ id: 'oven', kind: 'oven', capacity: 2, oven }],
        activities: [bake('pie', [180, 190]), bake('bars', [160, 180]), bake('bread', [200, 210])],
      }),
    )
    // 160 s up to 180 °C, both bake, 20 s up to 200 °C, bread bakes.
    expect(plan.makespan).toBe(160 + 100 + 20 + 100)
    expect(plan.heats.map((h) => h.celsius)).toEqual([180, 200])
  })

  it('takes the quicker mode and the quicker option', () => {
    const plan = solved(
      problemOf({
        activities: [
          {
            ...work('chop', 90),
            modes: [
              ...work('chop', 90).modes,
              { id: 'machine', needs: [], phases: [{ seconds: [30, 30], hands: {} }] },
            ],
          },
          work('slow', 300),
          work('quick', 20),
        ],
        choices: [
          {
            id: 'way',
            options: [
              { id: 's', activities: ['slow'] },
              { id: 'q', activities: ['quick'] },
            ],
          },
        ],
      }),
    )
    expect(plan).toMatchObject({ makespan: 50, choices: { way: 'q' } })
  })

  it('leaves a dish out only where the cost comes after the time, or not at all', () => {
    const input: Partial<ProblemInput> = {
      activities: [work('soup', 50)],
      choices: [
        {
          id: 'c',
          options: [
            { id: 'make', activities: ['soup'] },
            { id: 'leave', activities: [], cost: 5 },
          ],
        },
      ],
    }
    expect(solved(problemOf({ ...input, objective: ['cost', 'makespan'] })).choices).toEqual({
      c: 'make',
    })
    expect(solved(problemOf(input)).choices).toEqual({ c: 'leave' })
  })

  it('starts as late as possible where that is asked for', () => {
    const plan = solved(
      problemOf({
        activities: [work('a', 50, { due: 500 })],
        objective: ['lateStart'],
        deadline: 500,
      }),
    )
    expect(plan.activities).toHaveLength(1)
  })

  it('honours pins of start, mode, cook and stations', () => {
    const plan = solved(
      problemOf({
        cooks: [{ id: 'ana' }, { id: 'bo' }],
        stations: ['l', 'r'].map((id) => ({ id, kind: 'burner' })),
        activities: [
          {
            id: 'a',
            label: 'a',
            modes: ['x', 'y'].map((id) => ({
              id,
              needs: [{ kind: 'burner' }],
              phases: [{ seconds: [10, 10] as [number, number], hands: {} }],
            })),
          },
        ],
        pins: [{ activity: 'a', start: [40, 60], mode: 'y', cook: 'bo', stations: ['r'] }],
      }),
    )
    expect(plan.activities[0]).toMatchObject({ start: 40, mode: 'y', stations: ['r'] })
    expect(plan.activities[0]!.phases[0]!.cook).toBe('bo')
  })

  it('is the same for the same seed and iterations, and nothing comes of nothing', () => {
    const problem = randomProblem(4, 12)
    expect(solve(problem, { iterations: 300, seed: 5 })).toEqual(
      solve(problem, { iterations: 300, seed: 5 }),
    )
    expect(solved(problemOf({}))).toMatchObject({ status: 'optimal', makespan: 0 })
  })

  it('stops when it is told to, with the best so far', () => {
    const signal = { aborted: false }
    let found = 0
    const plan = solve(randomProblem(4, 12), {
      iterations: 1_000_000,
      signal,
      onImprovement: () => {
        found++
        signal.aborted = true
      },
    })
    expect(found).toBe(1)
    expect(plan.status).toMatch(/feasible|optimal/)
  })
})

describe('solve, where there is no plan', () => {
  const no: [string, Partial<ProblemInput>, RegExp][] = [
    [
      'a skill nobody has',
      {
        cooks: [{ id: 'ana', skills: [] }],
        activities: [
          {
            id: 'cut',
            label: '',
            modes: [
              { id: 'm', needs: [], phases: [{ seconds: [1, 1], hands: { skill: 'knife' } }] },
            ],
          },
        ],
      },
      /"cut".*skill "knife"/,
    ],
    [
      'a pan too large',
      {
        stations: [{ id: 'p', kind: 'pan', size: 20 }],
        activities: [
          {
            id: 'fry',
            label: '',
            modes: [
              { id: 'm', needs: [{ kind: 'pan', minSize: 28 }], phases: [{ seconds: [1, 1] }] },
            ],
          },
        ],
      },
      /"fry".*pan of size 28/,
    ],
    [
      'a deadline shorter than a chain',
      {
        activities: [work('a', 60), work('b', 60)],
        relations: [{ from: 'a', to: 'b', kind: 'FS', min: 10 }],
        deadline: 120,
      },
      /deadline at 120/,
    ],
    [
      'a deadline shorter than the hands work',
      { activities: [work('a', 60), work('b', 60)], deadline: 110 },
      /hands work of "ana"/,
    ],
    [
      'waits that contradict',
      {
        activities: [wait('a', [5, 5]), wait('b', [5, 5])],
        relations: [
          { from: 'a', to: 'b', kind: 'FS', min: 20 },
          { from: 'a', to: 'b', kind: 'SS', max: 10 },
        ],
      },
      /at most 10 s.*/,
    ],
    [
      'an absence that blocks a must',
      { cooks: [{ id: 'ana', unavailable: [[0, 100]] }], activities: [work('a', 10, { due: 90 })] },
      /"a".*blocked by their absence/,
    ],
    [
      'a hold of nothing there is',
      {
        activities: [work('a', 10)],
        holds: [{ id: 'h', need: { kind: 'pot' }, from: 'a', to: 'a' }],
      },
      /"h" needs pot/,
    ],
    [
      'no option that works',
      {
        activities: [work('a', 10), work('b', 10)],
        deadline: 5,
        choices: [
          {
            id: 'c',
            options: [
              { id: 'x', activities: ['a'] },
              { id: 'y', activities: ['b'] },
            ],
          },
        ],
      },
      /no option of "c"/,
    ],
    ['no cook at all', { cooks: [], activities: [work('a', 10)] }, /there is none/],
  ]
  it.each(no)('proves and says so: %s', (_, input, words) => {
    const plan = solve(problemOf(input), { iterations: 50 })
    expect(plan.status).toBe('infeasible')
    expect(plan.reasons.join('\n')).toMatch(words)
    expect(plan.activities).toEqual([])
  })

  it('names a small set of waits that clash, and none that has nothing to do with it', () => {
    const plan = solve(
      problemOf({
        activities: [wait('a', [5, 5]), wait('b', [5, 5]), wait('c', [5, 5]), wait('d', [9, 9])],
        relations: [
          { from: 'a', to: 'b', kind: 'FS', min: 20 },
          { from: 'a', to: 'b', kind: 'SS', max: 10 },
          { from: 'c', to: 'd', kind: 'FS', min: 3 },
        ],
      }),
      { iterations: 10 },
    )
    expect(plan.reasons.join()).not.toMatch(/"[cd]"/)
  })
})

describe('solve, on random problems over all features', () => {
  it('gives plans that the checker passes, bounds below them, and proofs that stand', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000 }),
        fc.integer({ min: 2, max: 14 }),
        (seed, size) => {
          const problem = randomProblem(seed, size)
          const plan = solve(problem, { iterations: 20, seed })
          expect(checkPlan(problem, plan).map(breachText)).toEqual([])
          if (plan.status === 'infeasible') expect(plan.reasons.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 300, seed: 20270320 },
    )
  })
})
