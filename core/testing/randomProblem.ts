import { readProblem, type Problem, type ProblemInput } from '../problem'
import { below, seeded } from '../solver'

type ActivityInput = ProblemInput['activities'][number]

/**
 * A small problem that may use any feature of the contract, the same for the same seed. Most
 * are feasible, some are not; all are usable. For property tests.
 */
export function randomProblem(seed: number, size = 8): Problem {
  const random = seeded(seed * 2654435761)
  const chance = (p: number) => random() < p
  const int = (from: number, to: number) => from + below(random, to - from + 1)
  const oneOf = <T>(list: readonly T[]): T => list[below(random, list.length)]!
  const classes = ['raw', 'ready', 'produce', 'neutral']

  const cooks: ProblemInput['cooks'] = Array.from({ length: int(1, 2) }, (_, i) => ({
    id: `c${i}`,
    attention: oneOf([60, 100, 100, 120]),
    ...(chance(0.3) ? { skills: i === 0 ? ['knife', 'heat'] : ['heat'] } : {}),
    unavailable: chance(0.3) ? [[int(5, 20), int(21, 40)]] : [],
  }))
  const stations: ProblemInput['stations'] = [
    { id: 'b0', kind: 'burner' },
    ...(chance(0.6) ? [{ id: 'b1', kind: 'burner', tags: ['large'] }] : []),
    {
      id: 'oven',
      kind: 'oven',
      capacity: int(1, 2),
      unavailable: chance(0.2) ? [[int(10, 20), int(20, 30)]] : [],
      oven: {
        min: 50,
        max: 250,
        start: oneOf([20, 100]),
        heatSecondsPerDegree: oneOf([0.02, 0.05]),
        coolSecondsPerDegree: oneOf([0.05, 0.13]),
        methods: ['bake', 'grill'],
      },
    },
    {
      id: 'pan',
      kind: 'pan',
      size: 24,
      wash: { seconds: int(1, 4), ...(chance(0.3) ? { skill: 'heat' } : {}) },
    },
    ...(chance(0.5)
      ? [
          {
            id: 'pan2',
            kind: 'pan',
            size: 28,
            wash: { seconds: 3, between: { a: { b: 0 }, b: { a: 5 } } },
          },
        ]
      : []),
    { id: 'pot', kind: 'pot', size: 5 },
    { id: 'fridge', kind: 'fridge', capacity: 4 },
  ]

  const phase = (kind: 'hands' | 'watch' | 'wait' | 'heat', oven: number) => {
    const least = int(0, 9)
    const seconds: [number, number | null] = [
      least,
      chance(0.15) ? null : least + (chance(0.5) ? int(0, 6) : 0),
    ]
    if (kind === 'hands')
      return {
        seconds,
        hands: {
          attention: oneOf([40, 60, 90]),
          ...(chance(0.4) ? { skill: oneOf(['knife', 'heat']) } : {}),
        },
      }
    if (kind === 'watch') return { seconds, watch: oneOf([10, 30, 50]) }
    if (kind === 'wait' || oven < 0) return { seconds }
    const low = oneOf([100, 160, 180, 200])
    return {
      seconds,
      ...(chance(0.3) ? { watch: 10 } : {}),
      heat: {
        need: oven,
        celsius: [low, low + oneOf([0, 10, 30])] as [number, number],
        method: chance(0.8) ? 'bake' : 'grill',
      },
    }
  }
  const mode = (id: string): ActivityInput['modes'][number] => {
    const needs: NonNullable<ActivityInput['modes'][number]['needs']> = []
    if (chance(0.35)) needs.push({ kind: 'burner' })
    if (chance(0.35))
      needs.push({ kind: 'pan', ...(chance(0.6) ? { contents: oneOf(['a', 'b']) } : {}) })
    if (chance(0.15)) needs.push({ kind: 'fridge', amount: int(1, 3) })
    const bakes = chance(0.35)
    if (bakes) needs.push({ kind: 'oven' })
    const oven = bakes ? needs.length - 1 : -1
    const phases = Array.from({ length: int(1, 3) }, () =>
      phase(oneOf(['hands', 'hands', 'watch', 'wait'] as const), oven),
    )
    if (bakes) phases.splice(int(0, phases.length), 0, phase('heat', oven))
    if (bakes && chance(0.2)) phases.push({ seconds: [0, 20] }, phase('heat', oven))
    return { id, needs, phases }
  }
  const n = int(Math.max(2, size - 4), size)
  const activities: ActivityInput[] = Array.from({ length: n }, (_, i) => ({
    id: `a${i}`,
    dish: `d${i % 3}`,
    label: `Step ${i}`,
    hygiene: oneOf(classes),
    ...(chance(0.1) ? { release: int(0, 20) } : {}),
    ...(chance(0.06) ? { due: int(60, 200) } : {}),
    ...(chance(0.06) ? { aside: true } : {}),
    modes: Array.from({ length: chance(0.25) ? 2 : 1 }, (_, k) => mode(`m${k}`)),
  }))

  const choices: NonNullable<ProblemInput['choices']> = []
  if (n >= 4 && chance(0.5))
    choices.push({
      id: 'way',
      options: [
        { id: 'one', activities: ['a1'], cost: int(0, 3) },
        { id: 'two', activities: chance(0.5) ? ['a2', 'a3'] : ['a1', 'a2'] },
        ...(chance(0.3) ? [{ id: 'none', activities: [], cost: 5 }] : []),
      ],
    })
  const relations: NonNullable<ProblemInput['relations']> = []
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      if (!chance(0.22)) continue
      const kind = chance(0.75) ? 'FS' : oneOf(['SS', 'FF', 'SF'] as const)
      const min = chance(0.7) ? 0 : int(-3, 6)
      relations.push({
        from: `a${i}`,
        to: `a${j}`,
        kind,
        min,
        ...(chance(0.3) ? { max: min + int(0, 25) } : {}),
      })
    }
  const holds: NonNullable<ProblemInput['holds']> = []
  if (chance(0.4)) {
    const from = int(0, n - 1)
    holds.push({
      id: 'h0',
      need: oneOf([
        { kind: 'pot', contents: 'a' },
        { kind: 'pan', contents: 'a' },
        { kind: 'fridge', amount: 2 },
      ]),
      from: `a${from}`,
      to: chance(0.2) ? null : `a${int(from, n - 1)}`,
    })
  }
  if (chance(0.2)) holds.push({ id: 'h1', need: { kind: 'pot' }, from: 'a0', to: `a${n - 1}` })
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: `random ${seed}`,
    cooks,
    stations,
    activities,
    choices,
    relations,
    holds,
    hygiene: chance(0.6)
      ? { raw: { ready: 3, produce: 2, ...(chance(0.2) ? { raw: 1 } : {}) }, produce: { ready: 1 } }
      : {},
    ...(chance(0.1) ? { deadline: int(60, 160) } : {}),
    ...(chance(0.1)
      ? { pins: [{ activity: 'a0', start: [0, int(0, 30)] as [number, number] }] }
      : {}),
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
