export { aboutSteps } from './about'
export { allergensIn, allergensOf, READ_THE_PACK, type AllergensFound } from './allergens'
export {
  asRead,
  jsonLdOf,
  LARGEST_RECIPE_FILE,
  markdownOf,
  readRecipes,
  type Found,
} from './exchange'
export {
  equipmentFor,
  keptFor,
  mayWaitFor,
  stripOf,
  timesOf,
  withNewStep,
  withoutStep,
  withStep,
} from './edit'
export {
  grainOf,
  grainSum,
  mostLitres,
  pressureMinutes,
  roastMinutes,
  roastOf,
  cookedGrams,
  servingsPerKilo,
  servingsPerPot,
  thawHours,
} from './sums'
export {
  comesFrom,
  foodLinks,
  goesInto,
  HOLDS_FOOD,
  OVEN_SHAPES,
  inOrder,
  lotsOf,
  standingBetween,
  staysIn,
  vesselOf,
  emptiedFirst,
  goesIntoBoxes,
  vesselRuns,
  type FoodLink,
  type Lot,
  type VesselRun,
} from './flow'
export {
  ingredientLine,
  insteadIn,
  itemIn,
  packsIn,
  withIngredient,
  withoutIngredient,
} from './ingredients'
export { indexOf, search } from './search'
export { leftOver, readAmount, readLeaving, takersOf, type Offer } from './leftOver'
export { mainOf } from './mainOf'
export { lowerFirst, upperFirst } from './casing'
export { freeId, idFor, markFor } from './naming'
export { plannable } from './plannable'
export { readRecipe } from './read'
export { canSplit, readKinds, type Kind } from './variants'
export { getsReady, sharesOf } from './shares'
export { singular } from './text/ingredientLine'
export { withSwaps, type Swap } from './swaps'
export { named, onlyWhen, whenOf, withInstead } from './routes'
export {
  recipeSchema,
  type Equipment,
  type Recipe,
  type RecipeInput,
  type Step,
  type Way,
} from './schema'
export { isDry, isFish, isLiquid, isMeat, readRecipeText, type RecipeRead } from './text'
export {
  attentionFor,
  cooks,
  HANDLING_ATTENTION,
  isStoodBeside,
  lawOf,
  WORK_KINDS,
  type WorkKind,
  type WorkLaw,
} from './work'
