import { dayAfter, type Lying } from '../packing'
import type { Recipe } from '../recipe'
import { daysAfter, goesTo, keptTill, type Evening, type Session } from '../session'
import type { Meal, Part } from './schema'
import type { RoleOf } from './served'

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
  /** Something is eaten that comes from the stove that day. */
  fresh: boolean
}

/** More days than that nobody plans ahead. */
const MOST_DAYS = 40

/** Days on which something is eaten as it comes from the stove. */
export function freshDays(
  sessions: readonly Session[],
  recipes: ReadonlyMap<string, Recipe>,
): Set<string> {
  const out = new Set<string>()
  for (const session of sessions) {
    const cooked = [session, ...(session.sittings ?? [])].map((s) => s.start.slice(0, 10))
    for (const dish of session.dishes) {
      const recipe = recipes.get(dish.recipe)
      if (!recipe || goesTo(recipe, keptTill(session, dish, recipe).to) !== 'tonight') continue
      for (const day of dish.on ?? []) if (cooked.includes(day)) out.add(day)
    }
  }
  return out
}

/** What was packed for a day, as far as it is still there. */
const meantFor = (day: string, lying: readonly Lying[]): Part[] =>
  lying.filter((l) => l.pack.on === day).map((l) => ({ pack: l.pack.id, portions: l.left }))

/** What the evenings hang on, beside what lies there. */
export interface Around {
  today: string
  sessions: readonly Session[]
  roleOf: RoleOf
  fresh?: ReadonlySet<string>
}

/** The evenings from a day on: as the sessions have them, the latest session first, changed by what was said since. */
export function daysFrom(
  { today, sessions, fresh }: Around,
  meals: readonly Meal[],
  lying: readonly Lying[],
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
        plate: m?.plate ?? meantFor(day, lying),
        fixed: m?.fixed ?? false,
        over: m?.over ?? false,
        fresh: fresh?.has(day) ?? false,
      }
    })
}

/** The last day that is looked at: of the evenings, or a week. */
export const lastOf = (today: string, days: readonly Day[]): string =>
  days.at(-1)?.day ?? dayAfter(today, 7)
