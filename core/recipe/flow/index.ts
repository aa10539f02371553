export { comesFrom, foodLinks, goesInto, type FoodLink } from './links'
export { inOrder, lotsOf, type Lot } from './lots'
export { softens, STANDING, standingBetween, type Standing } from './standing'
export {
  emptiedFirst,
  goesIntoBoxes,
  HOLDS_FOOD,
  OVEN_SHAPES,
  staysIn,
  vesselOf,
  vesselRuns,
  type VesselRun,
} from './vessels'
