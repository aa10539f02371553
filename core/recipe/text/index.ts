export { isFish, isMeat } from './foods'
export { readRecipeText, type RecipeRead } from './readText'
