export { busyEvenings, type BusyEvening } from './busy'
export { calendarOf } from './calendar'
