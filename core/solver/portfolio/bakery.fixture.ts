import { readProblem, type Problem, type ProblemInput } from '../../problem'

export interface Bake {
  seconds: number
  celsius: [number, number]
  amount?: number
  method?: string
  load?: number
}

/** So many bakes with nothing else to do, in ovens of these capacities that stand at 20 °C. */
export function bakery(bakes: Bake[], capacities = [2], rate = 0): Problem {
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: 'bakery',
    cooks: [{ id: 'cook' }],
    stations: capacities.map((capacity, i) => ({
      id: `oven${i}`,
      kind: 'oven',
      capacity,
      oven: {
        min: 20,
        max: 250,
        start: 20,
        heatSecondsPerDegree: rate,
        coolSecondsPerDegree: rate,
        methods: ['bake', 'grill'],
      },
    })),
    activities: bakes.map(({ seconds, celsius, amount = 1, method = 'bake', load = 0 }, i) => ({
      id: `bake${i}`,
      label: `Bake ${i}`,
      modes: [
        {
          id: 'oven',
          needs: [{ kind: 'oven', amount }],
          phases: [
            ...(load ? [{ seconds: [load, load] as [number, number] }] : []),
            {
              seconds: [seconds, seconds] as [number, number],
              heat: { need: 0, celsius, method },
            },
          ],
        },
      ],
    })),
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
