import { wrap, type Remote } from 'comlink'
import type { Planner } from './planner.worker'

/** A planner in a worker of its own; `end` stops it at once, whatever it is doing. */
export function startPlanner(): { planner: Remote<Planner>; end: () => void } {
  const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
  return { planner: wrap<Planner>(worker), end: () => worker.terminate() }
}
