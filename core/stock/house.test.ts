import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { litresTaken, placeFor, stockOf, toUseUp, useSoon, withBrought, withoutUsed } from './house'
import { stockSchema } from './schema'

const thing = (item: string, amount: number, more: object = {}) =>
  stockSchema.parse({
    id: item.replace(/[^a-z]+/g, '-'),
    item,
    amount,
    unit: 'g',
    place: 'fridge',
    ...more,
  })

describe('what is in the house', () => {
  it('goes where such things are kept', () => {
    expect(placeFor('minced turkey')).toBe('fridge')
    expect(placeFor('frozen peas')).toBe('freezer')
    expect(placeFor('onions')).toBe('shelf')
    expect(placeFor('leeks')).toBe('fridge')
    expect(placeFor('red lentils')).toBe('shelf')
  })

  it('grows by what comes home, beside what is there of the same', () => {
    const stock = withBrought(
      [thing('leeks', 200)],
      [
        { item: 'large leeks', amount: 400, unit: 'g' },
        { item: 'red lentils', amount: 500, unit: 'g' },
        { item: 'nothing', amount: 0, unit: 'g' },
      ],
      '2027-03-18',
    )
    expect(stock.map((s) => [s.item, s.amount, s.place, s.counted])).toEqual([
      ['leeks', 600, 'fridge', '2027-03-18'],
      ['red lentils', 500, 'shelf', '2027-03-18'],
    ])
  })

  it('is used up from what is to be used soonest, and never below nothing', () => {
    const stock = [
      thing('carrots', 500, { id: 'late', by: '2027-04-01' }),
      thing('carrots', 300, { id: 'soon', by: '2027-03-20' }),
    ]
    const left = withoutUsed(stock, [{ item: 'carrots', amount: 400, unit: 'g' }])
    expect(left.map((s) => [s.id, s.amount])).toEqual([['late', 400]])
    expect(withoutUsed(stock, [{ item: 'carrots', amount: 9000, unit: 'g' }])).toEqual([])
  })

  it('takes off as much as is used, in whatever measure it is counted', () => {
    const amount = fc.double({ min: 1, max: 5000, noNaN: true })
    fc.assert(
      fc.property(amount, amount, fc.boolean(), (there, used, inKilos) => {
        const stock = [
          inKilos ? thing('carrots', there / 1000, { unit: 'kg' }) : thing('carrots', there),
        ]
        const left = withoutUsed(stock, [{ item: 'carrots', amount: used, unit: 'g' }])
        const grams = left.reduce((n, s) => n + s.amount * (s.unit === 'kg' ? 1000 : 1), 0)
        expect(Math.abs(grams - Math.max(0, there - used))).toBeLessThanOrEqual(1.01)
      }),
    )
  })

  it('says what to use soon, and how full a place is', () => {
    const stock = [
      thing('cream', 300, { by: '2027-03-25' }),
      thing('leeks', 400, { by: '2027-03-19' }),
      thing('rice', 1000, { by: '2028-01-01', place: 'shelf' }),
    ]
    expect(useSoon(stock, '2027-03-20').map((s) => [s.stock.item, s.days])).toEqual([
      ['leeks', -1],
      ['cream', 5],
    ])
    expect(toUseUp(stock, '2027-03-20')).toEqual([
      { item: 'cream', amount: 300, unit: 'g', by: '2027-03-25' },
    ])
    expect(
      litresTaken([thing('pork shoulder', 1600), thing('jar', 1, { litres: 1.5 })], 'fridge'),
    ).toBe(3.5)
  })

  it('is read from lists that say less', () => {
    const [a, b] = stockOf([
      { item: 'pork shoulder', amount: 900, unit: 'g', place: 'freezer' },
      { item: 'pork shoulder', amount: 200, unit: 'g' },
    ])
    expect(a!.place).toBe('freezer')
    expect(b!.place).toBe('fridge')
    expect(a!.id).not.toBe(b!.id)
  })
})
