import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { amountText, measurable, UNITS } from './index'

describe('amounts', () => {
  it('are rounded to what a cook can measure', () => {
    expect(measurable(333, 'g')).toBe(335)
    expect([7, 17, 22].map((g) => measurable(g, 'g'))).toEqual([7, 17, 20])
    expect(measurable(1.1, 'piece')).toBe(1)
    expect(measurable(0.1, 'piece')).toBe(0.125)
    expect(measurable(0.25, 'piece')).toBe(0.25)
    expect(measurable(1.6, 'tsp')).toBe(1.5)
    expect(measurable(0, 'g')).toBe(0)
  })

  it('read as one would say them', () => {
    expect(amountText(1250, 'g')).toBe('1.25 kg')
    expect(amountText(0.5, 'piece')).toBe('½')
    expect(amountText(2.25, 'tsp')).toBe('2¼ tsp')
    expect(amountText(750, 'ml')).toBe('750 ml')
  })

  it('never lose more than half a step, nor vanish', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5000, noNaN: true }),
        fc.constantFrom(...UNITS),
        (amount, unit) => {
          const measured = measurable(amount, unit)
          expect(measured).toBeGreaterThan(0)
          expect(measurable(measured, unit)).toBeCloseTo(measured, 6)
        },
      ),
    )
  })
})
