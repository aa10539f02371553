export { rulesOf, standingOf } from './houseRules'
export { oneByOne } from './oneByOne'
export { CALM, withCalm, type Calm } from './calm'
export { compileSession, type CompiledSession, type FoodWait } from './compile'
export type { Card } from './activities'
export { dishesToMake, type DishToMake } from './dishes'
export {
  MOST_BATCHES,
  MOST_CALM,
  sessionSchema,
  type Evening,
  type Session,
  type SessionDish,
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
export { aheadOf } from './ahead'
export { litresBy } from './fill'
export { inTurn, menuFrom, menuSchema, withMenu, type Menu } from './earlierMenus'
export { packsOf, type PackUse } from './packs'
export { percents } from './portions'
export { dueOf, readToUse, withoutDue, type Due, type ToUse } from './useUp'
export { withDish, withDishBack, withNewDish, withoutDish } from './edit'
