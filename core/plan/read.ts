import { readingAllNames } from '../problem'
import { issuesFrom, type Reading } from '../reading'
import { planSchema, type Plan } from './schema'

/** The plan, or what is wrong with the file as a plan; says nothing of whether it is valid. */
export const readPlan = (input: unknown): Reading<Plan> => readingAllNames(input, readUsual)

function readUsual(input: unknown): Reading<Plan> {
  const parsed = planSchema.safeParse(input)
  return parsed.success
    ? { ok: true, value: parsed.data }
    : { ok: false, issues: issuesFrom(parsed.error) }
}
