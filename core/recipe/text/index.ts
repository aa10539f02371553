export { allergensIn, isFish, isMeat } from './foods'
export { readRecipeText } from './readText'
