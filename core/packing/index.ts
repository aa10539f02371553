export {
  chooseBoxes,
  closable,
  HEADROOM,
  inUse,
  roomIn,
  toBox,
  type Boxed,
  type ToBox,
} from './boxes'
export {
  leavingsOf,
  packedAs,
  packedKeeps,
  packsFrom,
  portionsOfYield,
  shareOut,
  usualPortion,
  type Leaving,
  type Share,
  type Yield,
} from './divide'
export { isWet, litresOfPortion } from './litres'
export {
  dayAfter,
  isPast,
  litresLying,
  lyingIn,
  lyingOf,
  onceThawed,
  rounded,
  THAWED_DAYS,
  type Lying,
} from './lying'
export { withMove } from './moves'
export { checkRoom, type Proposal, type RoomCheck } from './room'
export { MOST_PORTIONS, packSchema, WHY_THROWN, type Move, type Pack } from './schema'
export { tallyMoves, type Tally } from './tally'
