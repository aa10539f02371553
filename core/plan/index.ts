export { breachText, checkPlan, type Breach } from './check'
export { ovenSettings, type OvenSetting } from './ovenSettings'
export { progressAt } from './progressAt'
export { readPlan } from './read'
export {
  planSchema,
  type ActivityRun,
  type ChoreRun,
  type HeatRun,
  type HoldRun,
  type PhaseRun,
  type Plan,
  type PlanStatus,
} from './schema'
export {
  BRIEF,
  comparePlans,
  compareValues,
  compareWithin,
  handsSpread,
  objectiveValue,
  switches,
  valuesOfPlan,
  wantsMore,
} from './values'
export { brokenBy, brokenWords, limitsOf, NONE, relaxed, type Broken, type Limit } from './limits'
