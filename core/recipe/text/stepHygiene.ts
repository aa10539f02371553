import type { WorkKind } from '../work'
import { isDough, isRaw } from './foods'
import { ON_HEAT } from './groups'
import type { IngredientRead } from './ingredientLine'

const DONE_BY = new Set<WorkKind>([...ON_HEAT, 'bake', 'grill', 'slow', 'pressure'])
/** Whether a kind of work cooks what it is done to. */
export const cooks = (work: WorkKind) => DONE_BY.has(work)

const GOES_ON =
  /^(?:mix|toss|coat|combine|season|marinate|massage|brown|stir|roll|shape|form|divide)\b,?\s*(?:well|together|thoroughly|it|them|everything|with|in|into|and|$)/i

/** Where hands have been after a step: on raw meat, fish or egg, on produce, or on ready food. */
export function hygieneOf(
  text: string,
  work: WorkKind,
  uses: string[],
  ingredients: readonly IngredientRead[],
  cookedRaw: Set<string>,
  before: readonly { work: WorkKind; hygiene: string }[],
): 'raw' | 'ready' | 'produce' | 'neutral' {
  // `Mix well with the yogurt`: still what the hands were on a moment ago.
  const last = before.at(-1)
  const on = last?.hygiene === 'raw' && !cooks(last.work) && GOES_ON.test(text)
  const raw =
    on ||
    uses.some((id) => isRaw(ingredients.find((i) => i.id === id)!.item) && !cookedRaw.has(id)) ||
    (isRaw(text) && !before.some((d) => cooks(d.work)))
  const doneOnHeat = before.some((d) => cooks(d.work))
  switch (work) {
    case 'cut':
      return raw
        ? 'raw'
        : doneOnHeat && !uses.some((id) => !cookedRaw.has(id))
          ? 'ready'
          : 'produce'
    case 'season':
    case 'shape':
    case 'mix':
    case 'assemble':
    case 'brown':
    case 'soak':
    case 'drain':
      if (raw) return 'raw'
      if (work === 'shape' && isDough(text)) return 'neutral'
      return doneOnHeat && (work === 'mix' || work === 'assemble') ? 'ready' : 'neutral'
    case 'pack':
    case 'blend':
      return raw ? 'raw' : 'ready'
    case 'fry':
      return raw ? 'raw' : 'neutral'
    default:
      return 'neutral'
  }
}
