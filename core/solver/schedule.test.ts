import { expect, it } from 'vitest'
import { randomProblem } from '../testing/randomProblem'
import { buildModel } from './buildModel'
import { emptyGenes } from './genes'
import { Schedule } from './schedule'

it('gives up what takes more attempts than it may, and comes out the same where they suffice', () => {
  let tangled = 0
  for (let seed = 1; seed <= 300; seed++) {
    const model = buildModel(randomProblem(seed, 12))
    const schedule = new Schedule(model)
    const genes = emptyGenes(model)
    model.choices.forEach((c, k) => {
      genes.option[k] = Math.max(
        0,
        c.options.findIndex((o) => o.possible),
      )
    })
    const decode = (attempts?: number) => {
      const before = schedule.work
      const out = schedule.decode(genes, attempts)
      return { out, work: schedule.work - before, starts: out ? schedule.start.join() : '' }
    }
    const free = decode()
    if (!free.out) continue
    expect(decode(free.work)).toEqual(free)
    const held = decode(0)
    if (held.out) expect(held).toEqual(free)
    else {
      tangled++
      expect(held.work).toBeLessThanOrEqual(free.work)
    }
  }
  expect(tangled).toBeGreaterThan(10)
})
