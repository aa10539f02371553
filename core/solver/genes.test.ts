import { describe, expect, it } from 'vitest'
import { randomProblem } from '../testing/randomProblem'
import { everyFeature } from '../../bench/everyFeature'
import { buildModel } from './buildModel'
import { Construction } from './construction'
import { planBody } from './emit'
import { emptyGenes, followBody, takeDown } from './genes'
import { seeded } from './random'
import { Schedule } from './schedule'
import type { Problem } from '../problem'

/** Schedules of a problem by its priority rules, as plans, each with what following it gives. */
function followed(problem: Problem) {
  const model = buildModel(problem)
  const schedule = new Schedule(model)
  const construction = new Construction(model, seeded(1))
  const genes = emptyGenes(model)
  const again = emptyGenes(model)
  const out: { first: ReturnType<typeof planBody>; second: typeof first | undefined }[] = []
  let first: ReturnType<typeof planBody>
  for (let k = 0; k < construction.length; k++) {
    construction.next(k, genes, genes)
    if (!schedule.decode(genes)) continue
    first = planBody(model, schedule)
    followBody(again, model, first)
    out.push({ first, second: schedule.decode(again) ? planBody(model, schedule) : undefined })
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
    const schedule = new Schedule(model)
    const genes = emptyGenes(model)
    new Construction(model, seeded(1)).next(0, genes, genes)
    expect(schedule.decode(genes)).toBe(true)
    const down = emptyGenes(model)
    takeDown(down, schedule)
    const followedGenes = emptyGenes(model)
    followBody(followedGenes, model, planBody(model, schedule))
    model.activities.forEach((a) => {
      if (!schedule.present[a.index]) return
      expect(down.priority[a.index]).toBe(followedGenes.priority[a.index])
      expect([...down.at.slice(2 * a.index, 2 * a.index + 2)]).toEqual([
        ...followedGenes.floor.slice(2 * a.index, 2 * a.index + 2),
      ])
    })
    expect([...down.cook]).toEqual([...followedGenes.cook])
    expect(down.washes).toEqual(followedGenes.washes)
  })
})
