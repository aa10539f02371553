export { amountText, IN_SMALL, measurable, trim, UNITS, WITH_SPOONS, type Unit } from './units'
export {
  celsiusOf,
  degreesOf,
  degreesRange,
  degreesText,
  dialText,
  inMeasures,
  measuresSchema,
  OVEN_MARKS,
  ovenText,
  USUAL_MEASURES,
  type Degrees,
  type Measures,
} from './measures'
export { counted, plural } from './counted'
