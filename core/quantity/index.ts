export { amountText, measurable, UNITS, type Unit } from './units'
