import { expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { readProblem, type ProblemInput } from '../../problem'
import { balancedOptions } from './balancedOptions'
import { buildModel } from '../model/buildModel'
import { contradiction } from '../bounds/rootProof'
import { priorityRules } from './priorityRules'
import { seeded } from '../structures/random'

type Way = [kind: string, seconds: number]

/** Dishes that can each be cooked in one of several ways, with nothing else to do. */
function modelOf(dishes: Way[][], stations: string[]) {
  const id = (d: number, w: number) => `dish${d}-way${w}`
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: 'ways',
    cooks: [{ id: 'cook' }],
    stations: stations.map((kind, i) => ({ id: `${kind}${i}`, kind })),
    activities: dishes.flatMap((ways, d) =>
      ways.map(([kind, seconds], w) => ({
        id: id(d, w),
        label: id(d, w),
        modes: [
          {
            id: 'mode',
            needs: [{ kind }],
            phases: [{ seconds: [seconds, seconds] as [number, number] }],
          },
        ],
      })),
    ),
    choices: dishes.map((ways, d) => ({
      id: `dish${d}`,
      options: ways.map((_, w) => ({ id: `way${w}`, activities: [id(d, w)] })),
    })),
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return buildModel(reading.value)
}
const chosen = (model: ReturnType<typeof modelOf>) => {
  contradiction(model)
  const possible = model.choices.map((c) => c.options.flatMap((o, j) => (o.possible ? [j] : [])))
  return [...balancedOptions(model, possible)]
}

it('takes the way that is over soonest, whatever it stands on', () => {
  const model = modelOf(
    [
      [
        ['slow', 900],
        ['pot', 500],
      ],
    ] as Way[][],
    ['slow', 'slow', 'slow', 'pot'],
  )
  expect(chosen(model)).toEqual([1])
})

it('spreads dishes over what there is rather than queue them where each alone is quickest', () => {
  const way: Way[] = [
    ['pressure', 300],
    ['oven', 500],
  ]
  expect(chosen(modelOf([way, way, way], ['pressure', 'oven', 'oven']))).toEqual([0, 1, 1])
})

it('leaves out ways that nothing can serve', () => {
  const ways: Way[] = [
    ['nowhere', 10],
    ['pot', 300],
  ]
  expect(chosen(modelOf([ways], ['pot']))).toEqual([1])
})

it('gives rules their times from what is taken, where all ways together contradict each other', () => {
  for (const seed of [1, 2, 3]) {
    const problem = everyFeature(18, seed)
    const model = buildModel(problem)
    const rules = priorityRules(model, chosen(model))
    const longest = Math.max(...rules.get('tail')!(seeded(1)).map((x) => -x))
    // All waits and durations one after another take far longer than any chain of steps.
    const sum = model.activities.reduce((total, a) => total + a.min, 0)
    expect(longest).toBeGreaterThan(3600)
    expect(longest).toBeLessThan(sum / 3)
    const starts = rules.get('early')!(seeded(1))
    expect(new Set(starts).size).toBeGreaterThan(model.activities.length / 3)
  }
})
