export { finishedIn, slotsOf, type Assignment } from './assign'
export { partingCosts } from './costs'
export {
  finishingOf,
  mealToCook,
  STILL_FROZEN,
  type Eaten,
  type Finishing,
  type MealToCook,
} from './evening'
export { partedAnew, withChanged, withFixed, withoutSitting, withParted, withSitting } from './edit'
export { partByEngine, type PartedByEngine, type SittingLengths } from './search'
export {
  cookingsOf,
  eveningsToCook,
  eveningToCook,
  listedEvening,
  listSittings,
  sittingsOf,
  startingLate,
  type ListedSitting,
  type SittingToCook,
} from './sittings'
export { longWaits, type LongWait } from './waits'
