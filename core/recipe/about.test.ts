import { describe, expect, it } from 'vitest'
import { aboutSteps } from './about'
import { plannable } from './plannable'
import { recipeSchema } from './schema'
import { readRecipeText } from './text'
import { dishTold } from './told.fixture'

const aboutOf = (ingredients: string, method: string) => {
  const recipe = dishTold(ingredients, `Heat the oven to 200 °C. ${method}`)
  return aboutSteps(recipe).get(recipe.steps.at(-1)!.id)
}

describe('what a step is about', () => {
  it('is no machine, no part of a tin and no pinch of spice', () => {
    expect(aboutOf('1 kg beef', 'Tip everything into the slow cooker.')).toBe('the beef')
    expect(
      aboutOf('1 kg brisket', 'Sit the brisket over the base of the tin. Roast it for 90 minutes.'),
    ).toBe('the brisket')
    expect(
      aboutOf(
        '50 g butter\n50 g flour\n500 ml milk\nnutmeg',
        'Melt the butter, stir in the flour, whisk in the milk. Simmer for 5 minutes, season with nutmeg.',
      ),
    ).toBe('the sauce')
  })

  it('is no longer called after the garlic once the tomatoes are in', () => {
    expect(
      aboutOf(
        '2 cloves garlic\n800 g tomatoes',
        'Fry the garlic for 1 minute. Add the tomatoes, simmer for 10 minutes.',
      ),
    ).toBe('the tomatoes and garlic')
  })

  it('is the meat, whatever was squeezed over it last', () => {
    expect(
      aboutOf('1 chicken\n1 lemon', 'Squeeze the lemon over the chicken. Roast it for 90 minutes.'),
    ).toBe('the chicken')
  })

  it('is what there is most of, and of many things two', () => {
    expect(
      aboutOf(
        '20 g ginger\n600 g carrots\n1 kg potatoes for roasting, peeled',
        'Toss the ginger, carrots and potatoes together. Roast for 50 minutes.',
      ),
    ).toBe('the potatoes, carrots and the rest')
  })

  it('is what its own words call it, or those of the only step before', () => {
    const flour = '500 g flour\n1 tsp salt\n200 ml milk'
    expect(aboutOf(flour, 'Mix it all together and shape the loaf. Bake for 40 minutes.')).toBe(
      'the loaf',
    )
    expect(
      aboutOf(
        '500 g minced beef\n100 g oats',
        'Shape the beef and oats into patties. Bake the patties on a tray for 20 minutes.',
      ),
    ).toBe('the patties')
  })

  it('is all that is there where the words name one of several', () => {
    expect(
      aboutOf(
        '500 g carrots\n400 g leeks',
        'Slice the leeks. Roast the carrots and leeks for 30 minutes.',
      ),
    ).toBe('the carrots and leeks')
  })

  it('is not the less of what comes together, where only that is named', () => {
    const of = (method: string) => aboutOf('2 onions\n800 g minced beef\n1 tsp cumin', method)
    const browned = 'Soften the onions for 10 minutes, then lift out. Brown the beef for 8 minutes.'
    expect(
      of(
        `${browned} Return the onions to the pot with all the beef and the cumin. Simmer for 1 hour.`,
      ),
    ).toBe('the minced beef, onions and the rest')
    expect(of('Soften the onions for 10 minutes.')).toBe('the onions')
  })

  it('is the dish where most of it is in, and dough while it rises', () => {
    const { steps, ...rest } = readRecipeText(
      'Focaccia with rosemary\n\nIngredients\n500 g flour\n7 g sachet dried yeast\n300 ml water\n2 sprigs rosemary\n\nMethod\nMix the flour, yeast and water. Prove for 1 hour. Scatter over the rosemary. Bake for 25 minutes at 220 °C.',
    )
    expect(rest.ingredients[1]!.item).toBe('dried yeast')
    const recipe = recipeSchema.parse(plannable({ ...rest, steps }, 'dish', 'Di'))
    const about = aboutSteps(recipe)
    const of = (work: string) => about.get(recipe.steps.find((s) => s.work === work)!.id)
    expect([of('prove'), of('bake')]).toEqual(['the dough', 'the focaccia'])
  })

  it('is nothing that has a name where only oil is heated', () => {
    expect(
      aboutOf('4 tbsp oil', 'Heat the oil in a tin in the oven for 5 minutes.'),
    ).toBeUndefined()
  })

  it('is never the yeast, nor what is strewn over or stirred in last', () => {
    expect(
      aboutOf('450 g flour\n1/4 tsp instant yeast\n350 ml water', 'Stir everything together.'),
    ).toBe('the dough')
    expect(
      aboutOf(
        '500 g ricotta\n500 g spinach\n125 g mozzarella\n50 g parmesan',
        'Mix the ricotta with the spinach. Scatter with the mozzarella and the rest of the parmesan.',
      ),
    ).not.toBe('the parmesan')
  })
})
