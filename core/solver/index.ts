export { solve, startSolving, type Run, type SolveOptions } from './solve'
