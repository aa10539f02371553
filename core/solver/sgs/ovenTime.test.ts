import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { UndoLog } from '../structures/undoLog'
import type { MStation } from '../model/model'
import { OvenTime } from './ovenTime'

const station: MStation = {
  index: 0,
  capacity: 9,
  away: [],
  wash: null,
  oven: { start: 20, from: 0, running: null, heat: 2, cool: 5 },
}
const fresh = () => new OvenTime(station, { min: 50, max: 250 }, new UndoLog())

describe('OvenTime', () => {
  it('waits for the oven to heat, and lets a heat in the same range join', () => {
    const oven = fresh()
    expect(oven.slot(0, 10_000, 100, 180, 190, 0)).toBe(320)
    oven.take(320, 420, 180, 190, 0)
    expect(oven.slot(330, 10_000, 100, 170, 185, 0)).toBe(330)
    // At 320 the oven has just reached 180 °C: 185 would come too late for what is in it.
    expect(oven.slot(330, 10_000, 100, 185, 200, 0)).toBe(420 + 10)
    expect(oven.slot(330, 10_000, 100, 200, 210, 0)).toBe(420 + 40)
    expect(oven.slot(330, 10_000, 100, 170, 185, 1)).toBe(420)
  })

  it('never gives segments that a check of ranges and ramps would refuse', () => {
    const demand = fc.record({
      seconds: fc.integer({ min: 0, max: 60 }),
      lo: fc.integer({ min: 60, max: 230 }),
      width: fc.integer({ min: 0, max: 20 }),
      method: fc.integer({ min: 0, max: 1 }),
      from: fc.integer({ min: 0, max: 800 }),
    })
    fc.assert(
      fc.property(fc.array(demand, { maxLength: 9 }), (demands) => {
        const oven = fresh()
        const placed = demands.flatMap((d) => {
          const at = oven.slot(d.from, 100_000, d.seconds, d.lo, d.lo + d.width, d.method)
          if (at > 100_000) return []
          oven.take(at, at + d.seconds, d.lo, d.lo + d.width, d.method)
          return [{ ...d, at }]
        })
        const segments = oven.segments()
        for (const d of placed)
          expect(
            segments.some(
              (s) =>
                s.from <= d.at &&
                d.at + d.seconds <= s.to &&
                s.method === d.method &&
                s.celsius >= d.lo - 1e-6 &&
                s.celsius <= d.lo + d.width + 1e-6,
            ),
          ).toBe(true)
        let at = 0
        let celsius = 20
        for (const s of segments) {
          const ramp = s.celsius > celsius ? (s.celsius - celsius) * 2 : (celsius - s.celsius) * 5
          expect(s.from - at).toBeGreaterThanOrEqual(ramp - 1e-6)
          at = s.to
          celsius = s.celsius
        }
      }),
      { numRuns: 400 },
    )
  })
})
