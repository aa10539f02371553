import { describe, expect, it } from 'vitest'
import { dishTold } from '../recipe/told.fixture'
import { goesTo, withEnd } from './closing'

const told = (name: string, ingredients: string, method: string) =>
  dishTold(ingredients, method, name)

describe('where a dish goes when it is done', () => {
  it('is no dry shelf for rolls of meat, whatever they are called', () => {
    const rolls = told(
      'Cabbage rolls',
      '500 g minced pork\n1 cabbage',
      'Roll the pork in the cabbage leaves. Bake the rolls at 180 °C for 60 minutes.',
    )
    expect(goesTo(rolls, undefined)).toBe('fridge')
    const bread = told(
      'Seeded rolls',
      '500 g flour\n7 g yeast\n300 ml water',
      'Mix the flour, yeast and water. Shape the rolls. Bake the rolls at 220 °C for 20 minutes.',
    )
    expect(goesTo(bread, undefined)).toBe('shelf')
  })
})

describe('what is left out at the end', () => {
  const stew = (end: string) =>
    withEnd(
      told('Stew', '1 kg beef\n500 ml stock', `Simmer the beef in the stock for 2 hours. ${end}`),
      undefined,
    ).steps.map((s) => s.do)

  it('is told: into shallow boxes, to cool, into the cold', () => {
    expect(stew('')).toEqual(
      expect.arrayContaining([expect.stringContaining('Divide it into shallow boxes')]),
    )
  })
  it('is not told twice where it lies in its boxes', () => {
    const steps = stew('Divide between 4 boxes.')
    expect(steps.join(' | ')).not.toContain('shallow boxes')
    expect(steps.at(-1)).toBe('Lids on, label, into the fridge')
  })
  it('cools what is portioned hot before its lid goes on, but for a jar that is closed hot', () => {
    expect(stew('Portion into 5 tubs.').slice(-3)).toEqual([
      'Portion into 5 tubs',
      'Leave it to cool, lids off',
      'Lids on, label, into the fridge',
    ])
    expect(stew('Freeze for up to 3 months.').slice(-2)).toEqual([
      'Leave it to cool',
      'Freeze for up to 3 months',
    ])
    expect(stew('Portion into hot jars and seal.').at(-1)).toBe('Portion into hot jars, seal')
  })
})
