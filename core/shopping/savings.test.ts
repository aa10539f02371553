import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import { shopList } from './list'
import type { Price } from './prices'
import { savingsOf } from './savings'

const price = (item: string, amount: number, unit: Price['unit'], cost: number): Price => ({
  id: `p-${item.replace(/[^a-z]+/g, '-')}-${amount}`,
  item,
  amount,
  unit,
  cost,
  day: '2027-03-01',
})
const held = {
  session: {
    ...demoSession,
    dishes: [
      { recipe: 'fish-pie', batches: 1 },
      { recipe: 'oat-bars', batches: 1 },
      { recipe: 'braised-pork', batches: 1, must: true },
    ],
  },
  recipes: demoRecipes,
  prices: [
    price('smoked white fish', 1, 'kg', 2000),
    price('salmon', 600, 'g', 900),
    price('rolled oats', 500, 'g', 100),
    price('rolled oats', 2, 'kg', 240),
    price('butter', 250, 'g', 200),
    price('stock', 1, 'l', 300),
  ],
}
const total = (session: typeof held.session) => shopList({ ...held, session }).total.least

describe('what would save', () => {
  const found = savingsOf(held)

  it('is as much as the whole list is cheaper by', () => {
    const swap = found.find((s) => s.kind === 'instead')!
    expect(swap).toMatchObject({ item: 'smoked white fish', with: 'salmon', dishes: ['fish-pie'] })
    const other = {
      ...held.session,
      dishes: held.session.dishes.map((d) =>
        d.recipe === 'fish-pie' ? { ...d, swaps: [{ ingredient: 'fish', item: 'salmon' }] } : d,
      ),
    }
    expect(swap.saves).toBe(total(held.session) - total(other))
    const without = found.find((s) => s.kind === 'without' && s.dish === 'fish-pie')!
    const left = {
      ...held.session,
      dishes: held.session.dishes.filter((d) => d.recipe !== 'fish-pie'),
    }
    expect(without.saves).toBe(total(held.session) - total(left))
  })

  it('never leaves out what must be made', () => {
    expect(found.some((s) => s.kind === 'without' && s.dish === 'braised-pork')).toBe(false)
  })

  it('says what a bigger pack saves by weight, with what is left of it', () => {
    expect(found.find((s) => s.kind === 'bigger')).toEqual({
      kind: 'bigger',
      item: 'rolled oats',
      amount: 2000,
      unit: 'g',
      left: 1650,
      // Four packs of 500 g would be 400.
      saves: 160,
    })
  })

  it('says what comes of a dish that would be bought', () => {
    expect(found.find((s) => s.kind === 'made')).toEqual({
      kind: 'made',
      recipe: 'braised-pork',
      item: 'stock',
      amount: 300,
      unit: 'ml',
      saves: 90,
    })
  })

  it('goes from the most to the least, and leaves out what nobody would do for so little', () => {
    const saves = found.map((s) => s.saves)
    expect(saves).toEqual([...saves].sort((a, b) => b - a))
    expect(Math.min(...saves)).toBeGreaterThanOrEqual(20)
  })
})
