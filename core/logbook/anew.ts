import { brokenBy, checkPlan, relaxed, type Broken, type Plan } from '../plan'
import type { Problem } from '../problem'
import { leastBad, startSolving } from '../solver'
import { FOR_GOOD } from './asked'

/** A plan of what is left, and the limits that it breaks because no plan in reach keeps them. */
export interface Anew {
  plan: Plan
  broken: Broken[]
}

export interface AnewOptions {
  seed?: number
  seconds?: number
  iterations?: number
  clock?: () => number
}

/** Milliseconds for a plan where a place is gone and the order cannot be kept. */
const LEAST_MS = 400

/**
 * Plans what is left, changing as little as it must of `kept`: the plan that goes on in its order. What
 * that order breaks already may be broken by as much, so that there is a plan to begin with and nothing is
 * asked for that cannot be any more.
 */
export function startAnew(
  problem: Problem,
  kept: Plan,
  { seed = 1, seconds, iterations, clock }: AnewOptions = {},
): { advance: (milliseconds: number) => boolean; best: () => Anew | undefined } {
  const late = brokenBy(problem, kept)
  const asked = relaxed(problem, late)
  const run = startSolving(asked, {
    seed,
    previous: kept,
    ...(seconds === undefined ? {} : { seconds }),
    ...(iterations === undefined ? {} : { iterations }),
    ...(clock ? { clock } : {}),
  })
  let least: Anew | undefined
  let tried = false
  const found = (): Anew | undefined => {
    const plan = run.plan()
    // Nothing else can do what a place did that is gone: waiting for it is no plan.
    if (plan.makespan >= FOR_GOOD) return undefined
    if (!plan.activities.length || checkPlan(asked, plan).length) return undefined
    return { plan, broken: brokenBy(problem, plan) }
  }
  return {
    advance(milliseconds) {
      const going = run.advance(milliseconds)
      if (!going && !tried && !found()) {
        tried = true
        const until = (clock?.() ?? 0) + LEAST_MS
        let asked = 0
        const expired = clock ? () => clock() > until : () => ++asked > 600
        const found = leastBad(problem, { seed, expired })
        if (found && found.plan.makespan < FOR_GOOD) least = found
      }
      return going
    },
    best: () => found() ?? least,
  }
}

/** What must be gained for the cooks to be told of another order, in seconds: an estimate of ours. */
const WORTH = 60

/** Food that waits too long, dishes too late: by how much in all, in seconds. */
const excess = (broken: readonly Broken[]) =>
  broken.reduce((sum, { was, now }) => sum + Math.max(0, now - was), 0)

/**
 * Whether a plan is worth telling the cooks, beside going on in the order that they have in mind: where it
 * breaks less by a minute at least, or breaks no more and is finished a minute sooner, or where the
 * order cannot be kept.
 */
export function worthTelling(problem: Problem, kept: Plan, anew: Anew): boolean {
  const late = brokenBy(problem, kept)
  if (checkPlan(relaxed(problem, late), kept).length) return true
  const [before, after] = [excess(late), excess(anew.broken)]
  if (after <= before - WORTH) return true
  return after <= before && anew.plan.makespan <= kept.makespan - WORTH
}
