import { expect, it } from 'vitest'
import type { Row } from './bench'
import known from './results/best.json'
import latest from './results/latest.json'
import { bestOf, summary } from './summary'

const row = (name: string, at: Row['at'], boundAt: Row['boundAt'], proven = false): Row => ({
  name,
  activities: 1,
  firstMs: 1,
  at,
  boundAt,
  makespan: Object.values(at).at(-1)!,
  bound: Object.values(boundAt).at(-1)!,
  idleS: 0,
  provenS: proven ? 1 : null,
  again: { firstMs: 1, after1S: 1 },
  replanMs: null,
})
const rows = [
  row('job shop 6x6', { 1: 55 }, { 1: 55 }, true),
  row('9 dishes, 1', { 1: 110, 5: 100 }, { 1: 88, 5: 100 }, true),
  row('9 dishes with every feature, 1', { 1: 240, 5: 210 }, { 1: 180, 5: 189 }),
]

it('takes the mean of what each plan is above the best known and above what was proven by then', () => {
  const [both, plain, featured] = summary(
    rows,
    bestOf({ '9 dishes with every feature, 1': 200 }, rows),
  )
  expect(both).toMatchObject({ name: '9 dishes, both kinds', sessions: 2, proven: 1 })
  expect(both!.above).toEqual({ 1: expect.closeTo(15), 5: expect.closeTo(2.5) })
  expect(both!.gap).toEqual({ 1: expect.closeTo(22.5), 5: expect.closeTo(5) })
  expect(plain).toMatchObject({
    name: '9 dishes',
    sessions: 1,
    above: { 1: expect.closeTo(10), 5: 0 },
  })
  expect(featured).toMatchObject({ name: '9 dishes with every feature', proven: 0 })
})

it('knows the shortest plan of all runs, and says nothing at marks that a session has no figure for', () => {
  const shorter = [...rows, row('9 dishes, 2', { 1: 50 }, { 1: 40 })]
  const best = bestOf({ '9 dishes, 1': 120, '9 dishes, 2': 40 }, shorter)
  expect(best).toMatchObject({ '9 dishes, 1': 100, '9 dishes, 2': 40, 'job shop 6x6': 55 })
  const plain = summary(shorter, best).find((line) => line.name === '9 dishes')!
  expect(Object.keys(plain.above)).toEqual(['1'])
  expect(plain.above['1']).toBeCloseTo((10 + 25) / 2)
})

it('keeps nothing as the shortest plan known that is below what is proven, or longer than one found', () => {
  const best: Record<string, number> = known
  expect(latest.rows.length).toBeGreaterThan(0)
  for (const { name, makespan, bound } of latest.rows) {
    expect(best[name], name).toBeGreaterThanOrEqual(bound)
    expect(best[name], name).toBeLessThanOrEqual(makespan)
  }
})
