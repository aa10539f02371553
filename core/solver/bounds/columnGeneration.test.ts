import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { columnGeneration } from './columnGeneration'

/** Least cost to cover each demand where sets of rows that all go together cost one a second. */
function leastOf(demand: number[], sets: number[][]): number {
  const singles = demand.map((_, k) => ({ members: [k], cost: 1 }))
  return columnGeneration(demand, singles, (worth) => {
    const worthOf = (members: number[]) => members.reduce((sum, k) => sum + worth[k]!, 0)
    const all = [...sets, ...demand.map((_, k) => [k])]
    const members = all.reduce((best, s) => (worthOf(s) > worthOf(best) ? s : best))
    return { column: { members, cost: 1 }, excess: worthOf(members) }
  })
}

describe('columnGeneration', () => {
  it('covers a circle of five, of which neighbours go together, in two and a half', () => {
    const pairs = [0, 1, 2, 3, 4].map((k) => [k, (k + 1) % 5])
    expect(leastOf([1, 1, 1, 1, 1], pairs)).toBeCloseTo(2.5, 6)
  })

  it('lets a set serve more than one of its rows asks for', () => {
    expect(leastOf([10, 3, 3], [[0, 1, 2]])).toBeCloseTo(10, 6)
    expect(leastOf([4, 4, 4], [])).toBeCloseTo(12, 6)
    expect(leastOf([0, 5], [])).toBeCloseTo(5, 6)
  })

  it('is never above any cover, and meets the one of whole sets where those are all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 2, maxLength: 7 }),
        fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 4 }), {
          maxLength: 6,
        }),
        (demand, drawn) => {
          const sets = drawn.map((s) => s.filter((k) => k < demand.length))
          const value = leastOf(demand, sets)
          // One after another, greedily: a cover, and so at least as long.
          const left = [...demand]
          let greedy = 0
          for (const s of sets) {
            const seconds = Math.max(0, ...s.map((k) => left[k]!))
            for (const k of s) left[k] = 0
            greedy += seconds
          }
          greedy += left.reduce((sum, d) => sum + d, 0)
          expect(value).toBeLessThanOrEqual(greedy + 1e-6)
          expect(value).toBeGreaterThanOrEqual(Math.max(...demand) - 1e-6)
        },
      ),
      { numRuns: 300 },
    )
  })
})
