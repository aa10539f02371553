import { asRead, plannable, recipeSchema, type Found, type RecipeRead } from '../recipe'
import { cautionsOf, type Caution } from './cautions'

/** A recipe as it was read, with what can hurt somebody in it. */
export type RecipeWithCautions = RecipeRead & { cautions: Caution[] }

/** What was found in a file with its cautions; `told` is the text of the file. */
export function withCautions(found: Found, told?: string): RecipeWithCautions {
  if ('exact' in found) return { ...asRead(found.exact), cautions: cautionsOf(found.exact) }
  const made = recipeSchema.safeParse(plannable(found.read, 'read', 'Re'))
  return { ...found.read, cautions: made.success ? cautionsOf(made.data, told) : [] }
}
