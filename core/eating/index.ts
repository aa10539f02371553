export { arrange, type Arrangement, type Moved } from './arrange'
export { asPacked } from './asPacked'
export { eveningsCalendar } from './calendar'
export { daysFrom, freshDays, type Around, type Day } from './days'
export { helpingOf, meantOn, settled, spareOf, type Told } from './table'
export { afterwards, arranged, type Act, type After, type House } from './house'
export { lookBack, lookBackByDish, type Lookback } from './lookBack'
export { shortBy, type RoleOf } from './served'
export { mealSchema, type Meal, type Part } from './schema'
export {
  EVENINGS,
  eveningFrom,
  eveningToPlan,
  planEvening,
  type Evening,
  type PlannedEvening,
} from './tonight'
