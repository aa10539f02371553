import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  cookedGrams,
  grainOf,
  GRAINS,
  grainSum,
  mostLitres,
  pressureMinutes,
  roastMinutes,
  roastOf,
  ROASTS,
  servingsPerKilo,
  servingsPerPot,
  thawHours,
  type Roast,
} from './sums'

describe('kitchen sums', () => {
  it('says what raw meat weighs when it is cooked, and how many a pot feeds', () => {
    expect(cookedGrams(1000, false)).toMatchObject({ least: 700, most: 750 })
    expect(cookedGrams(1000, true).least).toBeGreaterThan(cookedGrams(1000, false).most)
    expect(servingsPerPot(2.4)).toMatchObject({ least: 6, most: 8 })
    expect(servingsPerPot(0.1).least).toBe(1)
  })

  it('roasts by the heaviest piece, however many there are', () => {
    expect(roastMinutes('chicken', [1.5])).toMatchObject({ least: 80, most: 88 })
    expect(roastMinutes('chicken', [1.5, 1.2]).most).toBe(roastMinutes('chicken', [1.5]).most)
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(ROASTS) as Roast[])),
        fc.float({ min: Math.fround(0.3), max: 8, noNaN: true }),
        (kind, kg) => {
          const a = roastMinutes(kind, [kg])
          expect(a.least).toBeLessThanOrEqual(a.most)
          expect(roastMinutes(kind, [kg + 1]).least).toBeGreaterThan(a.least)
          expect(a.source).toContain('°C')
        },
      ),
    )
  })

  it('thaws slower in the fridge than in water', () => {
    expect(thawHours(2, 'fridge')).toMatchObject({ least: 20, most: 24 })
    expect(thawHours(2, 'cold-water').most).toBeLessThan(3)
  })

  it('gives grain its water and time by where it is cooked', () => {
    expect(grainSum('rice', 200, 'hob')).toMatchObject({ water: 380, cooked: 560 })
    for (const g of Object.keys(GRAINS)) {
      const [hob, fast] = [grainSum(g, 300, 'hob'), grainSum(g, 300, 'pressure-cooker')]
      expect(fast.water).toBeLessThan(hob.water)
      expect(fast.minutes.most).toBeLessThan(hob.minutes.most)
      expect(hob.cooked).toBeGreaterThan(300)
    }
  })

  it('knows roasts and grains by the words of an ingredient', () => {
    expect([roastOf('whole chicken'), roastOf('butter beans')]).toEqual(['chicken', undefined])
    expect([grainOf('brown rice'), grainOf('basmati rice'), grainOf('flour')]).toEqual([
      'brown rice',
      'rice',
      undefined,
    ])
  })

  it('fills no vessel to the brim, and a pressure cooker less where it foams', () => {
    expect(mostLitres('pot', 8).most).toBe(6)
    expect(mostLitres('pressure-cooker', 6).most).toBe(4)
    expect(mostLitres('pressure-cooker', 6, true).most).toBe(3)
  })

  it('takes longer to pressure with more in it, and serves more without bone', () => {
    expect(pressureMinutes(4).up.least).toBeGreaterThan(pressureMinutes(1).up.least)
    expect(servingsPerKilo(false).least).toBeGreaterThan(servingsPerKilo(true).most)
  })
})
