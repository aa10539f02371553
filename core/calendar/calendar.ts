import { addMinutes, format, parseISO } from 'date-fns'
import ICAL from 'ical.js'
import type { Kitchen } from '../kitchen'
import type { Recipe } from '../recipe'
import { sittingsOf, type Session } from '../session'

/** Minutes before which it is called: time to clear the sink and to come home. */
const BEFORE = 30
/** Minutes for which something is seen to. */
const SEEN_TO = 10
/** How long a sitting is taken for where nobody has said and nothing was planned. */
const USUAL = 120

/**
 * A calendar file (iCalendar, RFC 5545) of a session: its sittings and evenings with what is done in each, and
 * an alarm before each; what comes out of the freezer stands in the evening before. Times are local ones.
 *
 * @param minutesOf minutes of the plan of a sitting, by the id under which it is kept, where there is one
 * @param before what is to be seen to before, each at its time
 * @param stamp when the file is written, in ISO form
 */
export function calendarOf(
  held: { session: Session; kitchen: Kitchen; recipes: readonly Recipe[] },
  stamp: string,
  minutesOf: (session: string) => number | undefined = () => undefined,
  before: readonly { id: string; at: string; words: string }[] = [],
): string {
  const nameOf = new Map(held.recipes.map((r) => [r.id, r.name]))
  const sittings = sittingsOf(held).sittings.map(({ kind, session, recipes }): Entry => {
    const from = parseISO(session.start)
    const minutes = minutesOf(session.id) ?? session.limit ?? USUAL
    const until = session.ready ? parseISO(session.ready) : addMinutes(from, minutes)
    return {
      id: session.id,
      summary: kind === 'evening' ? `Dinner: ${dishesIn(session, nameOf)}` : session.name,
      description: recipes
        .filter((r) => session.dishes.some((d) => d.recipe === r.id))
        .map((r) => `${r.name}: ${r.steps.map((s) => s.do).join('; ')}`)
        .join('\n'),
      from,
      until: until > from ? until : addMinutes(from, 5),
      called: kind === 'evening' ? 0 : BEFORE,
    }
  })
  const seenTo = before.map(({ id, at, words }): Entry => {
    const from = parseISO(at)
    const until = addMinutes(from, SEEN_TO)
    return { id: `${held.session.id}.${id}`, summary: words, from, until, called: 0 }
  })
  return calendarFile([...sittings, ...seenTo], stamp)
}

/** One entry of a calendar, at local times. */
export interface Entry {
  /** The same as long as it is the same thing: a calendar that has it already changes it. */
  id: string
  summary: string
  description?: string
  from: Date
  until: Date
  /** Minutes before it begins at which it is called. */
  called: number
}

/** A calendar file (iCalendar, RFC 5545) with an alarm for each entry; `stamp` is when it is written, in ISO form. */
export function calendarFile(entries: readonly Entry[], stamp: string): string {
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Cadrum//Cadrum//EN')
  for (const { id, summary, description, from, until, called } of entries) {
    const event = new ICAL.Event()
    event.uid = `${id}@cadrum`
    event.summary = summary
    if (description !== undefined) event.description = description
    event.startDate = local(from)
    event.endDate = local(until)
    event.component.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(parseISO(stamp), true))
    withAlarm(event, called)
    calendar.addSubcomponent(event.component)
  }
  return calendar.toString() + '\r\n'
}

/** Calls so many minutes before it begins. */
function withAlarm(event: ICAL.Event, minutes: number): void {
  const alarm = new ICAL.Component(['valarm', [], []])
  alarm.updatePropertyWithValue('action', 'DISPLAY')
  alarm.updatePropertyWithValue('description', event.summary)
  alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(-60 * minutes))
  event.component.addSubcomponent(alarm)
}

/** What an evening is about: what is eaten, or else what is got ready for the next. */
function dishesIn(session: Session, nameOf: ReadonlyMap<string, string>): string {
  const eaten = session.dishes.filter((d) => d.next === undefined)
  const named = (eaten.length ? eaten : session.dishes).map((d) => nameOf.get(d.recipe) ?? d.recipe)
  return eaten.length ? named.join(', ') : `out of the freezer for tomorrow: ${named.join(', ')}`
}

const local = (at: Date) => ICAL.Time.fromDateTimeString(format(at, "yyyy-MM-dd'T'HH:mm:ss"))
