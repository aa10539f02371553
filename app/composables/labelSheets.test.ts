import { describe, expect, it } from 'vitest'
import { fitted, LABEL_SHEETS } from './labelSheets'

describe('sheets of labels', () => {
  it.each(LABEL_SHEETS.map((s) => [s.id, s] as const))('%s fits on its paper', (_, s) => {
    const [wide, high] = s.paper === 'A4' ? [210, 297] : [215.9, 279.4]
    expect(s.left).toBeGreaterThanOrEqual(0)
    expect(s.top).toBeGreaterThanOrEqual(0)
    expect(s.left + s.across * s.wide + (s.across - 1) * s.gap).toBeLessThanOrEqual(wide)
    expect(s.top + s.down * s.high).toBeLessThanOrEqual(high)
  })

  it('have the largest type that fits, and never lose the first lines', () => {
    const short = fitted(['Pie', '3 portions'], 60, 30)
    expect(short.size).toBe(14)
    const long = fitted(
      ['Pie', ...Array.from({ length: 9 }, () => 'a line of about forty letters or so')],
      60,
      32,
    )
    expect(long.size).toBeLessThan(14)
    expect(long.lines).toHaveLength(10)
    const far = fitted(['Pie', ...Array.from({ length: 60 }, () => 'x'.repeat(70))], 60, 32)
    expect(far.lines[0]).toBe('Pie')
    expect(far.lines.at(-1)).toBe('…')
    expect(far.lines.length).toBeLessThan(20)
  })
})
