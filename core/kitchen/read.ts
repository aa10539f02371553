import { issuesFrom, standTwice, type Reading } from '../reading'
import { kitchenSchema, type Kitchen } from './schema'

/** The kitchen, or what is wrong with it. */
export function readKitchen(input: unknown): Reading<Kitchen> {
  const parsed = kitchenSchema.safeParse(input)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const issues = (['stations', 'people'] as const).flatMap((list) =>
    standTwice(parsed.data[list], list),
  )
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed.data }
}
