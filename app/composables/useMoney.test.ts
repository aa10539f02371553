import { afterEach, describe, expect, it } from 'vitest'
import { measures } from './useMeasures'
import { moneyText, moneyTyped } from './useMoney'

afterEach(() => {
  measures.currency = undefined
})

describe('money', () => {
  it('is typed as people type it, and nothing else', () => {
    expect(moneyTyped('2.10')).toBe(210)
    expect(moneyTyped('2,1')).toBe(210)
    expect(moneyTyped('£3')).toBe(300)
    expect(moneyTyped('12.50 €')).toBe(1250)
    for (const wrong of ['-2', 'two', '2.105', '', '99999999', '1.2.3'])
      expect(moneyTyped(wrong)).toBeUndefined()
  })

  it('is said in the household’s currency, once there is one', () => {
    expect(moneyText(210)).toBe('2.10')
    measures.currency = 'GBP'
    expect(moneyText(210)).toBe('£2.10')
    expect(moneyTyped(moneyText(123_450))).toBe(123_450)
    measures.currency = 'JPY'
    expect(moneyText(210)).toBe('¥210')
    expect(moneyTyped('210')).toBe(210)
  })
})
