export { readRecipe } from './read'
export {
  recipeSchema,
  type Equipment,
  type Recipe,
  type RecipeInput,
  type Step,
  type Way,
} from './schema'
export { HANDLING_ATTENTION, lawOf, WORK_KINDS, type WorkKind, type WorkLaw } from './work'
