import { brokenBy, limitsOf, NONE, relaxed, type Broken, type Plan } from '../../plan'
import type { Problem } from '../../problem'
import { Search } from './search'
import { planOf } from '../model/planBody'
import { PARAMS } from '../params'

/** The plan that breaks least where none keeps everything. */
export interface LeastBad {
  /** Valid for the problem with the broken limits as they are now. */
  plan: Plan
  broken: Broken[]
}

const { FIRST, TRY, LAST, HALVES } = PARAMS.leastBad

/**
 * A plan for a problem of which none keeps all limits: waits of food and pinned starts are kept before
 * due times, those before the deadline, and what must be broken is broken by as little as turns up.
 * Undefined where there is no plan even without any of them, or none in time.
 */
export function leastBad(
  problem: Problem,
  { seed = 1, expired = () => false }: { seed?: number; expired?: () => boolean } = {},
): LeastBad | undefined {
  const limits = limitsOf(problem)
  const search = (candidate: Problem, decodes: number): Plan | undefined => {
    const run = new Search(candidate, seed)
    run.expired = expired
    for (let i = 0; i < decodes && !run.infeasible && !run.finished && !expired(); i++) run.step()
    const verdict = { status: 'feasible' as const, bound: 0, seed, elapsedMs: 0, reasons: [] }
    return run.best && planOf(run.model, run.best.body, verdict)
  }
  const free = limits.map((limit) => ({ ...limit, now: NONE }))
  let plan = search(relaxed(problem, free), FIRST)
  if (!plan) return undefined
  let broken = brokenBy(problem, plan)
  const accept = (tried: Broken[], decodes: number): boolean => {
    const found = search(relaxed(problem, tried), decodes)
    if (!found) return false
    plan = found
    broken = brokenBy(problem, found)
    return true
  }
  // With what it does not break as strict as ever, it may need to break less of the rest.
  accept(broken, TRY)
  for (const { limit, was } of limits) {
    for (let half = 0; half <= HALVES && !expired(); half++) {
      const now = broken.find((b) => b.limit === limit)?.now
      if (now === undefined) break
      const to = half === 0 ? was : Math.floor(now - (now - was) / 2 ** half)
      if (to >= now) break
      if (
        accept(
          broken.map((b) => (b.limit === limit ? { ...b, now: to } : b)),
          TRY,
        )
      )
        half--
    }
  }
  accept(broken, LAST)
  return { plan, broken }
}
