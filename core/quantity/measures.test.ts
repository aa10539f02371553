import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  celsiusOf,
  degreesOf,
  degreesRange,
  degreesText,
  inMeasures,
  ovenText,
  USUAL_MEASURES,
} from './measures'

describe('degrees', () => {
  it('are those of the household', () => {
    expect(degreesText(74, 'C')).toBe('74 °C')
    expect(degreesText(74, 'F')).toBe('165 °F')
    expect(degreesText(63, 'F')).toBe('145 °F')
    expect(degreesRange([175, 185], 'C')).toBe('175–185 °C')
    expect(degreesRange([180, 180], 'F')).toBe('356 °F')
  })

  it('come back as they went', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), (celsius) => {
        expect(Math.round(celsiusOf(Math.round(degreesOf(celsius, 'F')), 'F'))).toBeCloseTo(
          celsius,
          -0.5,
        )
        expect(celsiusOf(celsius, 'C')).toBe(celsius)
      }),
    )
  })

  it('of an oven are as its dial has them, with the mark where one is near', () => {
    expect(ovenText(180, 'C')).toBe('180 °C (mark 4)')
    expect(ovenText(180, 'F')).toBe('355 °F (mark 4)')
    expect(ovenText(110, 'C')).toBe('110 °C (mark ¼)')
    expect(ovenText(170, 'C')).toBe('170 °C')
  })

  it('are turned in a sentence, and nothing else of it', () => {
    const us = { ...USUAL_MEASURES, degrees: 'F' } as const
    expect(inMeasures('Poultry is done at 74 °C, mince at 71 °C: check 2 of them.', us)).toBe(
      'Poultry is done at 165 °F, mince at 160 °F: check 2 of them.',
    )
    expect(inMeasures('175–185 °C', us)).toBe('347–365 °F')
    expect(inMeasures('74 °C and 500 g', USUAL_MEASURES)).toBe('74 °C and 500 g')
  })
})

describe('amounts where cups and pounds are used', () => {
  const us = (text: string) => inMeasures(text, { ...USUAL_MEASURES, amounts: 'us' })

  it('are what can be measured there', () => {
    expect(
      ['500 g leeks', '1.8 kg pork', '30 g butter', '5 ml', '45 ml', '250 ml', '1.2 l stock'].map(
        us,
      ),
    ).toEqual([
      '1 lb 2 oz leeks',
      '3 lb 15 oz pork',
      '1 oz butter',
      '1 tsp',
      '3 tbsp',
      '1 cup',
      '1¼ qt stock',
    ])
    expect(us('tins of 400 g, ½ l of milk')).toBe('tins of 14 oz, 2 cups of milk')
  })

  it('leave alone what is none', () => {
    for (const text of ['2 leeks', '3 tsp salt', 'Pork in 28 cm, 10 min', 'all l', '1 glass'])
      expect(us(text)).toBe(text)
  })

  it('are never further off than the spoon or scale is coarse', () => {
    const UNIT: Record<string, number> = {
      g: 1,
      oz: 28.35,
      lb: 453.6,
      tsp: 4.93,
      tbsp: 14.79,
      cup: 236.6,
      cups: 236.6,
      qt: 946.4,
    }
    const PART: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3 }
    const valueOf = (text: string) =>
      [...text.matchAll(/(\d*)([¼⅓½⅔¾])? ([a-z]+)/g)].reduce(
        (sum, [, whole, part, unit]) => sum + (Number(whole) + (PART[part!] ?? 0)) * UNIT[unit!]!,
        0,
      )
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 5000 }), fc.constantFrom('g', 'ml'), (amount, unit) => {
        const back = valueOf(us(`${amount} ${unit}`))
        expect(Math.abs(back - amount) / amount).toBeLessThan(0.15)
      }),
    )
  })
})
