import { isMeat, type Recipe } from '../recipe'
import { KEEPING } from '../safety'

export type Role = NonNullable<Recipe['role']>

/** Kinds of food that nobody calls a dinner: they go beside one. */
const BESIDE = new Set([
  'bread and rolls',
  'dry bakes',
  'dips and pastes with garlic or herbs in oil',
])

/** What a dish is on the table: as its recipe says, else bread, bars and dips go beside a meal, and the rest is one. */
export function roleIn(recipe: Recipe): Role {
  if (recipe.role) return recipe.role
  const beside = KEEPING.some((k) => BESIDE.has(k.kind) && k.named?.test(recipe.name))
  return beside && !recipe.ingredients.some((i) => isMeat(i.item)) ? 'extra' : 'meal'
}
