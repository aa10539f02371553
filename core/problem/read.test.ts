import { describe, expect, it } from 'vitest'
import { ownValue, readProblem, type ProblemInput } from './index'

const small = (): ProblemInput => ({
  format: 'cadrum/problem@1',
  name: 'small',
  cooks: [{ id: 'ana' }],
  stations: [{ id: 'hob', kind: 'burner' }],
  activities: [
    {
      id: 'boil',
      label: 'Boil',
      modes: [{ id: 'm', needs: [{ kind: 'burner' }], phases: [{ seconds: [1, 2] }] }],
    },
  ],
})

const issuesOf = (input: unknown) => {
  const reading = readProblem(input)
  return reading.ok ? [] : reading.issues.map((i) => `${i.path}: ${i.message} (${i.allowed})`)
}
const changed = (change: (p: ProblemInput & Record<string, unknown>) => void) => {
  const input = small() as ProblemInput & Record<string, unknown>
  change(input)
  return issuesOf(input)
}

describe('readProblem', () => {
  it('fills in the defaults of the contract', () => {
    const reading = readProblem(small())
    expect(reading.ok && reading.value).toMatchObject({
      cooks: [{ attention: 100, unavailable: [] }],
      stations: [{ capacity: 1, tags: [] }],
      activities: [{ hygiene: 'neutral', aside: false }],
      objective: ['makespan', 'handsFree', 'handsSpread'],
    })
  })

  it('refuses unknown fields with the path of the field', () => {
    expect(changed((p) => void (p.colour = 'red'))).toEqual([
      'colour: unknown field (only the fields of the format)',
    ])
    expect(
      changed((p) => void Object.assign(p.activities[0]!.modes[0]!.phases[0]!, { power: 3 })),
    ).toEqual([
      'activities[0].modes[0].phases[0].power: unknown field (only the fields of the format)',
    ])
  })

  const wrong: [string, (p: ProblemInput) => void, RegExp][] = [
    ['another format', (p) => void ((p.format as string) = 'x'), /^format: .*cadrum\/problem@1/],
    ['a negative time', (p) => void (p.activities[0]!.release = -1), /^activities\[0\]\.release/],
    ['a fraction of a second', (p) => void (p.deadline = 1.5), /^deadline/],
    [
      'a most below the least',
      (p) => void (p.activities[0]!.modes[0]!.phases[0]!.seconds = [3, 2]),
      /phases\[0\]\.seconds: the most is below the least/,
    ],
    ['no mode', (p) => void (p.activities[0]!.modes = []), /^activities\[0\]\.modes/],
    ['an id twice', (p) => void p.cooks.push({ id: 'ana' }), /^cooks\[1\]\.id: "ana" stands twice/],
    [
      'a relation to nothing',
      (p) => void (p.relations = [{ from: 'boil', to: 'fry', kind: 'FS' }]),
      /^relations\[0\]\.to: there is no activity "fry"/,
    ],
    [
      'a wait that ends before it begins',
      (p) => void (p.relations = [{ from: 'boil', to: 'boil', kind: 'SS', min: 5, max: 4 }]),
      /^relations\[0\]\.max/,
    ],
    [
      'a hold of nothing',
      (p) => void (p.holds = [{ id: 'h', need: { kind: 'pot' }, from: 'x', to: null }]),
      /^holds\[0\]\.from/,
    ],
    [
      'hands and watch at once',
      (p) => void Object.assign(p.activities[0]!.modes[0]!.phases[0]!, { hands: {}, watch: 5 }),
      /watch: a phase takes hands or a watch/,
    ],
    [
      'a heat on a burner',
      (p) =>
        void (p.activities[0]!.modes[0]!.phases[0]!.heat = {
          need: 0,
          celsius: [100, 120],
          method: 'bake',
        }),
      /heat\.need: no "burner" has an oven/,
    ],
    [
      'a heat on no need',
      (p) =>
        void (p.activities[0]!.modes[0]!.phases[0]!.heat = {
          need: 4,
          celsius: [100, 120],
          method: 'bake',
        }),
      /heat\.need: the mode has no such need/,
    ],
    [
      'washing something that holds two',
      (p) => void Object.assign(p.stations[0]!, { capacity: 2, wash: { seconds: 3 } }),
      /^stations\[0\]\.wash/,
    ],
    [
      'an absence that ends before it begins',
      (p) => void (p.cooks[0]!.unavailable = [[5, 3]]),
      /^cooks\[0\]\.unavailable\[0\]/,
    ],
    [
      'a pin on nobody',
      (p) => void (p.pins = [{ activity: 'boil', cook: 'zoe' }]),
      /^pins\[0\]\.cook/,
    ],
    [
      'an activity in two choices',
      (p) =>
        void (p.choices = ['a', 'b'].map((id) => ({
          id,
          options: [{ id: 'o', activities: ['boil'] }],
        }))),
      /^choices\[1\].*belongs to choice "a" already/,
    ],
  ]
  it.each(wrong)('refuses %s, saying where', (_, change, expected) => {
    const found = changed(change)
    expect(found).toHaveLength(1)
    expect(found[0]).toMatch(expected)
  })

  it('lets two options of one choice share an activity', () => {
    const options = ['a', 'b'].map((id) => ({ id, activities: ['boil'] }))
    expect(changed((p) => void (p.choices = [{ id: 'c', options }]))).toEqual([])
  })

  it.each([null, 3, 'x', [], {}, { format: 'cadrum/problem@1' }])('refuses %j', (input) => {
    expect(issuesOf(input).length).toBeGreaterThan(0)
  })

  it('keeps names that every object answers to', () => {
    const step = (id: string, hygiene: string) => ({
      id,
      label: id,
      hygiene,
      modes: [{ id: 'm', needs: [], phases: [{ seconds: [1, 1] }] }],
    })
    const file = JSON.stringify({
      format: 'cadrum/problem@1',
      name: 'awkward',
      cooks: [{ id: 'toString' }],
      stations: [],
      activities: [step('constructor', '__proto__'), step('valueOf', 'constructor')],
      choices: [{ id: '__proto__', options: [{ id: 'valueOf', activities: ['valueOf'] }] }],
      hygiene: { ['__proto__']: { constructor: 7 } },
      progress: {
        now: 0,
        choices: { ['__proto__']: 'valueOf' },
        activities: [],
        holds: [],
        chores: [],
        heats: [],
      },
    })
    const reading = readProblem(JSON.parse(file))
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { hygiene, progress } = reading.value
    expect(ownValue(ownValue(hygiene, '__proto__'), 'constructor')).toBe(7)
    expect(ownValue(hygiene, 'toString')).toBeUndefined()
    expect(ownValue(progress!.choices, '__proto__')).toBe('valueOf')
    expect(JSON.parse(JSON.stringify(reading.value))).toEqual(reading.value)
  })

  it('refuses in words what no time asked for would be enough for', () => {
    const step = (id: string, seconds: number) => ({
      id,
      label: id,
      modes: [{ id: 'm', needs: [], phases: [{ seconds: [seconds, seconds] }] }],
    })
    const words = (rest: object) => {
      const reading = readProblem({
        format: 'cadrum/problem@1',
        name: 'huge',
        cooks: [],
        stations: [],
        activities: [],
        ...rest,
      })
      return reading.ok ? '' : reading.issues.map((i) => `${i.path}: ${i.message}`).join()
    }
    const stations = Array.from({ length: 5000 }, (_, i) => ({ id: `s${i}`, kind: 'pan' }))
    expect(words({ stations })).toBe('stations: is too large or too long')
    const activities = Array.from({ length: 40 }, (_, i) => step(`a${i}`, 9_999_999))
    expect(words({ activities })).toMatch(/^activities: take 399999960 s/)
    expect(words({ activities: activities.slice(0, 10) })).toBe('')
  })
})
