import { addMinutes, parseISO } from 'date-fns'
import type { Recipe } from '../../recipe'
import { instantOf, type Session } from '../schema'
import { BY_ITSELF, LONG } from './parting'
import { slotsOf, type Assignment } from './assign'
import type { Kitchen } from '../../kitchen'

/** Hours for which a dish goes on by itself in the middle of a sitting, with more to do afterwards. */
export interface LongWait {
  dish: string
  step: string
  minutes: number
  /** When another sitting would begin that does the rest, to the half hour. */
  then: string
}

/** By what time the long wait of a dish has begun, in minutes of its sitting: a guess. */
const BEGUN = 30

/** What a sitting waits for that goes on by itself for hours; the longest first. */
export function longWaits(
  session: Session,
  kitchen: Kitchen,
  recipes: readonly Recipe[],
  assignment: Assignment | undefined,
): LongWait[] {
  const slots = assignment?.slots ?? slotsOf(session, kitchen)
  return session.dishes
    .flatMap((d): LongWait[] => {
      const recipe = recipes.find((r) => r.id === d.recipe)
      const done = new Set(d.done ?? [])
      return (recipe?.steps ?? []).flatMap((step): LongWait[] => {
        const minutes = step.ways[0]!.minutes[1]
        if (step.aside || done.has(step.id)) return []
        if (!BY_ITSELF.has(step.work) || minutes < LONG) return []
        const placed = assignment?.placed.get(d.recipe)
        const at = placed?.get(step.id) ?? 0
        const after = recipe!.steps.filter((s) => s.after.some((a) => a.step === step.id))
        if (!after.some((s) => (placed?.get(s.id) ?? 0) === at)) return []
        const end = addMinutes(parseISO(slots[at]!.start), BEGUN + minutes)
        const half = addMinutes(end, (30 - (end.getMinutes() % 30)) % 30)
        return [{ dish: d.recipe, step: step.id, minutes, then: instantOf(half) }]
      })
    })
    .sort((a, b) => b.minutes - a.minutes)
}
