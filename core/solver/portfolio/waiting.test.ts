import { expect, it } from 'vitest'
import { breachText, checkPlan } from '../../plan'
import type { Problem, ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { buildModel } from '../model/buildModel'
import { emptyEncoding } from '../sgs/encoding'
import { planFromSchedule } from '../sgs/planFromSchedule'
import { NEVER } from '../model/model'
import { SerialSchedule } from '../sgs/serialScheduleGeneration'
import { solve } from './solve'

const hands = (seconds: number) => ({ seconds: [seconds, seconds], hands: {} })
const step = (id: string, phases: object[], needs: object[] = []) =>
  ({ id, label: id, modes: [{ id: 'm', needs, phases }] }) as ProblemInput['activities'][number]
const after = (from: string, to: string, max?: number) =>
  ({ from, to, kind: 'FS', ...(max === undefined ? {} : { max }) }) as const

/** One schedule in the order in which the steps are listed; urgent is what waits for so long. */
function inOrder(input: Partial<ProblemInput>, urgency: number) {
  const problem = problemOf(input)
  const model = buildModel(problem)
  const schedule = new SerialSchedule(model)
  const encoding = emptyEncoding(model)
  encoding.urgency = urgency
  model.activities.forEach((_, i) => (encoding.priority[i] = i))
  expect(schedule.decode(encoding)).toBe(true)
  const body = planFromSchedule(model, schedule)
  const plan = {
    ...solve(problem, { iterations: 1 }),
    ...body,
    shortest: body.makespan,
    status: 'feasible' as const,
    bound: 0,
  }
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return new Map(body.activities.map((a) => [a.id, [a.start, a.end]]))
}

const cooled = (needs: object[] = [], atMost = 0) => ({
  activities: [
    step('bake', [hands(10)]),
    step('cool', [{ seconds: [50, 500] }], needs),
    step('slice', [hands(200)]),
    step('pack', [hands(30)]),
  ],
  relations: [after('bake', 'cool', 0), after('cool', 'pack', atMost)],
})

it('leaves open how long something waits, so that what follows it goes before nothing', () => {
  const times = inOrder(cooled(), 300)
  expect(times.get('slice')).toEqual([10, 210])
  expect(times.get('cool')).toEqual([10, 210])
  expect(times.get('pack')).toEqual([210, 240])
})

it('has it wait for as long as it may, and no longer', () => {
  const input = cooled()
  input.activities[2] = step('slice', [hands(600)])
  const times = inOrder(input, 0)
  const [from, to] = times.get('cool')!
  expect(to! - from!).toBeLessThanOrEqual(500)
  expect(times.get('pack')![0]).toBe(to)
})

it('has what stands on a rack wait for longer, rather than what leads to it begin later', () => {
  const times = inOrder(
    { ...cooled([{ kind: 'rack' }], 5), stations: [{ id: 'rack', kind: 'rack', capacity: 1 }] },
    0,
  )
  expect(times.get('bake')).toEqual([0, 10])
  expect(times.get('cool')).toEqual([10, 205])
  expect(times.get('pack')).toEqual([210, 240])
})

it('ends what nothing follows as soon as it may', () => {
  const times = inOrder(
    {
      activities: [step('bake', [hands(10)]), step('cool', [{ seconds: [50, 500] }])],
      relations: [after('bake', 'cool', 0)],
    },
    NEVER,
  )
  expect(times.get('cool')).toEqual([10, 60])
})

const oven = { stations: [{ id: 'oven', kind: 'oven', capacity: 1 }] }
const baked = (id: string, seconds: number) =>
  step(id, [{ seconds: [seconds, seconds] }], [{ kind: 'oven' }])

const nothing = { now: 100, choices: {}, activities: [], holds: [], chores: [], heats: [] }
const over = (id: string, from: number, cook: string) => ({
  id,
  mode: 'm',
  start: from,
  end: 100,
  stations: [],
  phases: [{ from, to: 100, cook }],
})

/** When each step begins and ends in the first schedule. */
function firstPlan(problem: Problem) {
  const plan = solve(problem, { iterations: 1 })
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return new Map(plan.activities.map((a) => [a.id, [a.start, a.end]]))
}

/** The first schedule of a session of two cooks in which two steps have just ended, at 100. */
function underWay(melting: number, input: Partial<ProblemInput>) {
  const problem = problemOf({
    ...oven,
    ...input,
    cooks: [{ id: 'ana' }, { id: 'ben' }],
    activities: [step('melt', [hands(melting)]), step('mix', [hands(50)]), ...input.activities!],
    progress: {
      ...nothing,
      activities: [over('melt', 100 - melting, 'ana'), over('mix', 50, 'ben')],
    },
  })
  return firstPlan(problem)
}

it('under way, lets go first what nothing before it can be put off for', () => {
  const times = underWay(100, {
    activities: [step('press', [hands(10)]), baked('bars', 20), baked('pie', 100)],
    // The pie may wait for less long than the bars, but for long enough to go after them.
    relations: [after('melt', 'press', 20), after('press', 'bars', 50), after('mix', 'pie', 45)],
  })
  expect(times.get('press')).toEqual([100, 110])
  expect(times.get('bars')).toEqual([110, 130])
  expect(times.get('pie')).toEqual([130, 230])
})

it('under way, draws out what can neither be put off nor be followed at once', () => {
  const times = underWay(60, {
    activities: [
      step('build', [{ seconds: [10, 60], hands: {} }]),
      baked('pie', 30),
      baked('bread', 100),
    ],
    relations: [after('melt', 'build', 5), after('build', 'pie', 50), after('mix', 'bread', 2)],
  })
  expect(times.get('bread')).toEqual([100, 200])
  expect(times.get('pie')).toEqual([200, 230])
  expect(times.get('build')![1]).toBeGreaterThanOrEqual(150)
})

it('under way, has what is nearly done wait with its last hands for what cannot be put off', () => {
  const problem = problemOf({
    stations: [{ id: 'press', kind: 'press', unavailable: [[0, 150]] }],
    activities: [
      step('brown', [hands(90)]),
      step('boil', [{ seconds: [90, 300] }, hands(60)]),
      step('press', [hands(40)], [{ kind: 'press' }]),
    ],
    // The press is there from 150 on, and by then it must begin; the boil could be drained from 140.
    relations: [after('brown', 'press', 60)],
    progress: {
      ...nothing,
      activities: [
        {
          id: 'brown',
          mode: 'm',
          start: 0,
          end: 90,
          stations: [],
          phases: [{ from: 0, to: 90, cook: 'ana' }],
        },
        {
          id: 'boil',
          mode: 'm',
          start: 50,
          end: null,
          stations: [],
          phases: [{ from: 50, to: null }],
        },
      ],
    },
  })
  const times = firstPlan(problem)
  expect(times.get('press')).toEqual([150, 190])
  expect(times.get('boil')).toEqual([50, 250])
})

it('under way, has what comes before it go on too where drawing out alone is not enough', () => {
  const problem = problemOf({
    ...oven,
    cooks: [{ id: 'ana' }, { id: 'ben' }],
    activities: [
      step('melt', [{ seconds: [30, 80], watch: 10 }, hands(10)]),
      step('mix', [hands(50)]),
      step('build', [{ seconds: [10, 40], hands: {} }]),
      baked('pie', 30),
      baked('bread', 110),
    ],
    // Bread has the oven from 100 to 210, so the pie is built until 160 at least: from 120 at the earliest.
    relations: [after('melt', 'build', 5), after('build', 'pie', 50), after('mix', 'bread', 2)],
    progress: {
      ...nothing,
      activities: [
        {
          id: 'melt',
          mode: 'm',
          start: 60,
          end: null,
          stations: [],
          phases: [{ from: 60, to: null, cook: 'ben' }],
        },
        over('mix', 50, 'ana'),
      ],
    },
  })
  const times = firstPlan(problem)
  expect(times.get('bread')).toEqual([100, 210])
  expect(times.get('build')![1]).toBeGreaterThanOrEqual(160)
  expect(times.get('melt')![1]).toBeGreaterThanOrEqual(115)
  expect(times.get('pie')).toEqual([210, 240])
})

it('under way, leaves an option whose steps come too late', () => {
  const ways = ['a', 'b', 'c', 'd']
  const problem = problemOf({
    stations: ways.map((w) => ({ id: w, kind: w, unavailable: w === 'd' ? [] : [[0, 500]] })),
    activities: [
      step('mix', [hands(50)]),
      ...ways.map((w, k) => step(w, [{ seconds: [40 + k, 90] }], [{ kind: w }])),
    ],
    choices: [{ id: 'way', options: ways.map((w) => ({ id: w, activities: [w], cost: 0 })) }],
    relations: ways.map((w) => after('mix', w, 20)),
    progress: { ...nothing, activities: [over('mix', 50, 'ana')] },
  })
  // Each other option founders once: no luck is needed.
  for (let seed = 1; seed <= 8; seed++) {
    const plan = solve(problem, { iterations: ways.length, seed })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    expect(plan.choices).toEqual({ way: 'd' })
  }
})
