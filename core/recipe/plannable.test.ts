import { describe, expect, it } from 'vitest'
import { demoRecipes } from '../../demo'
import { equipmentFor, keptFor, withoutStep } from './edit'
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
    expect(SOUP.keeps).toEqual([
      { id: 'pot-1', vessel: { kind: 'pot' }, from: 'soften', to: 'simmer' },
    ])
    for (const id of ['soften', 'simmer']) {
      const step = SOUP.steps.find((s) => s.id === id)!
      expect(step.ways[0]!.on.map((o) => o.kind)).toEqual(['burner'])
      expect(equipmentFor(SOUP, step)).toEqual(['burner', 'pot'])
    }
    expect(keptFor(SOUP, 'chop')).toEqual([])
  })

  it('leaves a vessel that is used once with its step', () => {
    const fry = made('Fry the onion in a frying pan for 8 minutes.')
    expect(fry.keeps).toEqual([])
    expect(fry.steps[0]!.ways[0]!.on.map((o) => o.kind)).toContain('frying-pan')
  })

  it('keeps the vessel when the step at one end of it is taken out', () => {
    const less = withoutStep(SOUP, 'soften')
    expect(less.keeps[0]).toMatchObject({ from: 'simmer', to: 'simmer' })
    expect(withoutStep(less, 'simmer').keeps).toEqual([])
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

  it.each([
    ['Soak the kidney beans overnight.', 'poisonous'],
    ['Bake at 180C for an hour until it reaches 74°C inside.', '74 °C'],
    ['Shape the minced beef into balls.', 'Raw'],
    ['Cook at high pressure for 20 minutes.', 'never force the lid'],
    ['Heat the oil to 180°C and fry for 4 minutes.', 'catches fire'],
    ['Cool for 20 minutes.', 'two hours'],
  ])('warns where it can hurt: %s', (method, words) => {
    expect(
      made(method)
        .steps.map((s) => s.caution)
        .join(),
    ).toContain(words)
  })
})
