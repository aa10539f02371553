export { ALLERGENS, allergensIn, isMeat, isRaw } from './foods'
export { readIngredientLine, type IngredientRead } from './ingredientLine'
export type { StepRead } from './method'
export { readRecipeText, type RecipeRead } from './readText'
