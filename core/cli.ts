import { recordSchema } from './logbook'
import { z } from 'zod'
import { highfell } from '../demo/kitchen'
import { kitchenSchema, READY_KITCHENS, type Kitchen } from './kitchen'
import { planSchema } from './plan'
import { problemSchema } from './problem'
import { recipeSchema } from './recipe'
import { sessionFileSchema } from './session'
import { priceSchema } from './shopping'
import { mealSchema } from './eating'
import { packSchema } from './packing'
import { stockSchema } from './stock'

export { readRecipes } from './recipe'
export { withCautions } from './safety'
export { instructions, placeWords } from './guide'
export { readKitchen } from './kitchen'
export { readProblem } from './problem'
export { breachText, brokenWords, checkPlan, comparePlans, readPlan } from './plan'
export {
  compileSession,
  cookingsOf,
  readSessionFile,
  recipesFrom,
  recipesOf,
  roleIn,
  sessionFrom,
  sittingsOf,
} from './session'
export { POLICIES, quantile, rehearse } from './rehearsal'
export { leastBad, solve, startSolving } from './solver'
export { labelLines } from './labels'
export { arranged, eveningFrom, eveningToPlan, planEvening, shortBy } from './eating'
export { readHousehold } from './household'
export { lyingIn } from './packing'
export { prepare } from './setout'
export { listAsRows, listAsText, readInHouse, readPrices } from './shopping'
export { stockOf } from './stock'

/** JSON Schema of every file format, as input: fields with defaults may be left out. */
export function jsonSchemas(): Record<string, unknown> {
  const schemas = {
    problem: problemSchema,
    plan: planSchema,
    recipe: recipeSchema,
    kitchen: kitchenSchema,
    'session-file': sessionFileSchema,
    record: recordSchema,
    stock: stockSchema,
    price: priceSchema,
    pack: packSchema,
    meal: mealSchema,
  }
  return Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => [
      name,
      z.toJSONSchema(schema, { io: 'input' }),
    ]),
  )
}

/** Kitchens that have a name on the command line. */
export function namedKitchens(): Record<string, Kitchen> {
  const known = READY_KITCHENS.map(({ title, kitchen }) => [
    title.toLowerCase().replace(/[^a-z0-9]+/g, '-'),
    kitchenSchema.parse(kitchen),
  ])
  return Object.fromEntries([['highfell', kitchenSchema.parse(highfell)], ...known])
}
