import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { compareValues } from '../../plan'
import { objectiveName, type Problem } from '../../problem'
import { randomProblem } from '../../testing/randomProblem'
import { buildModel } from '../model/buildModel'
import { planFromSchedule } from './planFromSchedule'
import { emptyEncoding } from './encoding'
import { SerialSchedule } from './serialScheduleGeneration'
import { valuesOfBody } from '../model/objective'
import { valuesOfSchedule } from './scheduleObjective'

const ALL = objectiveName.options

/** Both ways to count the values of a schedule put together from any encoding; undefined: none. */
function bothWays(problem: Problem, seed: number) {
  const model = buildModel({ ...problem, objective: ALL })
  const schedule = new SerialSchedule(model)
  const encoding = emptyEncoding(model)
  encoding.priority.forEach((_, i) => (encoding.priority[i] = ((i + 1) * 7919 * seed) % 1009))
  model.choices.forEach((c, k) => {
    encoding.option[k] = Math.max(
      0,
      c.options.findIndex((o) => o.possible),
    )
  })
  if (!schedule.decode(encoding)) return undefined
  return {
    plain: valuesOfSchedule(model, schedule),
    body: valuesOfBody(model, planFromSchedule(model, schedule)),
  }
}

describe('the values of a schedule', () => {
  it('are those of its plan, for every objective', () => {
    let seen = 0
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = randomProblem(seed, 8)
        if (problem.progress) return
        const values = bothWays(problem, seed)
        if (!values) return
        seen++
        expect(values.plain.map((v) => v + 0)).toEqual(values.body.map((v) => v + 0))
      }),
      { numRuns: 200 },
    )
    expect(seen).toBeGreaterThan(50)
    for (let seed = 1; seed <= 3; seed++) {
      const values = bothWays(everyFeature(6, seed), seed)!
      expect(values.plain).toEqual(values.body)
      expect(values.plain[0]).toBeGreaterThan(0)
    }
  })

  it('are compared in their order', () => {
    expect(compareValues([10, 5], [10, 7])).toBeLessThan(0)
    expect(compareValues([11, 0], [10, 7])).toBeGreaterThan(0)
    expect(compareValues([10, 7], [10, 7])).toBe(0)
  })
})
