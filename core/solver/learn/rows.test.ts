import fc from 'fast-check'
import { expect, it } from 'vitest'
import { grown, Rows } from './rows'

it('keeps every row in order, whatever the lists grow to', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(3), fc.integer(), fc.integer())), (added) => {
      const rows = new Rows(4, 2)
      for (const [key, a, b] of added) {
        const at = rows.room(key)
        rows.lists[key]!.set([a, b], at)
      }
      for (let key = 0; key < 4; key++)
        expect([...rows.lists[key]!.subarray(0, rows.sizes[key])]).toEqual(
          added.filter(([k]) => k === key).flatMap(([, a, b]) => [a, b]),
        )
    }),
  )
})

it('grows to what is asked for, and keeps what was there', () => {
  const array = grown(Int32Array.of(1, 2, 3), 10)
  expect([array.length, ...array.subarray(0, 4)]).toEqual([10, 1, 2, 3, 0])
  expect(grown(array)).toHaveLength(20)
})
