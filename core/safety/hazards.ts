import { COOKED_THROUGH } from './cookedThrough'
import { EATEN_RAW } from './eatenRaw'
import type { Hazard } from './hazard'
import { HEAT_AND_BLADES } from './heatAndBlades'
import { KEPT_FOOD } from './keptFood'

/** Every hazard that is looked for, in the order in which it is told. */
export const HAZARDS: readonly Hazard[] = [
  ...COOKED_THROUGH,
  ...EATEN_RAW,
  ...KEPT_FOOD,
  ...HEAT_AND_BLADES,
]
