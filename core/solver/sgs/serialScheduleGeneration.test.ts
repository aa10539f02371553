import { expect, it, vi } from 'vitest'
import { randomProblem } from '../../testing/randomProblem'
import { buildModel } from '../model/buildModel'
import { emptyEncoding } from './encoding'
import { SerialSchedule } from './serialScheduleGeneration'
import { Search } from '../portfolio/search'
import { solve } from '../portfolio/solve'

it('gives up what takes more attempts than it may, and comes out the same where they suffice', () => {
  let tangled = 0
  for (let seed = 1; seed <= 300; seed++) {
    const model = buildModel(randomProblem(seed, 12))
    const schedule = new SerialSchedule(model)
    const encoding = emptyEncoding(model)
    model.choices.forEach((c, k) => {
      encoding.option[k] = Math.max(
        0,
        c.options.findIndex((o) => o.possible),
      )
    })
    const decode = (attempts?: number) => {
      const before = schedule.work
      const out = schedule.decode(encoding, attempts)
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

it('what a kept plan takes to follow does not limit the schedules after it', () => {
  const decode = vi.spyOn(SerialSchedule.prototype, 'decode')
  let tried = 0
  for (let seed = 1; seed <= 40; seed++) {
    const problem = randomProblem(seed, 12)
    const plan = solve(problem, { iterations: 20, seed: 1 })
    if (!plan.activities.length) continue
    decode.mockClear()
    const search = new Search(problem, 1, plan)
    search.step()
    if (!search.kept) continue
    const following = decode.mock.calls.length
    for (let i = 0; i < 8; i++) search.step()
    const limits = decode.mock.calls.map(([, attempts]) => attempts!)
    expect(limits[following] ?? Infinity).toBe(Infinity)
    if (limits.some((limit) => limit < Infinity)) tried++
  }
  decode.mockRestore()
  expect(tried).toBeGreaterThan(5)
})
