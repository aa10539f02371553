import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readProblem, type Problem, type ProblemInput } from '../../problem'
import type { Plan } from '../schema'
import { breachText, checkPlan } from './index'

type Draft = { -readonly [K in keyof Plan]: Plan[K] }

/** A cook with two boards, a pan that is washed, an oven; two activities that use them. */
function kitchen(change: (p: ProblemInput) => void = () => undefined): Problem {
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: 'small',
    cooks: [{ id: 'ana', attention: 100, skills: ['heat'], unavailable: [[500, 600]] }],
    stations: [
      { id: 'pan', kind: 'pan', size: 28, wash: { seconds: 30 } },
      { id: 'shelf', kind: 'shelf', capacity: 2, unavailable: [[900, 950]] },
      {
        id: 'oven',
        kind: 'oven',
        capacity: 2,
        oven: {
          min: 50,
          max: 250,
          start: 20,
          heatSecondsPerDegree: 1,
          coolSecondsPerDegree: 2,
          methods: ['bake', 'grill'],
        },
      },
    ],
    activities: [
      {
        id: 'fry',
        label: 'Fry',
        hygiene: 'raw',
        modes: [
          {
            id: 'hob',
            needs: [{ kind: 'pan', minSize: 26, contents: 'meat' }],
            phases: [{ seconds: [60, 90], hands: { skill: 'heat', attention: 70 } }],
          },
        ],
      },
      {
        id: 'toast',
        label: 'Toast',
        hygiene: 'ready',
        modes: [
          {
            id: 'hob',
            needs: [{ kind: 'pan', contents: 'bread' }],
            phases: [{ seconds: [40, 40], hands: { attention: 50 } }],
          },
        ],
      },
      {
        id: 'bake',
        label: 'Bake',
        modes: [
          {
            id: 'oven',
            needs: [{ kind: 'oven' }, { kind: 'shelf', amount: 1 }],
            phases: [
              {
                seconds: [100, 120],
                watch: 20,
                heat: { need: 0, celsius: [180, 200], method: 'bake' },
              },
            ],
          },
        ],
      },
    ],
    choices: [],
    relations: [{ from: 'fry', to: 'toast', kind: 'FS', min: 10, max: 400 }],
    holds: [{ id: 'kept', need: { kind: 'shelf' }, from: 'fry', to: 'toast' }],
    hygiene: { raw: { ready: 20 } },
  }
  change(input)
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}

function goodPlan(): Draft {
  return {
    format: 'cadrum/plan@1',
    problem: 'small',
    status: 'feasible',
    makespan: 300,
    bound: 200,
    seed: 1,
    elapsedMs: 0,
    choices: {},
    activities: [
      {
        id: 'fry',
        mode: 'hob',
        start: 0,
        end: 60,
        stations: ['pan'],
        phases: [{ from: 0, to: 60, cook: 'ana' }],
      },
      {
        id: 'toast',
        mode: 'hob',
        start: 130,
        end: 170,
        stations: ['pan'],
        phases: [{ from: 130, to: 170, cook: 'ana' }],
      },
      {
        id: 'bake',
        mode: 'oven',
        start: 200,
        end: 300,
        stations: ['oven', 'shelf'],
        phases: [{ from: 200, to: 300, cook: 'ana' }],
      },
    ],
    holds: [{ id: 'kept', station: 'shelf', from: 0, to: 170 }],
    chores: [{ kind: 'wash', station: 'pan', cook: 'ana', from: 60, to: 90 }],
    heats: [{ station: 'oven', celsius: 190, method: 'bake', from: 200, to: 300 }],
    reasons: [],
  }
}

const rulesBroken = (problem: Problem, plan: Plan) => [
  ...new Set(checkPlan(problem, plan).map((b) => b.rule)),
]
const activity = (plan: Draft, id: string) => plan.activities.find((a) => a.id === id)!
function move(plan: Draft, id: string, by: number) {
  const run = activity(plan, id)
  run.start += by
  run.end += by
  for (const p of run.phases) {
    p.from += by
    p.to += by
  }
}

