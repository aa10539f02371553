import { z } from 'zod'
import { kitchenSchema } from '../kitchen'
import { issuesFrom, issuesWithin, type Reading } from '../reading'
import { readRecipe, recipeSchema, type Recipe } from '../recipe'
import { sessionSchema } from './schema'

/** One session with the kitchen and the recipes it needs: a file that can be planned by itself. */
export const sessionFileSchema = z.strictObject({
  format: z.literal('cadrum/session-file@1'),
  session: sessionSchema,
  kitchen: kitchenSchema,
  recipes: z.array(recipeSchema),
})

export type SessionFile = z.output<typeof sessionFileSchema>

/** The file's content, or everything that is wrong with it. */
export function readSessionFile(input: unknown): Reading<SessionFile> {
  const parsed = sessionFileSchema.safeParse(input)
  if (!parsed.success) return { ok: false, issues: issuesFrom(parsed.error) }
  const issues = recipeIssues(parsed.data.recipes)
  return issues.length ? { ok: false, issues } : { ok: true, value: parsed.data }
}

/** What is wrong within each recipe of a list, with its place in the list. */
export const recipeIssues = (recipes: Recipe[]) => issuesWithin(recipes, 'recipes', readRecipe)
