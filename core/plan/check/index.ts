export { breachText, checkPlan } from './check'
export type { Breach } from './context'
