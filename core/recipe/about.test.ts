import { describe, expect, it } from 'vitest'
import { aboutSteps } from './about'
import { plannable } from './plannable'
import { recipeSchema } from './schema'
import { readRecipeText } from './text'

const aboutOf = (ingredients: string, method: string) => {
  const recipe = recipeSchema.parse(
    plannable(
      readRecipeText(
        `Dish\nServes 4\n\nIngredients\n${ingredients}\n\nMethod\nHeat the oven to 200 °C. ${method}`,
      ),
      'dish',
      'Di',
    ),
  )
  return aboutSteps(recipe).get(recipe.steps.at(-1)!.id)
}

describe('what a step is about', () => {
  it('is the meat, whatever was squeezed over it last', () => {
    expect(
      aboutOf('1 chicken\n1 lemon', 'Squeeze the lemon over the chicken. Roast it for 90 minutes.'),
    ).toBe('the chicken and lemon')
  })

  it('is what there is most of, and of many things two', () => {
    expect(
      aboutOf(
        '20 g ginger\n600 g carrots\n1 kg potatoes for roasting, peeled',
        'Toss the ginger, carrots and potatoes together. Roast for 50 minutes.',
      ),
    ).toBe('the potatoes, carrots and the rest')
  })

  it('is nothing that has a name where only oil is heated', () => {
    expect(
      aboutOf('4 tbsp oil', 'Heat the oil in a tin in the oven for 5 minutes.'),
    ).toBeUndefined()
  })
})
