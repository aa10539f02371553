export { chainText, decidingChain, type ChainLink } from './chain'
export { handworkOf, waitingTime, type Handwork } from './hands'
export { strandsOf, type Strand, type Stretch } from './strands'
