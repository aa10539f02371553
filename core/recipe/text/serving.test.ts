import { describe, expect, it } from 'vitest'
import { readRecipeText } from './index'

const SOUP = `Bone noodle soup

Serves 6

bones of 1 chicken
2 carrots, diced
1.5 litres water
250 g egg noodles
handful parsley, chopped

Put the bones in a large pot with the water and simmer for 1 hour 30 minutes. Strain the stock.
Add the carrots and simmer for 15 minutes.
Cool and freeze for up to 3 months.
To serve, boil the noodles for 5 minutes, add to the hot soup and sprinkle with parsley.`

describe('a dish that is finished when it is eaten', () => {
  const { steps, ingredients } = readRecipeText(SOUP)

  it('has what is cooked to serve as a step of its own, though it was packed before', () => {
    const boil = steps.find((s) => s.do.startsWith('To serve'))!
    expect(boil).toMatchObject({ work: 'boil', minutes: [5, 5] })
    expect(boil.uses.map((id) => ingredients.find((i) => i.id === id)!.item)).toEqual([
      'egg noodles',
    ])
    expect(steps.find((s) => s.work === 'pack')!.do).toBe('Freeze for up to 3 months')
  })

  it('loses no ingredient whose line begins with what part it is', () => {
    expect(ingredients[0]).toMatchObject({ item: 'chicken bones', amount: 1, unit: 'piece' })
    const { ingredients: others } = readRecipeText(
      'Sauce\n\nServes 2\n\nJuice of 1 lemon\n2 tbsp oil\n\nWhisk the juice into the oil.',
    )
    expect(others.map((i) => i.item)).toEqual(['lemon', 'oil'])
  })

  it('keeps a word at the table at the dish', () => {
    const { steps: told } = readRecipeText(
      'Stew\n\nServes 4\n\n500 g beef\n1 onion\n1 lemon\n\nSimmer the beef and onion for 2 hours. Pack into boxes. To serve, squeeze over the lemon.',
    )
    expect(told.some((s) => s.do.includes('squeeze over the lemon') && s.work === 'boil')).toBe(
      false,
    )
  })
})
