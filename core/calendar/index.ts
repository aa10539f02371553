export { busyEvenings, type BusyEvening } from './busy'
export { calendarFile, calendarOf, type Entry } from './calendar'
