export { readKitchen } from './read'
export { isFilled, KINDS, kindWord, oneOf, type Filled, type Kind } from './kinds'
export { newStation, READY_KITCHENS } from './ready'
export {
  clockSchema,
  kitchenSchema,
  MOST_BREATHER,
  MOST_MEAL,
  USUAL_RULES,
  type Box,
  type HouseRules,
  type Kitchen,
  type KitchenInput,
  type KitchenStation,
  type Person,
  type Zone,
} from './schema'
