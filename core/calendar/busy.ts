import { addDays, format, parseISO } from 'date-fns'
import ICAL from 'ical.js'
import type { Reading } from '../reading'

/** An evening on which somebody has something else, by a calendar. */
export interface BusyEvening {
  day: string
  what: string[]
}

/** The hours in which one cooks and eats: who is away in them has a short evening. */
const EVENING = ['17:00', '20:00'] as const
/** Times that one event is repeated, at most, before it is left. */
const MOST_REPEATED = 20_000

/**
 * The evenings from one day to another on which a calendar file (iCalendar) has something between five and
 * eight, with what it is; repeated events and those of a whole day count. Or why the file cannot be read.
 */
export function busyEvenings(text: string, from: string, to: string): Reading<BusyEvening[]> {
  const found = new Map<string, Set<string>>()
  const note = (start: ICAL.Time, end: ICAL.Time, what: string) => {
    const [begins, ends] = [start, end].map((t) => t.toJSDate())
    for (let day = parseISO(from); iso(day) <= to; day = addDays(day, 1)) {
      const [open, close] = EVENING.map((hour) => parseISO(`${iso(day)}T${hour}`))
      if (begins! < close! && ends! > open!)
        found.set(iso(day), (found.get(iso(day)) ?? new Set()).add(what || 'something'))
    }
  }
  const over = ICAL.Time.fromDateString(iso(addDays(parseISO(to), 1)))
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown[])
    if (root.name !== 'vcalendar') throw new Error('no calendar')
    for (const event of root.getAllSubcomponents('vevent').map((v) => new ICAL.Event(v))) {
      if (event.isRecurrenceException()) continue
      if (!event.isRecurring()) {
        note(event.startDate, event.endDate, event.summary)
        continue
      }
      const turns = event.iterator()
      for (let k = 0; k < MOST_REPEATED; k++) {
        const next = turns.next()
        if (!next || next.compare(over) > 0) break
        const { startDate, endDate, item } = event.getOccurrenceDetails(next)
        note(startDate, endDate, item.summary)
      }
    }
  } catch {
    // An event without a beginning is no better than no calendar.
    const allowed = 'a calendar file (.ics) as calendars export it'
    return { ok: false, issues: [{ path: 'file', message: 'is not a calendar', allowed }] }
  }
  return {
    ok: true,
    value: [...found].sort().map(([day, what]) => ({ day, what: [...what] })),
  }
}

const iso = (day: Date) => format(day, 'yyyy-MM-dd')
