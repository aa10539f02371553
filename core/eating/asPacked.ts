import type { Pack } from '../packing'
import type { Session } from '../session'
import type { Meal } from './schema'

/**
 * The session with each of its dishes on the evenings on which what was packed of it is eaten, for as many as
 * eat then; a dish that is not packed stays where the menu has it.
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
  for (const m of meals)
    for (const p of m.plate ?? []) {
      const dish = dishOf.get(p.pack)
      if (dish !== undefined) days.set(dish, (days.get(dish) ?? new Set()).add(m.id))
    }
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
