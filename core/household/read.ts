import { readKitchen } from '../kitchen'
import { issuesFrom, issuesWithin, standTwice, type Reading } from '../reading'
import { recipeIssues } from '../session'
import { OWNED } from './contents'
import { householdSchema, type Household } from './schema'

/** A household of a thousand recipes is about 5 MB; far above that it is something else. */
export const LARGEST_FILE = 50_000_000

/**
 * The household in a file's text, or why it is none; nothing is taken over in part. Speaks of
 * truncated, foreign and oversized files in those words.
 */
export function readHousehold(content: string): Reading<Household> {
  const no = (message: string, allowed: string): Reading<Household> => ({
    ok: false,
    issues: [{ path: '(the whole file)', message, allowed }],
  })
  if (content.length > LARGEST_FILE)
    return no(
      `the file is too large (${Math.round(content.length / 1e6)} MB)`,
      `a Cadrum file of up to ${LARGEST_FILE / 1e6} MB`,
    )
  let json: unknown
  try {
    json = JSON.parse(content)
  } catch {
    return /^\s*\{/.test(content)
      ? no('the file is cut off or damaged: it is not complete JSON', 'a whole file, as exported')
      : no('this is no Cadrum file', 'a JSON file exported from Cadrum')
  }
  const format = (json as { format?: unknown } | null)?.format
  if (format !== 'cadrum/household@1')
    return no(
      typeof format === 'string' && format.startsWith('cadrum/')
        ? `this is a Cadrum file of another kind (${format})`
        : 'this is no Cadrum file',
      'a file exported from Cadrum (cadrum/household@1)',
    )
  const parsed = householdSchema.safeParse(json)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const issues = [
    ...issuesWithin(parsed.data.kitchens, 'kitchens', readKitchen),
    ...recipeIssues(parsed.data.recipes),
    ...OWNED.flatMap((list) =>
      standTwice(
        parsed.data[list],
        list,
        list === 'plans' || list === 'cooking' ? 'session' : 'id',
      ),
    ),
  ]
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed.data }
}
