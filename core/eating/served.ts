import type { Lying } from '../packing'
import type { Day } from './days'
import type { Part } from './schema'

/** What a dish is on the table; what is unknown is a meal. */
export type RoleOf = (dish: string) => 'meal' | 'part' | 'extra'

/** What lies in the house while evenings are arranged, with where each pack stands in the list. */
export interface There {
  lying: readonly Lying[]
  at: ReadonlyMap<string, number>
  roleOf: RoleOf
}
export const thereOf = (lying: readonly Lying[], roleOf: RoleOf): There => ({
  lying,
  at: new Map(lying.map((l, i) => [l.pack.id, i])),
  roleOf,
})

/** The dishes of a plate in one word, to be compared. */
export const dishesOf = (plate: readonly Part[], { at, lying }: There) =>
  [...new Set(plate.flatMap((p) => (at.has(p.pack) ? [lying[at.get(p.pack)!]!.pack.dish] : [])))]
    .sort()
    .join('+')

/** Its packs in one word, in whatever order. */
export const packsOf = (plate: readonly Part[]) =>
  plate
    .map((p) => `${p.pack} ${p.portions}`)
    .sort()
    .join()

/** Portions that are wanting: of two parts that make a meal each is to be enough for all. */
export function shortOf(day: Day, plate: readonly Part[], there: There): number {
  const { meals, parts } = servedBy(plate, there)
  if (day.fresh) return 0
  // A part alone is half of a meal.
  const whole = parts.length > 1 ? Math.min(...parts) : (parts[0] ?? 0) / 2
  return Math.max(0, day.eaters - meals - whole)
}

/** Portions that are on the table beside what is eaten of them. */
export function overOf(day: Day, plate: readonly Part[], there: There): number {
  const { meals, parts } = servedBy(plate, there)
  const most = parts.length > 1 ? parts.reduce((n, x) => n + x, 0) / 2 : (parts[0] ?? 0)
  return Math.max(0, meals + most - day.eaters)
}

/** Portions of meals, and of each of the parts. */
function servedBy(plate: readonly Part[], { at, lying, roleOf }: There) {
  const by = new Map<string, number>()
  for (const p of plate) {
    const i = at.get(p.pack)
    if (i === undefined) continue
    const { dish } = lying[i]!.pack
    by.set(dish, (by.get(dish) ?? 0) + p.portions)
  }
  const meals = [...by].filter(([dish]) => roleOf(dish) === 'meal').reduce((n, [, x]) => n + x, 0)
  return { meals, parts: [...by].filter(([dish]) => roleOf(dish) === 'part').map(([, x]) => x) }
}

/** Portions that are wanting on each of the days on which any are. */
export function shortBy(
  days: readonly Day[],
  lying: readonly Lying[],
  roleOf: RoleOf,
): Map<string, number> {
  const there = thereOf(lying, roleOf)
  return new Map(
    days
      .filter((d) => !d.over)
      .map((d): [string, number] => [d.day, shortOf(d, d.plate, there)])
      .filter(([, n]) => n > 0),
  )
}
