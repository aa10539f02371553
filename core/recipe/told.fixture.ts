import { plannable } from './plannable'
import { recipeSchema, type Recipe } from './schema'
import { readRecipeText } from './text'

/** The recipe that a text becomes. */
export const recipeTold = (text: string, id = 'dish', mark = 'Di'): Recipe =>
  recipeOf(readRecipeText(text), id, mark)

/** The same of a text that has been read. */
export const recipeOf = (
  read: ReturnType<typeof readRecipeText>,
  id = 'dish',
  mark = 'Di',
): Recipe => recipeSchema.parse(plannable(read, id, mark))

/** The same of a list and a method. */
export const dishTold = (ingredients: string, method: string, name = 'Dish'): Recipe =>
  recipeTold(`${name}\nServes 4\n\nIngredients\n${ingredients}\n\nMethod\n${method}`)
