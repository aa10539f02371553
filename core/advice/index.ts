export {
  AIM_WORDS,
  compared,
  figuresOf,
  RUNS,
  schoolsFor,
  type Compared,
  type Figures,
  type School,
} from './compare'
export { changesFor, gainsOf, type Change, type Gain } from './help'
export { slackOf } from './slack'
export {
  costOf,
  roomFor,
  withoutWish,
  withWish,
  type Clash,
  type Cost,
  type Granted,
} from './steer'
export { SECONDS, tried, type Asked, type Effort, type Trial } from './trial'
export { stepWords, wishText, type Speaking } from './words'
