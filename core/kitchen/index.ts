export { readKitchen } from './read'
export { newStation, READY_KITCHENS, STATION_KINDS } from './ready'
export {
  kitchenSchema,
  USUAL_RULES,
  type HouseRules,
  type Kitchen,
  type KitchenInput,
  type KitchenStation,
  type Person,
  type Zone,
} from './schema'
