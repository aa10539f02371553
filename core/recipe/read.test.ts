import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { readRecipe, type RecipeInput } from './index'

const small = (): RecipeInput => ({
  format: 'cadrum/recipe@1',
  id: 'toast',
  name: 'Toast',
  mark: 'To',
  serves: 1,
  ingredients: [{ id: 'bread', item: 'bread', amount: 2, unit: 'piece' }],
  steps: [
    { id: 'cut', do: 'Cut', work: 'cut', uses: ['bread'], ways: [{ id: 'k', minutes: [1, 2, 3] }] },
    {
      id: 'grill',
      do: 'Grill',
      work: 'grill',
      after: [{ step: 'cut' }],
      ways: [{ id: 'g', minutes: [1, 2, 3] }],
    },
  ],
})

describe('readRecipe', () => {
  it('takes every recipe of the demo household, and gives back what went in', () => {
    for (const recipe of demoRecipes) {
      const reading = readRecipe(JSON.parse(JSON.stringify(recipe)))
      expect(reading).toEqual({ ok: true, value: recipe })
    }
  })

  const wrong: [string, (r: RecipeInput) => void, RegExp][] = [
    [
      'minutes out of order',
      (r) => void (r.steps[0]!.ways[0]!.minutes = [3, 2, 1]),
      /steps\[0\]\.ways\[0\]\.minutes: the order is least, usual, most/,
    ],
    [
      'a negative time',
      (r) => void (r.steps[0]!.ways[0]!.minutes = [-1, 2, 3]),
      /steps\[0\]\.ways\[0\]\.minutes\[0\]/,
    ],
    [
      'an unknown unit',
      (r) => void (r.ingredients[0]!.unit = 'stone' as never),
      /ingredients\[0\]\.unit.*g \| kg/,
    ],
    [
      'a loop of waits',
      (r) => void (r.steps[0]!.after = [{ step: 'grill' }]),
      /cut, grill wait for each other in a circle/,
    ],
    [
      'a wait for nothing',
      (r) => void (r.steps[1]!.after = [{ step: 'melt' }]),
      /there is no step "melt"/,
    ],
    [
      'a longest wait below the shortest',
      (r) => void (r.steps[1]!.after = [{ step: 'cut', least: 5, most: 2 }]),
      /longest wait is shorter/,
    ],
    [
      'an unknown ingredient',
      (r) => void (r.steps[0]!.uses = ['jam']),
      /there is no ingredient "jam"/,
    ],
    ['a step twice', (r) => void (r.steps[1]!.id = 'cut'), /"cut" stands twice/],
    ['a mark that is no mark', (r) => void (r.mark = 'toast'), /^mark/],
  ]
  it.each(wrong)('refuses %s, saying where', (_, change, words) => {
    const input = small()
    change(input)
    const reading = readRecipe(input)
    expect(reading.ok).toBe(false)
    if (!reading.ok)
      expect(
        reading.issues.map((i) => `${i.path}: ${i.message} (${i.allowed})`).join('\n'),
      ).toMatch(words)
  })
})
