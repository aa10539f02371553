import type { Pack } from '../packing'
import type { Session } from '../session'
import type { Meal } from './schema'

/**
 * The session with each of its dishes on the evenings on which what was packed of it is eaten, for as many as
 * eat then, or for which it was packed; a dish that is not packed stays where the menu has it.
 */
export function asPacked(
  session: Session,
  packs: readonly Pack[],
  meals: readonly Meal[],
): Session {
  const dishOf = new Map(
    packs.flatMap((p) => (p.session === session.id ? [[p.id, p.dish] as const] : [])),
  )
  if (!dishOf.size) return session
  const packed = new Set(dishOf.values())
  const days = new Map<string, Set<string>>()
  const eaten = (dish: string, day: string) =>
    days.set(dish, (days.get(dish) ?? new Set()).add(day))
  for (const m of meals)
    for (const p of m.plate ?? []) {
      const dish = dishOf.get(p.pack)
      if (dish !== undefined) eaten(dish, m.id)
    }
  // Of an evening of which nothing is told it is what was packed for it.
  const arranged = new Set(meals.flatMap((m) => (m.plate ? [m.id] : [])))
  for (const p of packs)
    if (dishOf.has(p.id) && p.on !== undefined && !arranged.has(p.on)) eaten(p.dish, p.on)
  const said = new Map(meals.map((m) => [m.id, m.eaters]))
  return {
    ...session,
    ...(session.evenings
      ? {
          evenings: session.evenings.map((e) => ({ ...e, eaters: said.get(e.day) ?? e.eaters })),
        }
      : {}),
    dishes: session.dishes.map((d) =>
      packed.has(d.recipe) ? { ...d, on: [...(days.get(d.recipe) ?? [])].sort() } : d,
    ),
  }
}
