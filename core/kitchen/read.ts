import { issuesFrom, type Reading } from '../reading'
import { kitchenSchema, type Kitchen } from './schema'

/** The kitchen, or what is wrong with it. */
export function readKitchen(input: unknown): Reading<Kitchen> {
  const parsed = kitchenSchema.safeParse(input)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const seen = new Set<string>()
  for (const [i, { id }] of parsed.data.stations.entries()) {
    if (seen.has(id))
      return {
        ok: false,
        issues: [
          { path: `stations[${i}].id`, message: `"${id}" stands twice`, allowed: 'each id once' },
        ],
      }
    seen.add(id)
  }
  return { ok: true, value: parsed.data }
}
