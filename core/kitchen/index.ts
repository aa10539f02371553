export { newStation, READY_KITCHENS, STATION_KINDS } from './ready'
export {
  kitchenSchema,
  type Kitchen,
  type KitchenInput,
  type KitchenStation,
  type Person,
  type Zone,
} from './schema'
