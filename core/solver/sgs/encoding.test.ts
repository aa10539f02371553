import { describe, expect, it } from 'vitest'
import { randomProblem } from '../../testing/randomProblem'
import { everyFeature } from '../../../bench/everyFeature'
import { buildModel } from '../model/buildModel'
import { Construction } from '../construct/construction'
import { planFromSchedule } from './planFromSchedule'
import { emptyEncoding, encodePlan } from './encoding'
import { seeded } from '../structures/random'
import { SerialSchedule } from './serialScheduleGeneration'
import type { Problem } from '../../problem'
import { encodeSchedule } from './encodeSchedule'

/** Schedules of a problem by its priority rules, as plans, each with what following it gives. */
function followed(problem: Problem) {
  const model = buildModel(problem)
  const schedule = new SerialSchedule(model)
  const construction = new Construction(model, seeded(1))
  const encoding = emptyEncoding(model)
  const again = emptyEncoding(model)
  const out: { first: ReturnType<typeof planFromSchedule>; second: typeof first | undefined }[] = []
  let first: ReturnType<typeof planFromSchedule>
  for (let k = 0; k < construction.length; k++) {
    construction.next(k, encoding, encoding)
    if (!schedule.decode(encoding)) continue
    first = planFromSchedule(model, schedule)
    encodePlan(again, model, first)
    out.push({
      first,
      second: schedule.decode(again) ? planFromSchedule(model, schedule) : undefined,
    })
  }
  return out
}

describe('following a schedule', () => {
  it('leads to the same schedule again, washing and cooks and stations and all', () => {
    const pairs = Array.from({ length: 150 }, (_, i) => followed(randomProblem(i + 1))).flat()
    expect(pairs.length).toBeGreaterThan(500)
    const same = pairs.filter((p) => JSON.stringify(p.first) === JSON.stringify(p.second))
    // A wish is only heard where it costs no time: hands in the middle of a step may differ.
    expect(same.length / pairs.length).toBeGreaterThan(0.95)
  })

  it('does so for whole sessions with every feature', () => {
    const pairs = [1, 2, 3].flatMap((seed) => followed(everyFeature(9, seed)))
    const same = pairs.filter((p) => p.second?.makespan === p.first.makespan)
    expect(pairs.length).toBeGreaterThan(40)
    expect(same.length / pairs.length).toBeGreaterThan(0.95)
  })

  it('takes down the same wishes from the schedule as from the plan', () => {
    const model = buildModel(everyFeature(4, 1))
    const schedule = new SerialSchedule(model)
    const encoding = emptyEncoding(model)
    new Construction(model, seeded(1)).next(0, encoding, encoding)
    expect(schedule.decode(encoding)).toBe(true)
    const down = emptyEncoding(model)
    encodeSchedule(down, schedule)
    const followed = emptyEncoding(model)
    encodePlan(followed, model, planFromSchedule(model, schedule))
    model.activities.forEach((a) => {
      if (!schedule.present[a.index]) return
      expect(down.priority[a.index]).toBe(followed.priority[a.index])
      expect([...down.at.slice(2 * a.index, 2 * a.index + 2)]).toEqual([
        ...followed.floor.slice(2 * a.index, 2 * a.index + 2),
      ])
    })
    expect([...down.cook]).toEqual([...followed.cook])
    expect(down.washes).toEqual(followed.washes)
  })
})
