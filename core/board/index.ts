export { chainText, decidingChain, type ChainLink } from './chain'
export { handworkOf, waitingTime, type Handwork } from './hands'
export { strandsOf, type Strand, type Stretch } from './strands'
export { loomOf, type LoomCell, type LoomRow } from './loom'
