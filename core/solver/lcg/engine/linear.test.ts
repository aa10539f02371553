import fc from 'fast-check'
import { expect, it } from 'vitest'
import { ALWAYS, NEVER_SO } from './literals'
import { Engine } from './engine'
import { Linear } from './linear'
import { solveAll } from './solveAll.fixture'

const INTS = 3
const FLAGS = 3
const term = fc.oneof(
  fc.record({ int: fc.nat(INTS - 1), times: fc.integer({ min: -3, max: 3 }) }),
  // The last two stand for what is always and what is never so.
  fc.record({
    flag: fc.nat(FLAGS + 1),
    yes: fc.boolean(),
    value: fc.integer({ min: -5, max: 5 }),
  }),
)
type Term = typeof term extends fc.Arbitrary<infer T> ? T : never
const RANGE = [-1, 0, 1, 2, 3]

interface Sum {
  terms: Term[]
  most: number
}
const keeps = (values: number[]) => (sum: Sum) =>
  sum.terms.reduce((total, t) => {
    if ('int' in t) return total + t.times * values[FLAGS + t.int]!
    const truth = t.flag < FLAGS ? values[t.flag] === (t.yes ? 1 : 0) : t.flag === FLAGS
    return total + (truth ? t.value : 0)
  }, 0) <= sum.most

/** Truths of the flags with which some integers keep every sum at most its limit. */
function truths(sums: Sum[]): string[] {
  const spaces = [...Array<number[]>(FLAGS).fill([0, 1]), ...Array<number[]>(INTS).fill(RANGE)]
  const some = (values: number[]): boolean => {
    const space = spaces[values.length]
    return space ? space.some((v) => some([...values, v])) : sums.every(keeps(values))
  }
  return Array.from({ length: 2 ** FLAGS }, (_, n) => [n & 1, (n >> 1) & 1, (n >> 2) & 1])
    .filter(some)
    .map((values) => values.join())
}

it('allows what keeps every sum at most its limit and nothing else, as trying all does', () => {
  let some = 0
  let conflicts = 0
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          terms: fc.array(term, { minLength: 1, maxLength: 6 }),
          most: fc.integer({ min: -6, max: 6 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      // So many of them are added after the sealing.
      fc.nat(2),
      (sums, late) => {
        const engine = new Engine()
        const ints = Array.from({ length: INTS }, () => engine.newInt(RANGE[0]!, RANGE.at(-1)!))
        const flags = Array.from({ length: FLAGS }, () => engine.newBool())
        const post = ({ terms, most }: Sum) => {
          const linear = new Linear(most)
          for (const t of terms)
            if ('int' in t) linear.add(ints[t.int]!, t.times)
            else {
              const literal = [...flags.map((f) => f ^ (t.yes ? 0 : 1)), ALWAYS, NEVER_SO][t.flag]!
              linear.addWhere(literal, t.value)
            }
          linear.post(engine)
        }
        const first = sums.slice(0, Math.max(0, sums.length - late))
        first.forEach(post)
        const rest = () => sums.slice(first.length).forEach(post)
        const found = solveAll(engine, flags, ints, 2 ** FLAGS, rest)
        for (const values of found) expect(sums.every(keeps(values))).toBe(true)
        const wanted = truths(sums)
        expect(found.map((v) => v.slice(0, FLAGS).join()).sort()).toEqual(wanted.sort())
        if (found.length > 1) some++
        conflicts += engine.conflicts
      },
    ),
    { numRuns: 150, seed: 4 },
  )
  expect(some).toBeGreaterThan(30)
  expect(conflicts).toBeGreaterThan(100)
})
