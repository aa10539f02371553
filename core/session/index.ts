export { rulesOf, standingOf } from './houseRules'
export { oneByOne } from './oneByOne'
export { CALM, figureOf, withCalm, type Calm } from './calm'
export { compileSession, type CompiledSession, type FoodWait } from './compile'
export type { Card } from './activities'
export { dishesToMake, recipesById, recipesOf, type DishToMake } from './dishes'
export { withExtras, type Extra } from './extra'
export {
  AIMS,
  byStart,
  daySchema,
  idSchema,
  instantOf,
  keyOf,
  LEAST_BATCHES,
  MAIN,
  MOST_BATCHES,
  MOST_CALM,
  sessionOf,
  sittingOf,
  USUAL_HOUR,
  sessionSchema,
  type Aim,
  type Evening,
  type Session,
  type SessionDish,
  type Sitting,
} from './schema'
export { mendsOf, type Mend } from './mends'
export { readSessionFile, recipeIssues, sessionFileSchema, type SessionFile } from './sessionFile'
export { recipesFrom, sessionFrom } from './fromRecipes'
export { leaveOut, type LeaveOut } from './leaveOut'
export type { SharedPrep } from './sharedPrep'
export {
  daysAfter,
  eveningsFrom,
  fillEvenings,
  menuOf,
  withEaten,
  type MenuDish,
  type MenuEvening,
} from './menu'
export { aheadOf, withoutDone } from './ahead'
export { goesTo, servingSteps } from './closing'
export { keptTill, neverFrozen } from './eatenSoon'
export { leftoversTaken, type Leftover } from './leftovers'
export { itemsIn, keepsIn } from './keepsIn'
export { litresBy, litresFilled } from './fill'
export { inTurn, menuFrom, menuSchema, withMenu, type Menu } from './earlierMenus'
export { roleIn, type Role } from './role'
export { percents } from './portions'
export { dueOf, readToUse, withoutDue, type Due, type ToUse } from './useUp'
export { isWaiting, sameWish, wishSchema, type Wish } from './wishes'
export {
  withDish,
  withDishBack,
  withMoreBatches,
  withNewDish,
  withoutDish,
  type DishEdit,
} from './edit'
export {
  cookingsOf,
  eveningToCook,
  finishedIn,
  finishingOf,
  listedEvening,
  listSittings,
  longWaits,
  mealToCook,
  partByEngine,
  partedAnew,
  partingCosts,
  sittingsOf,
  eveningsToCook,
  slotsOf,
  startingLate,
  STILL_FROZEN,
  withChanged,
  withFixed,
  withoutSitting,
  withParted,
  withSitting,
  type Assignment,
  type Eaten,
  type Finishing,
  type PartedByEngine,
  type ListedSitting,
  type LongWait,
  type MealToCook,
  type SittingToCook,
} from './sittings'
export {
  HABITS,
  nextDay,
  proposed,
  rhythmSchema,
  type Before,
  type Rhythm,
  type RhythmInput,
} from './rhythm'
