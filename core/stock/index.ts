export {
  litresOf,
  litresTaken,
  placeFor,
  stockOf,
  toUseUp,
  useSoon,
  withBrought,
  withoutUsed,
  type Brought,
  type Soon,
  type Used,
} from './house'
export { PLACES, stockSchema, type Stock, type StockPlace } from './schema'
