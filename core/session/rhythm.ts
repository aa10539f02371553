import { addDays, addMonths, format, getISODay, parseISO, setDate } from 'date-fns'
import { z } from 'zod'
import { clockSchema, type Kitchen } from '../kitchen'
import { freeId, mainOf, type Recipe } from '../recipe'
import type { Menu } from './earlierMenus'
import { eveningsFrom, fillEvenings } from './menu'
import { roleIn } from './role'
import { idSchema, sessionSchema, type Session } from './schema'
import { dueOf, type ToUse } from './useUp'

/** How a household likes to cook ahead, made once: it proposes each next session. */
export const rhythmSchema = z.strictObject({
  format: z.literal('cadrum/rhythm@1'),
  id: idSchema,
  name: z.string().min(1).max(60),
  kitchen: idSchema,
  /** On which day of the week, 1 for Monday; or on its first in the month. */
  weekday: z.int().min(1).max(7),
  every: z.enum(['week', 'two weeks', 'month']),
  from: clockSchema,
  /** Minutes of each sitting. */
  minutes: z.int().min(10).max(720),
  cooks: z.array(idSchema).min(1),
  /** On how many days, one after the other, beginning with that day. */
  days: z.int().min(1).max(7),
  /** There is an evening before it, from then, of so many minutes. */
  before: z.strictObject({ from: clockSchema, minutes: z.int().min(10).max(300) }).optional(),
  evenings: z.int().min(0).max(14),
  eaters: z.int().min(1).max(40),
  dishes: z.int().min(1).max(20),
  /** Whole dishes, parts to combine, or both. */
  likes: z.enum(['meals', 'parts', 'both']),
  /** Each dish twice, with one for the freezer. */
  twice: z.boolean().default(false),
})
export type Rhythm = z.output<typeof rhythmSchema>
export type RhythmInput = z.input<typeof rhythmSchema>

type Habit = Omit<RhythmInput, 'format' | 'id' | 'kitchen' | 'cooks' | 'eaters'>

/** Habits that households have, to begin with. */
export const HABITS: readonly Habit[] = [
  {
    name: 'The big weekly session',
    weekday: 7,
    every: 'week',
    from: '10:00',
    minutes: 180,
    days: 1,
    evenings: 6,
    dishes: 5,
    likes: 'both',
  },
  {
    name: 'Two sittings over a week-end',
    weekday: 6,
    every: 'week',
    from: '09:30',
    minutes: 150,
    days: 1,
    before: { from: '19:30', minutes: 60 },
    evenings: 7,
    dishes: 6,
    likes: 'both',
  },
  {
    name: 'An hour each morning',
    weekday: 1,
    every: 'week',
    from: '08:00',
    minutes: 60,
    days: 5,
    evenings: 5,
    dishes: 5,
    likes: 'meals',
  },
  {
    name: 'The monthly freezer day',
    weekday: 6,
    every: 'month',
    from: '09:00',
    minutes: 360,
    days: 1,
    evenings: 0,
    dishes: 8,
    likes: 'meals',
  },
  {
    name: 'Dinner twice, one for the freezer',
    weekday: 3,
    every: 'week',
    from: '17:00',
    minutes: 90,
    days: 1,
    evenings: 1,
    dishes: 1,
    likes: 'meals',
    twice: true,
  },
]

/** What a rhythm looks back on: what was cooked when, and what should be used up. */
export interface Before {
  sessions: readonly Session[]
  menus: readonly Menu[]
  /** Days for which there is something to eat in the house already. */
  provided?: ReadonlySet<string>
  /** What is in the house and should be used soon. */
  house?: readonly ToUse[]
}

/** The first day after another on which a rhythm comes round, seen from when it came last. */
export function nextDay(rhythm: Rhythm, after: string, last: string | undefined): string {
  const iso = (date: Date) => format(date, 'yyyy-MM-dd')
  const onWeekday = (from: Date) => addDays(from, (rhythm.weekday - getISODay(from) + 7) % 7)
  const tomorrow = addDays(parseISO(after), 1)
  if (rhythm.every === 'month') {
    const first = onWeekday(setDate(tomorrow, 1))
    return iso(first >= tomorrow ? first : onWeekday(setDate(addMonths(tomorrow, 1), 1)))
  }
  let day = onWeekday(tomorrow)
  if (rhythm.every === 'two weeks' && last !== undefined)
    while (iso(day) < iso(addDays(parseISO(last), 8))) day = addDays(day, 7)
  return iso(day)
}

/**
 * The next session that a rhythm proposes, after a day: its date, sittings, people and evenings, and a menu
 * of what uses up what there is, then of what was cooked longest ago, with the main ingredient varied.
 */
