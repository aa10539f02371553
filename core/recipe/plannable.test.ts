import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { equipmentFor, keptFor, withoutStep } from './edit'
import { vesselRuns } from './flow'
import { plannable } from './plannable'
import { readRecipe } from './read'
import { recipeSchema, type Recipe } from './schema'
import { readRecipeText } from './text'

const made = (method: string, ingredients = '1 onion'): Recipe =>
  recipeSchema.parse(
    plannable(
      readRecipeText(`Dish\n\nIngredients\n${ingredients}\n\nMethod\n${method}`),
      'dish',
      'Di',
    ),
  )
const SOUP = made(
  'Chop the onion. Soften the onion in a large pot for 8 minutes. Add the stock and simmer for 20 minutes. Blend with a hand blender. Simmer the soup for 5 minutes.',
  '1 onion\n1 l stock',
)

describe('plannable: vessels', () => {
  it('keeps the pot over the steps that go straight on in it, so that nobody else takes it', () => {
    const [pot] = vesselRuns(SOUP)
    expect(pot).toMatchObject({
      vessel: { kind: 'pot' },
      steps: ['soften', 'simmer', 'blend', 'simmer-2'],
      takers: [],
    })
    expect(keptFor(SOUP, 'blend')).toEqual(['pot'])
    expect(
      equipmentFor(
        SOUP,
        SOUP.steps.find((s) => s.id === 'simmer')!,
      ),
    ).toEqual(['pot', 'burner'])
    expect(keptFor(SOUP, 'chop')).toEqual([])
  })

  it('can lose any step', () => {
    for (const recipe of demoRecipes)
      for (const step of recipe.steps) {
        const rest = withoutStep(recipe, step.id)
        expect(readRecipe(rest).ok).toBe(true)
      }
  })
})

describe('plannable: times, heat and cautions', () => {
  it('counts hands work by the middle and what cooks by the most that is stated', () => {
    const [cut, bake] = made(
      'Slice the onion for 4-8 minutes. Bake at 180C for 30-40 minutes.',
    ).steps
    expect(cut!.ways[0]!.minutes).toEqual([4, 6, 8])
    expect(bake!.ways[0]!.minutes.slice(0, 2)).toEqual([30, 40])
  })

  it('lets what only waits wait on, and not what cooks', () => {
    const [simmer, cool] = made('Simmer for 20 minutes. Cool for 20 minutes.').steps
    expect(cool!.ways[0]!.minutes[2]).toBeGreaterThan(simmer!.ways[0]!.minutes[2] + 30)
  })
})
