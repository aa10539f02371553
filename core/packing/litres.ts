import { litresFilled } from '../session'
import type { Recipe } from '../recipe'

/** Litres of a portion where nothing is known of the dish: estimates of ours. */
const USUAL = 0.35
/** Less than this is a bite, more than that nobody eats. */
const LEAST = 0.1
const MOST = 1.2

/** Litres that a portion of a dish takes when it is packed: as the recipe says, else by what goes into it. */
export function litresOfPortion(recipe: Recipe): number {
  if (recipe.store) return recipe.store.litres / recipe.serves
  const all = litresFilled(recipe.ingredients)
  return all < 0.25 ? USUAL : Math.min(MOST, Math.max(LEAST, all / recipe.serves))
}

const WET =
  /\b(?:soup|stew|stock|broth|sauce|curry|chilli|dal|casserole|braised?|ragu|gravy|compote)\b/i

/** Whether it is wet enough to pour: it wants room to grow when it freezes, and lies flat in a bag. */
export const isWet = (recipe: Recipe): boolean =>
  WET.test(recipe.name) || recipe.steps.some((s) => s.work === 'blend')
