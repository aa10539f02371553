import type { Kitchen } from '../kitchen'
import type { Recipe } from '../recipe'
import { solve } from '../solver'
import { compileSession } from './compile'
import type { Session } from './schema'

/** A way to be done sooner: without these dishes, in so many seconds. */
export interface LeaveOut {
  dishes: string[]
  makespan: number
  fits: boolean
}

/** Decodes for each session that is tried: enough to tell them apart, not to polish them. */
const ITERATIONS = 90
/** Dishes that are left out at most before it is said that the limit is out of reach. */
const MOST = 4

/**
 * What to leave out so that the rest is done within `limit` seconds: every single dish that would
 * do, shortest rest first; where none does, one dish after another, each time the one without
 * which the rest is shortest, until it fits or four are out. Every length is that of a plan, so
 * the rest can be done at least that fast. What must be made stays in. `onTry` hears how many of how many were tried and may
 * answer false to stop.
 */
export async function leaveOut(
  input: { session: Session; kitchen: Kitchen; recipes: Recipe[] },
  limit: number,
  onTry: (done: number, of: number) => Promise<boolean> | boolean = () => true,
): Promise<LeaveOut[]> {
  let gone: string[] = []
  for (let round = 0; round < MOST; round++) {
    const left = input.session.dishes.filter((d) => !gone.includes(d.recipe))
    if (left.length <= 1) return []
    const tried: LeaveOut[] = []
    for (const [i, dish] of left.entries()) {
      if (dish.must) continue
      if (!(await onTry(i, left.length))) return tried.filter((t) => t.fits)
      const dishes = [...gone, dish.recipe]
      const makespan = lengthWithout(input, dishes)
      if (makespan !== undefined) tried.push({ dishes, makespan, fits: makespan <= limit })
    }
    tried.sort((a, b) => a.makespan - b.makespan || (a.dishes.join() < b.dishes.join() ? -1 : 1))
    const fitting = tried.filter((t) => t.fits)
    if (fitting.length) return fitting
    if (!tried.length) return []
    gone = tried[0]!.dishes
    if (round === MOST - 1) return [tried[0]!]
  }
  return []
}

function lengthWithout(
  input: { session: Session; kitchen: Kitchen; recipes: Recipe[] },
  out: readonly string[],
): number | undefined {
  const session = {
    ...input.session,
    dishes: input.session.dishes.filter((d) => !out.includes(d.recipe)),
  }
  const reading = compileSession({ ...input, session })
  if (!reading.ok) return undefined
  const plan = solve(reading.value.problem, { iterations: ITERATIONS })
  return plan.activities.length ? plan.makespan : undefined
}
