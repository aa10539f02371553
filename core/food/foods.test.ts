import { describe, expect, it } from 'vitest'
import { readFileSync, readdirSync } from 'node:fs'
import { readRecipes } from '../recipe'
import { foodOf } from './foods'
import { measured } from './measure'

const inBase = (
  item: string,
  amount: number,
  unit: 'g' | 'ml' | 'piece' | 'tsp' | 'tbsp',
  of?: string,
) => {
  const m = measured(foodOf(item), amount, unit, of)
  return [Math.round(m.amount * 10) / 10, m.unit]
}

describe('a food by its name', () => {
  it.each([
    ['large onions, finely sliced', 'onions'],
    ['a red onion', 'red onions'],
    ['scallions', 'spring onions'],
    ['cloves garlic', 'garlic'],
    ['all-purpose flour', 'plain flour'],
    ['tinned chopped tomatoes', 'chopped tomatoes'],
    ['free-range eggs, beaten', 'eggs'],
    ['hot vegetable stock', 'stock'],
    ['sea salt', 'salt'],
    ['freshly ground black pepper', 'black pepper'],
  ])('%s is %s', (item, key) => {
    expect(foodOf(item).key).toBe(key)
  })

  it.each([
    ['red pepper', 'produce'],
    ['pepper', 'spices'],
    ['butter beans', 'tins'],
    ['peanut butter', 'oils'],
    ['egg noodles', 'dry'],
    ['coconut milk', 'tins'],
    ['chicken stock', 'tins'],
    ['fish sauce', 'oils'],
    ['fennel seeds', 'spices'],
    ['garlic powder', 'spices'],
    ['ground ginger', 'spices'],
    ['dried thyme', 'spices'],
    ['fresh thyme', 'produce'],
    ['minced beef', 'meat'],
    ['bread flour', 'baking'],
    ['apple juice', 'drinks'],
    ['lemon juice', 'produce'],
  ])('%s stands among the %s', (item, section) => {
    expect(foodOf(item).food?.section).toBe(section)
  })

  it('keeps kinds apart that are bought apart, and one thing one', () => {
    expect(foodOf('brown rice').key).not.toBe(foodOf('basmati rice').key)
    expect(foodOf('leek').key).toBe(foodOf('leeks').key)
    expect(foodOf('skinless chicken thighs').key).toBe(foodOf('chicken thighs').key)
  })

  it('is known for nearly all that recipes ask for', () => {
    const items = readdirSync('demo/texts').flatMap((file) => {
      const read = readRecipes(readFileSync(`demo/texts/${file}`, 'utf8'))
      if (!read.ok) throw new Error(file)
      return read.value.flatMap((f) => ('read' in f ? f.read.ingredients.map((i) => i.item) : []))
    })
    expect(items.length).toBeGreaterThan(80)
    expect(items.filter((item) => !foodOf(item).food)).toEqual([])
  })
})

describe('an amount in what is bought', () => {
  it('goes by weight, by piece, by spoon and by what is counted', () => {
    expect(inBase('onions', 2, 'piece')).toEqual([300, 'g'])
    expect(inBase('garlic', 3, 'piece', 'cloves')).toEqual([0.3, 'piece'])
    expect(inBase('garlic cloves', 3, 'piece')).toEqual([0.3, 'piece'])
    expect(inBase('celery sticks', 2, 'piece')).toEqual([80, 'g'])
    expect(inBase('plain flour', 2, 'tbsp')).toEqual([15.6, 'g'])
    expect(inBase('milk', 206, 'g')).toEqual([200, 'ml'])
    expect(inBase('eggs', 12, 'piece')).toEqual([12, 'piece'])
    expect(inBase('celery', 2, 'piece', 'sticks')).toEqual([80, 'g'])
    expect(inBase('soaked chickpeas', 500, 'g')).toEqual([225, 'g'])
    expect(inBase('parsley', 1, 'piece', 'bunch')).toEqual([30, 'g'])
  })

  it('stays as it is where nothing is known', () => {
    expect(inBase('moon cheese dust', 2, 'piece')).toEqual([2, 'piece'])
    expect(inBase('unknown powder', 40, 'g')).toEqual([40, 'g'])
  })
})
