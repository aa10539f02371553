import { issuesFrom, type Reading } from '../reading'
import { readingAllNames } from './names'
import { crossReferenceIssues } from './references'
import { problemSchema, type Problem } from './schema'

/**
 * The problem with its defaults filled in, or everything that makes it unusable: wrong or
 * unknown fields, references to nothing, a heat on a need that no oven could serve. A problem
 * that is well formed but cannot be planned is not an issue here; the solver proves that.
 */
export function readProblem(input: unknown): Reading<Problem> {
  const reading = readingAllNames(input, parsed)
  if (!reading.ok) return reading
  const issues = crossReferenceIssues(reading.value)
  return issues.length ? { ok: false, issues } : reading
}

function parsed(input: unknown): Reading<Problem> {
  const { success, data, error } = problemSchema.safeParse(input)
  return success ? { ok: true, value: data } : { ok: false, issues: issuesFrom(error) }
}
