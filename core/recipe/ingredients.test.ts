import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { amountText } from '../quantity'
import { ingredientLine, withIngredient, withoutIngredient } from './ingredients'
import { readRecipe } from './read'

const pie = demoRecipes.find((r) => r.id === 'fish-pie')!
const changed = (line: string, id?: string) => {
  const reading = withIngredient(pie, line, id)
  if (!reading.ok) throw new Error(reading.issues[0]!.message)
  return reading.value
}

describe('ingredients as lines', () => {
  it.each([
    ['20 g parsley (optional)', '20 g parsley (optional)'],
    ['Optional: 1 tsp chilli flakes', '1 tsp chilli flakes (optional)'],
    ['30 g nuts, chopped, if you like', '30 g nuts, chopped (optional)'],
    ['300 g chard (optional); or spinach', '300 g chard (optional); or spinach'],
  ])('%s can be left out', (line, written) => {
    const own = changed(line).ingredients.at(-1)!
    expect(own.optional).toBe(true)
    expect(ingredientLine(own)).toBe(written)
    expect(changed('20 g parsley').ingredients.at(-1)!.optional).toBeUndefined()
  })

  it('say one of a thing in the singular, and what is counted of it', () => {
    const carrots = changed('2 carrots').ingredients.at(-1)!
    expect(ingredientLine({ ...carrots, amount: 1 })).toBe('1 carrot')
    expect(ingredientLine({ ...carrots, amount: 0.5 })).toBe('½ carrot')
    expect(ingredientLine(changed('1 asparagus').ingredients.at(-1)!)).toBe('1 asparagus')
    expect(ingredientLine(changed('2 sticks celery, diced').ingredients.at(-1)!)).toBe(
      '2 sticks celery, diced',
    )
  })

  it('read back what they were written from', () => {
    for (const recipe of demoRecipes)
      for (const i of recipe.ingredients) {
        const again = withIngredient(recipe, ingredientLine(i), i.id)
        if (!again.ok) throw new Error(again.issues[0]!.message)
        const own = again.value.ingredients.find((x) => x.id === i.id)!
        expect(amountText(own.amount, own.unit)).toBe(amountText(i.amount, i.unit))
        // Words may change places (chopped tomatoes), but only once.
        const once = ingredientLine(own)
        const twice = withIngredient(recipe, once, i.id)
        if (!twice.ok) throw new Error(twice.issues[0]!.message)
        expect(ingredientLine(twice.value.ingredients.find((x) => x.id === i.id)!)).toBe(once)
      }
  })

  it.each([
    ['2 x 400 g tins chopped tomatoes', '800 g tomatoes (2 packs of 400 g), chopped'],
    ['half a 400 g tin of chickpeas, drained', '200 g chickpeas (½ of a 400 g pack), drained'],
    ['1 (250 g) pack butter', '250 g butter (1 pack of 250 g)'],
    ['60 g oats (of a 500 g pack)', '60 g oats (of a 500 g pack)'],
    ['300 g chard, shredded; or spinach', '300 g chard, shredded; or spinach'],
    ['salt, or to taste', '1 pinch salt, or to taste'],
  ])('know packs and what stands in: %s', (line, written) => {
    const own = changed(line).ingredients.at(-1)!
    expect(ingredientLine(own)).toBe(written)
    expect(ingredientLine(changed(written).ingredients.at(-1)!)).toBe(written)
  })

  it('are put in the place of one, under its id, or at the end under a new one', () => {
    const leeks = changed('600 g young leeks, sliced', 'leek')
    expect(leeks.ingredients.find((i) => i.id === 'leek')).toEqual({
      id: 'leek',
      item: 'young leeks',
      amount: 600,
      unit: 'g',
      note: 'sliced',
    })
    const more = changed('2 more leeks')
    expect(more.ingredients).toHaveLength(pie.ingredients.length + 1)
    expect(new Set(more.ingredients.map((i) => i.id)).size).toBe(more.ingredients.length)
    expect(readRecipe(more).ok).toBe(true)
  })

  it.each([
    ['', 'empty'],
    ['-3 leeks', 'negative'],
    ['300 g', 'no word'],
    ['3 blorps of leeks', '"blorps" is not a unit'],
  ])('refuse %j and say what is allowed', (line, why) => {
    const reading = withIngredient(pie, line)
    expect(reading.ok).toBe(false)
    if (!reading.ok) {
      expect(reading.issues[0]!.message).toContain(why)
      expect(reading.issues[0]!.allowed).not.toBe('')
    }
  })

  it('leave a sound recipe when one is taken out, and any line a sound one when put in', () => {
    for (const i of pie.ingredients) {
      const less = withoutIngredient(pie, i.id)
      expect(readRecipe(less).ok).toBe(true)
      expect(less.steps.flatMap((s) => s.uses)).not.toContain(i.id)
    }
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) => {
        const reading = withIngredient(pie, line)
        if (reading.ok) expect(readRecipe(reading.value).ok).toBe(true)
      }),
      { numRuns: 300, seed: 8 },
    )
  })
})
