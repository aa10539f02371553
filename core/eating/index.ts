export { arrange, shortBy, stillGood, type Arrangement, type Moved, type RoleOf } from './arrange'
export { daysFrom, type Day } from './days'
export { afterwards, arranged, type Act, type After, type House } from './house'
export { lookBack, lookBackByDish, type Lookback } from './lookBack'
export { mealSchema, type Meal, type Part } from './schema'
export {
  EVENINGS,
  eveningFrom,
  eveningToPlan,
  planEvening,
  type Evening,
  type PlannedEvening,
} from './tonight'
