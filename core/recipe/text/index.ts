export { allergensIn, isMeat } from './foods'
export { readRecipeText } from './readText'
