export { played } from './played'
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
