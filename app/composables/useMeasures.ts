import { format, isValid, parse, parseISO } from 'date-fns'
import { liveQuery } from 'dexie'
import { reactive } from 'vue'
import {
  degreesRange,
  degreesOf,
  degreesText,
  dialText,
  inMeasures,
  ovenText,
  USUAL_MEASURES,
  type Measures,
} from '~~/core/quantity'
import { database } from '~/database/database'
import { MEASURES, measuresIn } from '~/database/measures'

/** How this household measures and tells the time: what all words on the page follow. */
export const measures = reactive<Measures>({ ...USUAL_MEASURES })

/** Follows what is set, in whichever tab. */
export function followMeasures(): void {
  liveQuery(() => database.settings.get(MEASURES)).subscribe({
    next: (kept) => Object.assign(measures, measuresIn(kept?.value) ?? USUAL_MEASURES),
    error: () => {},
  })
}
/** Keeps one of them as set. */
export const setMeasures = (patch: Partial<Measures>) =>
  database.settings.put({ key: MEASURES, value: JSON.stringify({ ...measures, ...patch }) })

/** `9:05` or `9:05 am`. */
export const timeOf = (at: Date): string =>
  format(at, measures.clock === '24' ? 'H:mm' : 'h:mm aaa')

/** The same of a time of the day, `HH:mm`. */
export const clockText = (time: string): string => timeOf(parseISO(`2000-01-01T${time}`))

/** `20 March 2027` and the like, from a day or an instant in ISO form. */
export const dayText = (iso: string, pattern = 'd MMMM yyyy'): string =>
  format(parseISO(iso), pattern)

/** Degrees as this household says them. */
export const heatText = (celsius: number) => degreesText(celsius, measures.degrees)
/** The same of what was measured, to a tenth: rounded up, too little would pass for enough. */
export const measuredText = (celsius: number) =>
  `${Math.round(10 * degreesOf(celsius, measures.degrees)) / 10} °${measures.degrees}`
export const heatRange = (range: readonly [number, number]) => degreesRange(range, measures.degrees)
/** What an oven is set to, and what it stands at. */
export const setTo = (celsius: number) => ovenText(celsius, measures.degrees)
export const standsAt = (celsius: number) => dialText(celsius, measures.degrees)
/** A text of the core, which speaks of degrees Celsius, grams and litres, as this household says it. */
export const said = (text: string) => inMeasures(text, measures)

/** Which day of the week comes first, as date-fns and Vuetify count them. */
export const firstDay = () => ({ sunday: 0, monday: 1, saturday: 6 })[measures.week]

const DAYS = ['yyyy-MM-dd', 'd MMMM yyyy', 'd MMM yyyy', 'd.M.yyyy', 'd MMMM', 'd MMM', 'd.M.']
/**
 * A day as somebody types it, in ISO form: `20 March 2027`, `20 Mar`, `2027-03-20`, `20/3/2027` (the
 * month first where cups and pounds are used); undefined where it is none.
 */
export function dayTyped(typed: string, today: Date): string | undefined {
  const text = typed.trim().replace(/^[a-z]+,? (?=\d)/i, '')
  const slashes = measures.amounts === 'us' ? 'M/d/yyyy' : 'd/M/yyyy'
  for (const pattern of [...DAYS, slashes]) {
    const day = parse(text, pattern, today)
    if (isValid(day) && day.getFullYear() >= 2000 && day.getFullYear() < 2100)
      return format(day, 'yyyy-MM-dd')
  }
  return undefined
}

/** A time as somebody types it, `HH:mm`: `9`, `9:30`, `0930`, `9.30 pm`; undefined where it is none. */
export function timeTyped(typed: string): string | undefined {
  const m = /^(\d{1,2})(?:[:.]?(\d\d))?\s*(?:h|o'clock)?\s*([ap])?\.?(?:m\.?)?$/i.exec(typed.trim())
  if (!m) return undefined
  const [hours, minutes, half] = [Number(m[1]), Number(m[2] ?? 0), m[3]?.toLowerCase()]
  if (half && (hours < 1 || hours > 12)) return undefined
  const h = half ? (hours % 12) + (half === 'p' ? 12 : 0) : hours
  return h < 24 && minutes < 60
    ? `${String(h).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
    : undefined
}
