import { expect, it } from 'vitest'
import { judged, learning } from './learning'

it('says how far off a foretold finish is, either way and on balance', () => {
  const row = (half: number, most: number, real: number) => ({
    session: 1,
    planned: 0,
    half,
    most,
    real,
  })
  const { off, bias, holds } = judged([row(110, 120, 100), row(80, 90, 100)])
  expect([off, bias, holds]).toEqual([expect.closeTo(0.15), expect.closeTo(-0.05), 0.5])
})

it('plans nearer to the truth with what a few sessions have taught', () => {
  const planned = (knowing: Parameters<typeof learning>[2]) => learning(5, 2, knowing)[4]!.planned
  const [truth, record, nothing] = [planned('the truth'), planned('the record'), planned('nothing')]
  expect(Math.abs(record - truth)).toBeLessThan(Math.abs(nothing - truth))
  // The same households and days, whatever is known of them.
  const [one, other] = [learning(1, 4, 'nothing'), learning(1, 4, 'the record')]
  expect(one).toEqual(other)
}, 180_000)
