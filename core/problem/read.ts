import { issuesFrom, type Reading } from '../reading'
import { crossReferenceIssues } from './references'
import { problemSchema, type Problem } from './schema'

/**
 * The problem with its defaults filled in, or everything that makes it unusable: wrong or
 * unknown fields, references to nothing, a heat on a need that no oven could serve. A problem
 * that is well formed but cannot be planned is not an issue here; the solver proves that.
 */
export function readProblem(input: unknown): Reading<Problem> {
  const parsed = problemSchema.safeParse(input)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const issues = crossReferenceIssues(parsed.data)
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed.data }
}
