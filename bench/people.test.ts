import { expect, it } from 'vitest'
import { against, type PeopleRow } from './people'

const row = (
  seed: number,
  kind: PeopleRow['kind'],
  planned: number,
  switches: number,
  broken: number,
) => ({
  dishes: 4,
  seed,
  kind,
  planned,
  switches,
  policies: {
    follow: { half: planned, eighty: planned, ninety: planned + 100, broken },
    replan: { half: planned, eighty: planned, ninety: planned, broken: broken / 2 },
  },
})

it('holds each kind of plan against the shortest of its own session', () => {
  const rows = [
    row(1, 'shortest', 1000, 10, 200),
    row(1, 'calm', 1100, 5, 300),
    row(2, 'shortest', 2000, 30, 600),
    row(2, 'calm', 2000, 15, 100),
  ]
  const calm = against(rows, 'calm')
  // Lengths as a mean of shares, counts as shares of all.
  expect(calm.planned).toBeCloseTo(1.05)
  expect(calm.switches).toBeCloseTo(0.5)
  expect(calm.broken).toBeCloseTo(0.5)
  expect(calm.ninetyInOrder).toBeCloseTo((1200 / 1100 + 1) / 2)
  expect(against(rows, 'robust').planned).toBe(0)
})
