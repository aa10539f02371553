export { betterPlan } from './better'
export { LARGEST_FILE, readHousehold } from './read'
export { householdSchema, keptPlanSchema, type Household, type KeptPlan } from './schema'
