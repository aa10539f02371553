export { factsAt } from './facts'
export { brokenIn, finishOf, follow, type Course } from './follow'
export { networkOf, type Network, type RunNodes } from './network'
export { coursePlan, played } from './played'
export { Luck } from './draws'
export {
  POLICIES,
  quantile,
  rehearse,
  startRehearsal,
  type Policy,
  type Rehearsal,
  type RehearsalOptions,
} from './rehearse'
export { steadiest, withRoom, type Steady } from './steady'
export { DISTRACTED, USUAL_TIMES, type Times } from './times'
