import fc from 'fast-check'
import { expect, it } from 'vitest'
import { grown } from '../../structures/growingArray'
import { Rows } from './rows'

it('keeps every row in order, whatever the lists grow to', () => {
  const added = fc.array(fc.tuple(fc.nat(3), fc.integer(), fc.integer()))
  fc.assert(
    fc.property(added, fc.array(fc.nat(5), { minLength: 4, maxLength: 4 }), (list, counts) => {
      const rows = new Rows(4, 2, Int32Array.from(counts))
      for (const [key, a, b] of list) {
        const at = rows.room(key)
        rows.memory.set([a, b], at)
      }
      for (let key = 0; key < 4; key++) {
        const at = rows.at[key]!
        expect([...rows.memory.subarray(at, at + rows.sizes[key]!)]).toEqual(
          list.filter(([k]) => k === key).flatMap(([, a, b]) => [a, b]),
        )
      }
    }),
  )
})

it('grows to what is asked for, and keeps what was there', () => {
  const array = grown(Int32Array.of(1, 2, 3), 10)
  expect([array.length, ...array.subarray(0, 4)]).toEqual([10, 1, 2, 3, 0])
  expect(grown(array)).toHaveLength(20)
})
