import { daysAfter, type Evening, type Session } from '../session'
import { dayAfter } from '../packing'
import type { Meal, Part } from './schema'

/** An evening to come, with what is eaten then. */
export interface Day {
  day: string
  eaters: number
  time: Evening['time']
  at?: string
  cooks?: string[]
  plate: Part[]
  fixed: boolean
  over: boolean
}

/** More days than that nobody plans ahead. */
const MOST_DAYS = 40

/** The evenings from a day on: as the sessions have them, the latest session first, changed by what was said since. */
export function daysFrom(
  today: string,
  sessions: readonly Session[],
  meals: readonly Meal[],
): Day[] {
  const said = new Map(meals.map((m) => [m.id, m]))
  const evenings = new Map<string, Evening>()
  const byStart = [...sessions].sort((a, b) => a.start.localeCompare(b.start))
  for (const s of byStart) for (const e of s.evenings ?? []) evenings.set(e.day, e)
  const days = new Set([...evenings.keys(), ...said.keys()])
  return [...days]
    .filter((day) => day >= today && daysAfter(today, day) < MOST_DAYS)
    .sort()
    .map((day): Day => {
      const [e, m] = [evenings.get(day), said.get(day)]
      const at = m?.at ?? e?.at
      return {
        day,
        eaters: m?.eaters ?? e?.eaters ?? 0,
        time: e?.time ?? 'short',
        ...(at === undefined ? {} : { at }),
        ...(e?.cooks ? { cooks: e.cooks } : {}),
        plate: m?.plate ?? [],
        fixed: m?.fixed ?? false,
        over: m?.over ?? false,
      }
    })
}

/** The last day that is looked at: of the evenings, or a week. */
export const lastOf = (today: string, days: readonly Day[]): string =>
  days.at(-1)?.day ?? dayAfter(today, 7)
