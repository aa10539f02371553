export { decidingChain, type ChainLink } from './chain'
export { handworkOf, waitingTime, type Handwork } from './hands'
export { runningList, unattended, type ListLine } from './runningList'
export { strandsOf, type Strand, type Stretch } from './strands'