export function proposed(
  rhythm: Rhythm,
  after: string,
  kitchen: Kitchen,
  recipes: readonly Recipe[],
  before: Before,
): Session {
  const ofRhythm = new RegExp(`^${rhythm.id}-\\d{4}-\\d\\d-\\d\\d(?:-\\d+)?$`)
  const own = before.sessions.filter((s) => ofRhythm.test(s.id))
  const last = own
    .map((s) => s.start.slice(0, 10))
    .sort()
    .at(-1)
  const since = last !== undefined && last > after ? last : after
  const day = nextDay(rhythm, since, last)
  const cooks = rhythm.cooks.filter((id) => kitchen.people.some((p) => p.id === id))
  const at = (days: number, from: string) =>
    `${format(addDays(parseISO(day), days), 'yyyy-MM-dd')}T${from}`
  const sittings = [
    ...(rhythm.before
      ? [{ id: 'before', start: at(-1, rhythm.before.from), limit: rhythm.before.minutes, cooks }]
      : []),
    ...Array.from({ length: rhythm.days - 1 }, (_, k) => ({
      id: `day-${k + 2}`,
      start: at(k + 1, rhythm.from),
      limit: rhythm.minutes,
      cooks,
    })),
  ]
  // Of what goes off before anybody cooks there is nothing left to plan with.
  const useUp = (before.house ?? []).filter((u) => u.by === undefined || u.by >= day).slice(0, 60)
  const chosen = menuFor(rhythm, recipes, before, useUp)
  const session = sessionSchema.parse({
    format: 'cadrum/session@1',
    id: freeId(`${rhythm.id}-${day}`, new Set(before.sessions.map((s) => s.id))),
    name: rhythm.name,
    kitchen: kitchen.id,
    cooks: cooks.length ? cooks : [kitchen.people[0]!.id],
    start: at(0, rhythm.from),
    limit: rhythm.minutes,
    ...(sittings.length ? { sittings } : {}),
    ...(useUp.length ? { useUp } : {}),
    dishes: chosen.map((r) => ({
      recipe: r.id,
      batches: rhythm.twice ? 2 : 1,
      ...(rhythm.every === 'month' ? { to: 'freezer' } : {}),
    })),
    ...(rhythm.evenings
      ? { evenings: eveningsFrom(at(0, rhythm.from), rhythm.evenings, rhythm.eaters) }
      : {}),
  })
  return rhythm.days > 1 ? oneEach(session) : fillEvenings(session, recipes, before.provided)
}

/** Where there is a sitting every day, each evening has a dish of its own. */
function oneEach(session: Session): Session {
  return {
    ...session,
    dishes: session.dishes.map((d, k) => {
      const evening = session.evenings?.[k]
      // Made in the morning it waits in the cold for its evening.
      return evening ? { ...d, on: [evening.day], to: 'fridge' as const } : d
    }),
  }
}

/** Recipes for the next time: what is to be used up first, then what was cooked longest ago, never two alike. */
function menuFor(
  rhythm: Rhythm,
  recipes: readonly Recipe[],
  { sessions, menus }: Before,
  useUp: readonly ToUse[],
): Recipe[] {
  const wanted = recipes.filter((r) => {
    const role = roleIn(r)
    if (r.base || role === 'extra') return false
    return rhythm.likes === 'both' || role === (rhythm.likes === 'meals' ? 'meal' : 'part')
  })
  const cooked = new Map<string, string>()
  for (const { dishes, day } of [
    ...menus,
    ...sessions.map((s) => ({ dishes: s.dishes, day: s.start.slice(0, 10) })),
  ])
    for (const { recipe } of dishes) if (day > (cooked.get(recipe) ?? '')) cooked.set(recipe, day)
  const latest = [...sessions].sort((a, b) => (a.start < b.start ? 1 : -1))[0]
  const due = dueOf({ useUp: [...useUp, ...(latest?.useUp ?? [])], dishes: [] }, wanted)
  const uses = (r: Recipe) => {
    const k = due.findIndex((d) => d.takers.some((t) => t.recipe === r.id))
    return k < 0 ? due.length : k
  }
  const left = [...wanted].sort(
    (a, b) =>
      uses(a) - uses(b) ||
      (cooked.get(a.id) ?? '').localeCompare(cooked.get(b.id) ?? '') ||
      a.name.localeCompare(b.name),
  )
  const out: Recipe[] = []
  while (out.length < rhythm.dishes && left.length) {
    const mains = new Set(out.map(mainOf))
    const other = left.findIndex((r) => !mains.has(mainOf(r)))
    out.push(...left.splice(Math.max(0, other), 1))
  }
  return out
}
