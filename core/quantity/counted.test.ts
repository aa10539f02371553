import { expect, it } from 'vitest'
import { counted, plural } from './counted'

it('says one of a thing and many of it', () => {
  expect([0, 1, 1.5, 12].map((n) => counted(n, 'day'))).toEqual([
    '0 days',
    '1 day',
    '1.5 days',
    '12 days',
  ])
  expect([plural(1, 'is', 'are'), plural(3, 'is', 'are')]).toEqual(['is', 'are'])
})
