import { describe, expect, it } from 'vitest'
import { readProblem, type ProblemInput } from '../problem'
import { bakeTimes } from './bakeOrder'
import { buildModel } from './buildModel'

/** Bakes of so many seconds at so many degrees, in one oven with room for two. */
function bakery(...bakes: [seconds: number, celsius: number, amount?: number][]) {
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: 'bakery',
    cooks: [],
    stations: [
      {
        id: 'oven',
        kind: 'oven',
        capacity: 2,
        oven: {
          min: 20,
          max: 250,
          start: 20,
          heatSecondsPerDegree: 1,
          coolSecondsPerDegree: 1,
          methods: ['bake'],
        },
      },
    ],
    activities: [
      ...bakes.map(([seconds, celsius, amount = 1], i) => ({
        id: `bake${i}`,
        label: `Bake ${i}`,
        modes: [
          {
            id: 'oven',
            needs: [{ kind: 'oven', amount }],
            phases: [
              {
                seconds: [seconds, seconds] as [number, number],
                heat: {
                  need: 0,
                  celsius: [celsius, celsius + 10] as [number, number],
                  method: 'bake',
                },
              },
            ],
          },
        ],
      })),
      { id: 'rest', label: 'Rest', modes: [{ id: 'm', phases: [{ seconds: [60, 60] }] }] },
    ],
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return buildModel(reading.value)
}

describe('bakeTimes', () => {
  it('bakes at one temperature together, as many as fit, and then at the next', () => {
    const model = bakery([600, 200], [500, 160], [400, 165], [300, 170])
    const upwards = bakeTimes(
      model,
      (i) => i,
      (celsius) => celsius,
    )
    // 160, 165 and 170 agree on 170: two at once and the third when one is done; then 200.
    expect(upwards).toEqual([700, 0, 0, 400, undefined])
    const downwards = bakeTimes(
      model,
      (i) => i,
      (celsius) => -celsius,
    )
    expect(downwards).toEqual([0, 600, 600, 1000, undefined])
  })

  it('puts what is urgent first, and what takes the whole oven alone', () => {
    const model = bakery([600, 200], [500, 200, 2], [400, 200])
    expect(
      bakeTimes(
        model,
        (i) => -i,
        () => 0,
      ),
    ).toEqual([900, 400, 0, undefined])
  })
})
