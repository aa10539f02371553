export { amountText, IN_SMALL, measurable, UNITS, WITH_SPOONS, type Unit } from './units'
export {
  celsiusOf,
  degreesOf,
  degreesRange,
  degreesText,
  inMeasures,
  markText,
  measuresSchema,
  OVEN_MARKS,
  ovenText,
  USUAL_MEASURES,
  type Degrees,
  type Measures,
} from './measures'
export { counted, plural } from './counted'
