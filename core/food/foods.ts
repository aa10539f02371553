import { singular } from '../recipe'
import type { Food } from './food'
import { CHILLED } from './foodsChilled'
import { DRY } from './foodsDry'
import { GROWN } from './foodsGrown'
import { KEPT } from './foodsKept'

/**
 * Weights, densities and packs of what is bought, the first that fits. Weights of pieces and densities
 * are rounded from public food composition tables (household measures); pack sizes are the usual ones
 * and estimates of ours: a price that the household knows goes before them.
 */
export const FOODS: readonly Food[] = [...KEPT, ...GROWN, ...CHILLED, ...DRY]

/** What says how a thing is, and not what is bought. */
const HOW =
  /\b(?:large|small|medium|big|good|quality|fresh|freshly|ripe|chopped|sliced|diced|grated|finely|roughly|thinly|peeled|trimmed|washed|cubed|crushed|minced(?! (?:beef|lamb|pork|turkey|chicken|meat|veal))|halved|quartered|cold|warm|hot|softened|melted|boneless|skinless|free-range|organic|unsalted|toasted|beaten|cooled|extra virgin|extra-virgin)\b/g

/** A food as a line of a recipe names it: what is known of it, and under which name it is bought. */
export interface Named {
  /** The same for all that is bought as one. */
  key: string
  name: string
  food: Food | undefined
  /** What is counted of it, where its name says so: `celery sticks`. */
  counted?: string
}

/** Words before a food that only say about how much of it there is. */
const ABOUT =
  /^(?:an? )?(?:(?:good|few|some|couple of|small|large|generous) )*(?:(?:splash(?:es)?|grating|glass(?:es)?|spoons?|drizzle|knob|inch|bunch(?:es)?|handfuls?|sprigs?|bit|little|slices?)(?: of)? )(?=[a-z])/

/** Looks up a food by the name that a recipe, a price or a shelf gives it. */
export function foodOf(item: string): Named {
  const text = item
    .toLowerCase()
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(ABOUT, '')
  const food = FOODS.find((f) => f.words.test(text))
  const counts = text.split(/[ ,]/).map(singular)
  const of = counts.find((w) => food?.counted?.[w] !== undefined)
  const counted = of === undefined ? {} : { counted: of }
  if (food?.name) return { key: food.name, name: food.name, food, ...counted }
  const bare = text.split(/[,;]/)[0]!.replace(HOW, ' ').replace(/\s+/g, ' ').trim() || text
  // One key for `leek` and `leeks`.
  return { key: bare.split(' ').map(singular).join(' '), name: bare, food, ...counted }
}
