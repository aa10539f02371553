export {
  kitchenSchema,
  type Kitchen,
  type KitchenInput,
  type KitchenStation,
  type Person,
  type Zone,
} from './schema'
