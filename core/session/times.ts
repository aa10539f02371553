import { differenceInSeconds, parseISO } from 'date-fns'
import type { ProblemInput } from '../problem'
import { lastSteps } from './closing'
import type { Turns } from './compile'
import type { DishToMake } from './dishes'
import type { Session } from './schema'

/** Seconds from the beginning of a session to an instant; below 0 where it is over by then. */
const secondsTo = (session: Session, instant: string) =>
  differenceInSeconds(parseISO(instant), parseISO(session.start))

/**
 * Adds what is fixed by the clock: when everything or a dish is to be ready, how soon it may be begun, and
 * what goes on since before the session began.
 */
export function addTimes(
  problem: ProblemInput,
  session: Session,
  dishes: readonly DishToMake[],
  turns: Turns,
): void {
  const byId = new Map(problem.activities.map((a) => [a.id, a]))
  if (session.ready !== undefined) {
    const end = secondsTo(session, session.ready)
    // What runs on by itself is not what somebody waits for.
    for (const a of problem.activities) if (!a.aside && end > 0) a.due = Math.min(a.due ?? end, end)
  }
  for (const { recipe } of dishes) {
    const wish = session.dishes.find((d) => d.recipe === recipe.id)
    const of = (step: string) => turns.get(`${recipe.id}.${step}`) ?? []
    const end = wish?.ready === undefined ? 0 : secondsTo(session, wish.ready)
    if (end > 0)
      for (const step of lastSteps(recipe))
        for (const id of of(step.id)) {
          const activity = byId.get(id)!
          activity.due = Math.min(activity.due ?? end, end)
        }
    const begin = wish?.notBefore === undefined ? 0 : secondsTo(session, wish.notBefore)
    for (const step of recipe.steps) {
      if (begin > 0) for (const id of of(step.id)) byId.get(id)!.release = begin
      if (step.since)
        for (const activity of of(step.id)) (problem.pins ??= []).push({ activity, start: [0, 0] })
    }
  }
}
