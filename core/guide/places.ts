import type { Plan } from '../plan'
import type { CompiledSession } from '../session'

/** Ids of the stations at which each activity happens, those kept over several steps among them. */
export function placesOf(plan: Plan, compiled: CompiledSession): Map<string, string[]> {
  const places = new Map(plan.activities.map((r) => [r.id, [...r.stations]]))
  for (const hold of plan.holds)
    for (const id of compiled.kept[hold.id]?.activities ?? []) {
      const own = places.get(id)
      if (own && !own.includes(hold.station)) own.push(hold.station)
    }
  return places
}

/** Ids of the vessels that each activity takes food out of. */
export function emptiedBy(plan: Plan, compiled: CompiledSession): Map<string, string[]> {
  const out = new Map<string, string[]>()
  for (const hold of plan.holds)
    for (const id of compiled.kept[hold.id]?.takers ?? [])
      out.set(id, [...(out.get(id) ?? []), hold.station])
  return out
}
