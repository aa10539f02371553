import { expect, it } from 'vitest'
import { simulatedProbe } from './thermometer'

it('goes from where it was to its surroundings, quickly at first, and never past them', () => {
  const oven = [0, 600, 1800, 3600, 7200, 36_000].map((s) => simulatedProbe(8, 180, s))
  expect(oven[0]).toBeCloseTo(8, 0)
  expect(oven).toEqual(oven.toSorted((a, b) => a - b))
  expect(oven[1]! - oven[0]!).toBeGreaterThan((oven[4]! - oven[3]!) / 6)
  expect(Math.abs(oven.at(-1)! - 180)).toBeLessThan(1)
  expect(simulatedProbe(85, 20, 3600)).toBeLessThan(50)
})
