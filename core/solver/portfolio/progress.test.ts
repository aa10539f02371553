import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breachText, checkPlan, progressAt, type Plan } from '../../plan'
import { readProblem, type Problem, type ProblemInput, type Progress } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { randomProblem } from '../../testing/randomProblem'
import { solve } from '..'

const facts = (now: number, more: Partial<Progress>): Progress => ({
  now,
  choices: {},
  activities: [],
  holds: [],
  chores: [],
  heats: [],
  ...more,
})
const ran = (id: string, start: number, end: number | null, cook?: string) => ({
  id,
  mode: 'm',
  start,
  end,
  stations: [] as string[],
  phases: [{ from: start, to: end, ...(cook ? { cook } : {}) }],
})
const activity = (id: string, phases: object[], extra: object = {}) =>
  ({ id, label: id, modes: [{ id: 'm', phases }], ...extra }) as ProblemInput['activities'][number]

function replanned(problem: Problem, iterations = 150): Plan {
  const plan = solve(problem, { iterations })
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return plan
}

describe('planning on from what has happened', () => {
  it('keeps what is over, and begins nothing else before now', () => {
    const plan = replanned(
      problemOf({
        activities: [
          activity('done', [{ seconds: [50, 50], hands: {} }]),
          activity('left', [{ seconds: [20, 20], hands: {} }]),
        ],
        progress: facts(90, { activities: [ran('done', 0, 70, 'ana')] }),
      }),
    )
    expect(plan.activities.map((a) => [a.id, a.start, a.end])).toEqual([
      ['done', 0, 70],
      ['left', 90, 110],
    ])
    expect(plan).toMatchObject({ status: 'optimal', bound: 110 })
  })

  it('lets what is under way go on where something else cannot wait for the hands', () => {
    const problem = problemOf({
      activities: [
        activity('fried', [{ seconds: [90, 90], hands: {} }]),
        activity('bake', [{ seconds: [50, 200] }, { seconds: [60, 60], hands: {} }]),
        activity('drain', [{ seconds: [30, 30], hands: {} }]),
      ],
      relations: [{ from: 'fried', to: 'drain', kind: 'FS', max: 20 }],
      progress: facts(100, { activities: [ran('fried', 0, 90, 'ana'), ran('bake', 0, null)] }),
    })
    // So few that nothing is learned yet: it has to come out of the order alone.
    const plan = replanned(problem, 12)
    expect(plan.activities).toHaveLength(3)
    expect(plan.activities.find((a) => a.id === 'drain')!.start).toBe(100)
  })

  it('ends what has gone past its most as soon as a cook is free for what follows', () => {
    const plan = replanned(
      problemOf({
        activities: [
          activity('sear', [{ seconds: [200, 200], hands: {} }]),
          activity('soup', [{ seconds: [50, 60] }, { seconds: [10, 10], hands: {} }]),
          activity('later', [{ seconds: [30, 30], hands: {} }]),
        ],
        progress: facts(150, {
          activities: [ran('sear', 0, null, 'ana'), ran('soup', 20, null)],
        }),
      }),
    )
    const soup = plan.activities.find((a) => a.id === 'soup')!
    expect(soup.phases.map((p) => [p.from, p.to])).toEqual([
      [20, 200],
      [200, 210],
    ])
  })

  it('remembers whose hands are raw, what stands unwashed, and how hot the oven is', () => {
    const plan = replanned(
      problemOf({
        stations: [
          { id: 'pan', kind: 'pan', wash: { seconds: 15 } },
          {
            id: 'oven',
            kind: 'oven',
            oven: {
              min: 50,
              max: 250,
              start: 20,
              heatSecondsPerDegree: 1,
              coolSecondsPerDegree: 2,
              methods: ['bake'],
            },
          },
        ],
        hygiene: { raw: { ready: 40 } },
        activities: [
          {
            id: 'meat',
            label: 'meat',
            hygiene: 'raw',
            modes: [
              {
                id: 'm',
                needs: [{ kind: 'pan', contents: 'meat' }],
                phases: [{ seconds: [30, 30], hands: {} }],
              },
            ],
          },
          {
            id: 'fry',
            label: 'fry',
            modes: [
              {
                id: 'm',
                needs: [{ kind: 'pan', contents: 'egg' }],
                phases: [{ seconds: [10, 10] }],
              },
            ],
          },
          activity('salad', [{ seconds: [10, 10], hands: {} }], { hygiene: 'ready' }),
          {
            id: 'cake',
            label: 'cake',
            modes: [
              {
                id: 'm',
                needs: [{ kind: 'oven' }],
                phases: [
                  { seconds: [60, 60], heat: { need: 0, celsius: [150, 150], method: 'bake' } },
                ],
              },
            ],
          },
        ],
        progress: facts(100, {
          activities: [
            {
              id: 'meat',
              mode: 'm',
              start: 60,
              end: 90,
              stations: ['pan'],
              phases: [{ from: 60, to: 90, cook: 'ana' }],
            },
          ],
          heats: [{ station: 'oven', celsius: 200, method: 'bake', from: 0, to: null }],
        }),
      }),
    )
    const start = (id: string) => plan.activities.find((a) => a.id === id)!.start
    expect(start('salad')).toBeGreaterThanOrEqual(130)
    expect(start('fry')).toBeGreaterThanOrEqual(115)
    expect(start('cake')).toBe(200)
    expect(plan.heats[0]).toMatchObject({ celsius: 200, from: 0 })
  })

  it('says what clashes where what has happened leaves no way on', () => {
    const problem = problemOf({
      activities: [
        activity('rest', [{ seconds: [10, 10] }]),
        activity('carve', [{ seconds: [5, 5] }]),
      ],
      relations: [{ from: 'rest', to: 'carve', kind: 'FS', max: 20 }],
      progress: facts(90, { activities: [ran('rest', 0, 10)] }),
    })
    const plan = replanned(problem)
    expect(plan.status).toBe('infeasible')
    expect(plan.reasons.join(' ')).toContain('at most 20 s')
  })

  it('lets what is under way go on until somebody can do what must follow at once', () => {
    const problem = problemOf({
      activities: [
        activity('cool', [{ seconds: [100, 1000] }]),
        activity('pack', [{ seconds: [60, 60], hands: {} }]),
        activity('cut', [{ seconds: [200, 200], hands: {} }]),
      ],
      relations: [{ from: 'cool', to: 'pack', kind: 'FS', max: 0 }],
      progress: facts(150, {
        activities: [ran('cool', 0, null), ran('cut', 0, null, 'ana')],
      }),
    })
    const plan = replanned(problem, 1)
    expect(plan.activities.map((a) => [a.id, a.start, a.end]).sort()).toEqual([
      ['cool', 0, 200],
      ['cut', 0, 200],
      ['pack', 200, 260],
    ])
  })

  it('goes on from any moment of any plan, and never thinks it longer than it was', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (seed, share) => {
          const problem = randomProblem(seed, 8)
          const plan = solve(problem, { iterations: 80 })
          if (plan.makespan < 2) return
          const now = Math.max(1, Math.floor(plan.makespan * share))
          const reading = readProblem({ ...problem, progress: progressAt(problem, plan, now) })
          if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
          const again = { ...plan, bound: 0, status: 'feasible' as const }
          expect(checkPlan(reading.value, again).map(breachText)).toEqual([])
          const next = replanned(reading.value, 100)
          expect(next.status).not.toBe('infeasible')
          expect(next.bound).toBeLessThanOrEqual(plan.makespan)
        },
      ),
      { numRuns: 60, seed: 7 },
    )
  })

  it('goes on however late everything is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 30 }),
        (seed, late) => {
          const { deadline: _, ...problem } = randomProblem(seed, 8)
          const plan = solve(problem, { iterations: 80 })
          if (plan.makespan < 2) return
          const progress = progressAt(problem, plan, Math.ceil(plan.makespan / 2))
          const reading = readProblem({
            ...problem,
            progress: { ...progress, now: progress.now + late },
          })
          if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
          replanned(reading.value, 100)
        },
      ),
      { numRuns: 60, seed: 11 },
    )
  })
})

