export { rampSeconds } from './ramp'
export { id, instant, LONGEST, span, text, celsius } from './fields'
export { fingerprint } from './fingerprint'
export {
  activityRun,
  choreRun,
  heatRun,
  holdRun,
  phaseRun,
  progress,
  type Progress,
} from './progress'
export { ownValue, readingAllNames } from './names'
export { readProblem } from './read'
export {
  objectiveName,
  problemSchema,
  type Activity,
  type Choice,
  type Cook,
  type Hold,
  type Mode,
  type Need,
  type ObjectiveName,
  type Phase,
  type Pin,
  type Problem,
  type ProblemInput,
  type Relation,
  type Station,
} from './schema'
