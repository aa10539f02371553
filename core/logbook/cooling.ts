import { cooks } from '../recipe'
import type { CompiledSession } from '../session'
import { counting, ofKind } from './events'
import type { Running, Standing } from './standing'

/** A dish that has come off the heat and is not cold yet. */
export interface Cooling {
  dish: string
  /** Seconds from the beginning: since when, and by when it has to be in the cold. */
  since: number
  by: number
}

/** Dishes on their way to the cold: each has so many seconds for it, by the usual guidance. */
export function coolingNow(
  { events: all }: Pick<Running, 'events'>,
  { plan, now }: Pick<Standing, 'plan' | 'now'>,
  compiled: CompiledSession,
  standing: number,
): Cooling[] {
  const put = new Set(ofKind(counting(all), 'done').map((e) => e.key))
  return compiled.dishes.flatMap(({ id, to, base }) => {
    if (base || (to !== 'fridge' && to !== 'freezer') || put.has(`cold ${id}`)) return []
    const hot = plan.activities.filter((a) => {
      const card = compiled.cards[a.id]
      return card?.dish === id && !card.marker && cooks(card.work) && a.end > a.start
    })
    const since = Math.max(-1, ...hot.map((a) => a.end))
    // What is still on the heat, however late, ends now at the soonest.
    return since >= 0 && since < now ? [{ dish: id, since, by: since + standing }] : []
  })
}