describe('checking a plan against what has happened', () => {
  const problem = problemOf({
    activities: [
      activity('a', [{ seconds: [50, 50], hands: {} }]),
      activity('b', [{ seconds: [20, 20] }]),
    ],
    progress: facts(60, { activities: [ran('a', 0, 55, 'ana')] }),
  })
  const plan = solve(problem, { iterations: 20 })
  const texts = (changed: Plan) => checkPlan(problem, changed).map(breachText).join('\n')

  it('refuses a fact that was moved, left out or lengthened', () => {
    expect(texts(plan)).toBe('')
    const [a, b] = plan.activities
    const moved = { ...a!, start: 5, end: 60, phases: [{ from: 5, to: 60, cook: 'ana' }] }
    expect(texts({ ...plan, activities: [moved, b!] })).toContain(
      'is not planned as it has happened',
    )
    expect(texts({ ...plan, activities: [b!] })).toContain('has begun and is not in the plan')
  })

  it('refuses what would begin before now', () => {
    const [a, b] = plan.activities
    const early = { ...b!, start: 30, end: 50, phases: [{ from: 30, to: 50 }] }
    expect(
      texts({ ...plan, activities: [a!, early], makespan: 55, bound: 0, status: 'feasible' }),
    ).toContain('starts before now (60)')
  })
})

describe('reading what has happened', () => {
  const paths = (progress: object) => {
    const reading = readProblem({
      format: 'cadrum/problem@1',
      name: 'x',
      cooks: [{ id: 'ana' }],
      stations: [],
      activities: [activity('a', [{ seconds: [50, 50], hands: {} }])],
      progress,
    })
    return reading.ok ? [] : reading.issues.map((i) => i.path)
  }
  it('names each fact that says too little, too much or lies ahead', () => {
    expect(paths(facts(60, { activities: [ran('a', 0, 55, 'ana')] }))).toEqual([])
    expect(paths(facts(40, { activities: [ran('a', 0, 55, 'ana')] }))).toContain(
      'progress.activities[0].end',
    )
    expect(paths(facts(60, { activities: [ran('a', 0, 55)] }))).toEqual([
      'progress.activities[0].phases[0].cook',
    ])
    expect(paths(facts(60, { activities: [{ ...ran('a', 0, 55, 'ana'), mode: 'z' }] }))).toEqual([
      'progress.activities[0].mode',
    ])
    expect(paths(facts(60, { choices: { x: 'y' } }))).toEqual(['progress.choices.x'])
    expect(
      paths(facts(60, { chores: [{ kind: 'wash', station: 'pan', cook: 'ana', from: 0, to: 5 }] })),
    ).toEqual(['progress.chores[0].station'])
  })
})
