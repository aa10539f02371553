export { isDry, isFish, isLiquid, isMeat } from './foods'
export { readRecipeText, type RecipeRead } from './readText'