describe('checkPlan', () => {
  it('finds nothing wrong with a valid plan', () => {
    expect(checkPlan(kitchen(), goodPlan()).map(breachText)).toEqual([])
  })

  it('accepts the worked example', () => {
    const load = (name: string) =>
      JSON.parse(
        readFileSync(new URL(`./example/${name}.json`, import.meta.url), 'utf8'),
      ) as unknown
    const reading = readProblem(load('problem'))
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    expect(checkPlan(reading.value, load('plan') as Plan).map(breachText)).toEqual([])
  })

  const breaks: [string, number, (plan: Draft) => void, ((p: ProblemInput) => void)?][] = [
    [
      'a phase shorter than its least',
      1,
      (p) => {
        activity(p, 'bake').phases[0]!.to = activity(p, 'bake').end = 290
        p.makespan = 290
        p.heats[0]!.to = 290
      },
    ],
    [
      'a phase longer than its most',
      1,
      (p) => {
        activity(p, 'toast').phases[0]!.to = activity(p, 'toast').end = 172
        p.holds[0]!.to = 172
      },
    ],
    ['a gap between phases', 1, (p) => void (activity(p, 'bake').phases[0]!.from = 201)],
    [
      'an activity that is missing',
      1,
      (p) => void ((p.activities = p.activities.slice(0, 2)), (p.makespan = 170)),
    ],
    ['an activity planned twice', 1, (p) => void p.activities.push(p.activities[2]!)],
    ['a mode that is not there', 1, (p) => void (activity(p, 'bake').mode = 'raw')],
    ['a start before its release', 1, () => undefined, (p) => void (p.activities[0]!.release = 5)],
    ['an end after it is due', 1, () => undefined, (p) => void (p.activities[2]!.due = 299)],
    ['an end after the deadline', 1, () => undefined, (p) => void (p.deadline = 250)],
    [
      'a pinned start missed',
      1,
      () => undefined,
      (p) => void (p.pins = [{ activity: 'fry', start: [5, 9] }]),
    ],
    [
      'a pinned cook missed',
      1,
      () => undefined,
      (p) => {
        p.cooks.push({ id: 'bo' })
        p.pins = [{ activity: 'fry', cook: 'bo' }]
      },
    ],
    [
      'an option that is not taken',
      1,
      (p) => void (p.choices = { way: 'b' }),
      (p) =>
        void (p.choices = [
          {
            id: 'way',
            options: [
              { id: 'a', activities: ['bake'] },
              { id: 'b', activities: [] },
            ],
          },
        ]),
    ],
    [
      'no option of a choice',
      1,
      () => undefined,
      (p) => void (p.choices = [{ id: 'way', options: [{ id: 'a', activities: [] }] }]),
    ],
    ['a wait too short', 2, () => undefined, (p) => void (p.relations![0]!.min = 71)],
    ['a wait too long', 2, () => undefined, (p) => void (p.relations![0]!.max = 69)],
    [
      'ends out of step',
      2,
      () => undefined,
      (p) => void p.relations!.push({ from: 'fry', to: 'bake', kind: 'FF', max: 200 }),
    ],
    ['a station of another kind', 3, (p) => void (activity(p, 'bake').stations = ['oven', 'pan'])],
    ['a station too small', 3, () => undefined, (p) => void (p.stations[0]!.size = 24)],
    [
      'a station without the tag',
      3,
      () => undefined,
      (p) => void (p.activities[2]!.modes[0]!.needs![1] = { kind: 'shelf', tags: ['low'] }),
    ],
    [
      'a station over its capacity',
      3,
      () => undefined,
      (p) => void (p.activities[2]!.modes[0]!.needs![1] = { kind: 'shelf', amount: 3 }),
    ],
    ['a station taken while away', 3, (p) => void move(p, 'bake', 700), undefined],
    ['a hold that is missing', 3, (p) => void (p.holds = [])],
    ['a hold that ends early', 3, (p) => void (p.holds[0]!.to = 160)],
    [
      'two at one pan',
      3,
      (p) => {
        move(p, 'toast', -100)
        p.holds[0]!.to = 70
      },
    ],
    [
      'two things in one pair of hands',
      4,
      (p) => {
        p.chores[0]!.from = 50
        p.chores[0]!.to = 90
      },
    ],
    ['a skill that is missing', 4, () => undefined, (p) => void (p.cooks[0]!.skills = [])],
    [
      'a cook who is away',
      4,
      (p) => {
        move(p, 'bake', 250)
        p.heats[0]!.from += 250
        p.heats[0]!.to += 250
        p.makespan = 550
      },
    ],
    [
      'more attention than there is',
      4,
      (p) => {
        move(p, 'bake', -40)
        p.heats[0]!.from -= 40
        p.makespan = 260
      },
      (p) => void (p.activities[2]!.modes[0]!.phases[0]!.watch = 60),
    ],
    ['no cook where one is wanted', 4, (p) => void delete activity(p, 'fry').phases[0]!.cook],
    ['a cook nobody knows', 4, (p) => void (activity(p, 'fry').phases[0]!.cook = 'zoe')],
    [
      'hands not washed',
      5,
      (p) => {
        move(p, 'toast', -35)
        p.holds[0]!.to = 135
        p.chores[0]!.from = 62
        p.chores[0]!.to = 92
      },
    ],
    ['a pan not washed', 6, (p) => void (p.chores = [])],
    ['a wash too short', 6, (p) => void (p.chores[0]!.to = 85)],
    ['an oven out of its range', 7, () => undefined, (p) => void (p.stations[2]!.oven!.max = 185)],
    [
      'an oven still cold',
      7,
      () => undefined,
      (p) => void (p.stations[2]!.oven!.heatSecondsPerDegree = 2),
    ],
    ['an oven at another heat', 7, (p) => void (p.heats[0]!.celsius = 170)],
    ['an oven with another method', 7, (p) => void (p.heats[0]!.method = 'grill')],
    ['a heat that ends early', 7, (p) => void (p.heats[0]!.to = 280)],
    [
      'two heats without time between',
      7,
      (p) =>
        void p.heats.push({ station: 'oven', celsius: 210, method: 'bake', from: 305, to: 310 }),
    ],
    ['a makespan that is wrong', 8, (p) => void (p.makespan = 299)],
    ['a bound above the makespan', 8, (p) => void (p.bound = 301)],
    ['an optimum without proof', 8, (p) => void (p.status = 'optimal')],
    ['an infeasible plan with activities', 8, (p) => void (p.status = 'infeasible')],
  ]
  it.each(breaks)('sees %s (rule %i)', (_, rule, change, adapt) => {
    const problem = kitchen(adapt)
    const plan = goodPlan()
    change(plan)
    expect(rulesBroken(problem, plan)).toContain(rule)
  })

  it('wants hands free for as long as washing takes, to the second and at a stretch', () => {
    const broken = (seconds: number, chore: [number, number]) => {
      const plan = goodPlan()
      plan.chores[0]!.from = chore[0]
      plan.chores[0]!.to = chore[1]
      return rulesBroken(
        kitchen((p) => void (p.hygiene = { raw: { ready: seconds } })),
        plan,
      )
    }
    // Frying ends at 60 and toasting begins at 130.
    expect(broken(40, [60, 90])).toEqual([])
    expect(broken(41, [60, 90])).toEqual([5])
    expect(broken(20, [80, 110])).toEqual([])
    expect(broken(21, [80, 110])).toEqual([5])
    expect(broken(40, [100, 130])).toEqual([])
    expect(broken(41, [100, 130])).toEqual([5])
  })

  it('lets the same contents follow each other unwashed, and honours `between`', () => {
    const plan = goodPlan()
    plan.chores = []
    const same = kitchen((p) => void (p.activities[1]!.modes[0]!.needs![0]!.contents = 'meat'))
    expect(rulesBroken(same, plan)).toEqual([])
    const none = kitchen((p) => void (p.stations[0]!.wash!.between = { meat: { bread: 0 } }))
    expect(rulesBroken(none, plan)).toEqual([])
    const other = kitchen((p) => void (p.stations[0]!.wash!.between = { bread: { meat: 0 } }))
    expect(rulesBroken(other, plan)).toEqual([6])
  })

  it('names activity, rule and times in the text of a breach', () => {
    const plan = goodPlan()
    plan.chores = []
    const text = checkPlan(kitchen(), plan).map(breachText).join('\n')
    expect(text).toMatch(/rule 6: toast \[60, 130\]: .*"pan".*"fry"/)
  })

  it('does not count what runs on aside into the makespan', () => {
    const problem = kitchen((p) => void (p.activities[2]!.aside = true))
    const plan = goodPlan()
    plan.makespan = 170
    plan.bound = 170
    expect(rulesBroken(problem, plan)).toEqual([])
  })
})
