export { asRead, jsonLdOf, markdownOf, readRecipes, type Found } from './exchange'
export {
  mayWaitFor,
  stripOf,
  timesOf,
  waitsFor,
  withNewStep,
  withoutStep,
  withStep,
  type StripRow,
} from './edit'
export {
  grainOf,
  grainSum,
  mostLitres,
  pressureMinutes,
  roastMinutes,
  roastOf,
  servingsPerKilo,
  thawHours,
  type Sum,
} from './sums'
export { GAS_MARKS } from './text/temperatures'
export { indexOf, search, type Entry, type Wanted } from './search'
export { idFor, markFor, plannable } from './plannable'
export { readRecipe } from './read'
export {
  recipeSchema,
  type Equipment,
  type Recipe,
  type RecipeInput,
  type Step,
  type Way,
} from './schema'
export {
  allergensIn,
  readRecipeText,
  type IngredientRead,
  type RecipeRead,
  type StepRead,
} from './text'
export { HANDLING_ATTENTION, lawOf, WORK_KINDS, type WorkKind, type WorkLaw } from './work'
