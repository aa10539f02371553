import { z } from 'zod'
import { kitchenSchema } from './kitchen'
import { planSchema } from './plan'
import { problemSchema } from './problem'
import { recipeSchema } from './recipe'
import { sessionFileSchema } from './session'

export { asRead, readRecipes } from './recipe'
export { readProblem } from './problem'
export { breachText, checkPlan, readPlan } from './plan'
export { compileSession, readSessionFile } from './session'
export { solve, startSolving } from './solver'

/** JSON Schema of every file format, as input: fields with defaults may be left out. */
export function jsonSchemas(): Record<string, unknown> {
  const schemas = {
    problem: problemSchema,
    plan: planSchema,
    recipe: recipeSchema,
    kitchen: kitchenSchema,
    'session-file': sessionFileSchema,
  }
  return Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => [
      name,
      z.toJSONSchema(schema, { io: 'input' }),
    ]),
  )
}
