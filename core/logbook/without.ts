import { startAnew } from './anew'
import { problemLeft } from './asked'
import type { Event } from './events'
import { givenUp, takersOf } from './givenUp'
import { standingAt, type Running, type Standing } from './standing'

/** What giving up a dish would gain. */
export interface Without {
  dish: string
  /** When the rest would be finished, in seconds from the beginning. */
  finish: number
}

/** What must be gained to be worth a word, in seconds: an estimate of ours. */
const WORTH = 60
/** Decodes for each dish that is tried: enough to tell them apart, not to polish them. */
const ITERATIONS = 30

/** The dishes that could still be given up: nothing of them has begun, and no other dish takes of them. */
export function notBegun(running: Running, { net, now, plan }: Standing): string[] {
  const { problem } = running
  const begun = new Set(plan.activities.filter((a) => a.start < now).map((a) => a.id))
  const bases = takersOf(running)
  const dishes = new Set(net.runs.flatMap((r) => r.activity.dish ?? []))
  return [...dishes].filter(
    (dish) =>
      !bases.has(dish) && !problem.activities.some((a) => a.dish === dish && begun.has(a.id)),
  )
}

/**
 * When the rest would be finished without each of these dishes, soonest first; those that gain nothing
 * are left out. Each is the length of a plan that keeps all that the standing plan keeps. `onTry` may
 * answer false to stop.
 */
export async function soonerWithout(
  running: Running,
  standing: Pick<Standing, 'now' | 'pauses'>,
  dishes: readonly string[],
  onTry: (done: number, of: number) => Promise<boolean> | boolean = () => true,
): Promise<Without[]> {
  const { now, pauses } = standing
  const gone = givenUp(running)
  const least = (events: readonly Event[]): number => {
    const then = { ...running, events }
    const stand = standingAt(then, now, pauses)
    const asked = problemLeft(then, stand)
    const anew = startAnew(asked, stand.plan, { iterations: ITERATIONS })
    while (anew.advance(0));
    const found = anew.best()
    // Going on in the order of the plan is possible too.
    return found ? Math.min(found.plan.makespan, stand.finish) : stand.finish
  }
  const as = least(running.events)
  const out: Without[] = []
  for (const [i, dish] of dishes.entries()) {
    if (gone.has(dish)) continue
    if (!(await onTry(i, dishes.length))) break
    const event: Event = { id: `without ${dish}`, at: 0, kind: 'given-up', dish, second: now }
    const finish = least([...running.events, event])
    if (finish < as - WORTH) out.push({ dish, finish })
  }
  return out.sort((a, b) => a.finish - b.finish)
}
