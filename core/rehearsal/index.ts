export {
  POLICIES,
  quantile,
  rehearse,
  type Policy,
  type Rehearsal,
  type RehearsalOptions,
} from './rehearse'
export { DISTRACTED, USUAL_TIMES, type Times } from './times'
