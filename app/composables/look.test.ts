import { describe, expect, it } from 'vitest'
import { clockTime, spanText, timerText } from './useClock'
import { dishLook } from './useDishLook'

describe('times in words', () => {
  it('give the clock, over midnight too', () => {
    expect(clockTime('2027-03-20T09:00', 0)).toBe('9:00')
    expect(clockTime('2027-03-20T09:00', 3 * 3600 + 540)).toBe('12:09')
    expect(clockTime('2027-03-20T23:30', 3600)).toBe('0:30')
  })

  it('give spans in hours and minutes', () => {
    expect(spanText(35 * 60)).toBe('35 min')
    expect(spanText(20)).toBe('20 s')
    expect(spanText(0)).toBe('0 min')
    expect(spanText(2 * 3600 + 5 * 60)).toBe('2 h 05')
    expect(spanText(3599)).toBe('1 h 00')
  })

  it('give timers that run over with a minus', () => {
    expect(timerText(247)).toBe('4:07')
    expect(timerText(-15)).toBe('−0:15')
    expect(timerText(3661)).toBe('1:01:01')
    expect(timerText(0)).toBe('0:00')
  })
})

describe('the look of dishes', () => {
  it('shares colour and texture between no two of the first dozen', () => {
    const looks = Array.from({ length: 12 }, (_, n) => dishLook(n))
    expect(new Set(looks.map((l) => `${l.colour} ${l.texture}`)).size).toBe(12)
  })

  it('has white letters readable on every colour (contrast of 4.5 or more)', () => {
    const channel = (v: number) => (v <= 0.03928 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)
    for (let n = 0; n < 12; n++) {
      const [r, g, b] = [1, 3, 5].map((i) =>
        channel(parseInt(dishLook(n).colour.slice(i, i + 2), 16) / 255),
      )
      const luminance = 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
      expect(1.05 / (luminance + 0.05)).toBeGreaterThanOrEqual(4.5)
    }
  })
})
