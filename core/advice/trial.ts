import type { Kitchen } from '../kitchen'
import { checkPlan, type Plan } from '../plan'
import type { Recipe } from '../recipe'
import { compileSession, type CompiledSession, type Session } from '../session'
import { startSolving } from '../solver'

/** What is planned: a session with its kitchen and recipes. */
export interface Asked {
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
}

/** How long something is tried, and by which clock; by decodes it is the same on any machine. */
export interface Effort {
  seconds?: number
  iterations?: number
  clock?: () => number
}

/** Seconds for which each is planned while somebody waits: what a wish costs, what might help, what is compared. */
export const SECONDS = { cost: 0.8, help: 2, compare: 4 } as const

/** Decodes where nothing else is said: enough to tell two ways apart, not to polish them. */
const ITERATIONS = 90

/** What something else would come to, by a plan of its own that the checker has passed. */
export type Trial =
  | { possible: true; plan: Plan; compiled: CompiledSession }
  | { possible: false; proven: boolean; compiled?: CompiledSession }

/**
 * Plans what is asked: from a plan that is there already where that is valid for it, and with as little of it
 * changed as may be. `proven` where it cannot be planned at all; otherwise none turned up in the time.
 */
export function tried(asked: Asked, from: Plan | undefined, effort: Effort = {}): Trial {
  const reading = compileSession(asked)
  if (!reading.ok) return { possible: false, proven: true }
  const compiled = reading.value
  const { problem } = compiled
  const run = startSolving(problem, {
    ...(effort.seconds === undefined && effort.iterations === undefined
      ? { iterations: ITERATIONS }
      : effort),
    ...(from ? { previous: from } : {}),
  })
  if (from && !checkPlan(problem, from).length) run.receive(from)
  while (run.advance(Infinity));
  const plan = run.plan()
  if (!plan.activities.length)
    return { possible: false, proven: plan.status === 'infeasible', compiled }
  const breaches = checkPlan(problem, plan)
  if (breaches.length) throw new Error(`The plan breaks ${breaches[0]!.message}`)
  return { possible: true, plan, compiled }
}
