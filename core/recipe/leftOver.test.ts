import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { leftOver, readLeaving } from './leftOver'
import { mainOf } from './mainOf'

const pork = demoRecipes.find((r) => r.id === 'braised-pork')!
const soup = demoRecipes.find((r) => r.id === 'squash-soup')!

describe('what is left over', () => {
  it.each([
    ['500 g pork bones, keeps 3 days', { item: 'pork bones', amount: 500, unit: 'g', days: 3 }],
    ['1 litre stock', { item: 'stock', amount: 1, unit: 'l', days: 2 }],
  ])('is read as one writes it: %s', (text, value) => {
    expect(readLeaving(text)).toEqual({ ok: true, value })
  })

  it.each([
    ['', /does not say what it is/],
    ['-3 g bones', /negative/],
    ['bones', /no amount/],
    ['500 g bones, 900 days', /too long/],
  ])('is refused with what would be right: %s', (text, words) => {
    const reading = readLeaving(text)
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.issues[0]!.message).toMatch(words)
  })

  it('is offered to the recipes that want it, with the amount for the batches made', () => {
    const leaving = {
      ...pork,
      leaves: [{ item: 'stock', amount: 600, unit: 'ml' as const, days: 3 }],
    }
    const offers = leftOver([{ recipe: leaving, batches: 2 }], [leaving, soup])
    const wants = soup.ingredients.find((i) => i.item.includes('stock'))!
    expect(offers).toHaveLength(1)
    expect(offers[0]!.line).toBe('1.2 l stock')
    expect(offers[0]!.takers).toEqual([
      { recipe: 'squash-soup', wants: expect.stringContaining(wants.item) },
    ])
    expect(leftOver([{ recipe: soup, batches: 1 }], [leaving, soup])).toEqual([])
  })
})

it('a dish is mostly of its meat, else of what weighs most', () => {
  expect(mainOf(pork)).toMatch(/pork/)
  expect(mainOf(soup)).toMatch(/squash/)
  expect(mainOf({ ...soup, ingredients: [] })).toBeUndefined()
})
