import { addMinutes, parseISO } from 'date-fns'
import { calendarFile, type Entry } from '../calendar'
import type { Lying } from '../packing'
import type { Recipe } from '../recipe'
import { USUAL_HOUR } from '../session'
import type { Arrangement } from './arrange'
import { eveningFrom } from './tonight'

/** Minutes for which one sits at the table, and before which the kitchen is gone to. */
const AT_TABLE = 45
const KITCHEN = 35
/** When what comes out of the freezer is called, and for how many minutes. */
const BED = '21:00'
const SEEN_TO = 10

/**
 * A calendar file of the evenings to come as they are arranged now, with an alarm in time for the kitchen, and
 * of what comes out of the freezer the night before. Written again it changes what it wrote before.
 *
 * @param stamp when the file is written, in ISO form
 */
export function eveningsCalendar(
  arrangement: Arrangement,
  lying: readonly Lying[],
  recipes: ReadonlyMap<string, Recipe>,
  stamp: string,
): string {
  const entries = arrangement.days.flatMap((d): Entry[] => {
    const { eaten, thaw } = eveningFrom(d.day, arrangement, lying, recipes)
    const out: Entry[] = []
    if (eaten.length && d.eaters > 0) {
      const from = parseISO(`${d.day}T${d.at ?? USUAL_HOUR}`)
      out.push({
        id: `evening.${d.day}`,
        summary: `Dinner: ${eaten.map((e) => e.name).join(', ')}`,
        description: eaten
          .map(
            (e) =>
              `${e.name}, for ${e.portions}, ${e.still ? 'still frozen' : `from the ${e.place}`}`,
          )
          .join('\n'),
        from,
        until: addMinutes(from, AT_TABLE),
        called: KITCHEN,
      })
    }
    if (thaw.length) {
      const from = parseISO(`${d.day}T${BED}`)
      out.push({
        id: `thaw.${d.day}`,
        summary: `Out of the freezer into the fridge: ${thaw.map((t) => t.pack.pack.name).join(', ')}`,
        from,
        until: addMinutes(from, SEEN_TO),
        called: 0,
      })
    }
    return out
  })
  return calendarFile(entries, stamp)
}
