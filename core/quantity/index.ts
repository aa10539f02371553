export { amountText, IN_SMALL, measurable, UNITS, WITH_SPOONS, type Unit } from './units'
