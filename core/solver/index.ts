export { roughBound } from './bound'
export { leastBad, type LeastBad } from './leastBad'
export { solve, startSolving, type Run, type SolveOptions } from './solve'
export { below, seeded, type Random } from './random'
