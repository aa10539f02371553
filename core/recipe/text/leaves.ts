import type { Recipe } from '../schema'
import { isMeat } from './foods'
import { namesOf } from './ingredientLine'

type Leaving = NonNullable<Recipe['leaves']>[number]

/** Days that cooked meat and bones keep in the fridge, by usual food safety guidance. */
const DAYS = 3
const BONES =
  /\b(?:keep|save|reserve|freeze)\b[^.;]*?\b(bones?|carcass(?:es)?|shells?)\b(?![^.;]*\bfor (?:garnish|decoration)\b)/i
/** `The rest of the meat, about 400 g`, `300 g of the chicken is left for tomorrow`. */
const MEAT_LEFT =
  /\b(?:rest|remainder|remaining)\b(?: of)?(?: the)? (meat|flesh|[a-z]+)\b[^.;]*?\b(?:about |around |roughly |some |approx\.? )?(\d+(?:\.\d+)?) ?(g|kg)\b/i

/**
 * What a method says is left for other dishes: bones that are kept, and cooked meat of which it says how
 * much. Nothing where it does not say.
 */
export function leavesIn(
  steps: readonly { id: string; do: string }[],
  ingredients: readonly { item: string; amount: number; unit: string }[],
): Leaving[] {
  const meat = ingredients.find((i) => isMeat(i.item))
  if (!meat) return []
  const animal = namesOf(meat.item)[0] ?? 'meat'
  const out: Leaving[] = []
  for (const step of steps) {
    const left = MEAT_LEFT.exec(step.do)
    if (left && (/^(?:meat|flesh)$/i.test(left[1]!) || namesOf(left[1]!)[0] === animal))
      out.push({
        item: `cooked ${animal}`,
        amount: Number(left[2]),
        unit: left[3]!.toLowerCase() === 'kg' ? 'kg' : 'g',
        days: DAYS,
        step: step.id,
      })
    const bones = BONES.exec(step.do)
    if (bones)
      out.push({
        item: `${animal} bones`,
        amount: meat.unit === 'piece' ? meat.amount : 1,
        unit: 'piece',
        days: DAYS,
        step: step.id,
      })
  }
  return out.filter((l, k) => out.findIndex((o) => o.item === l.item) === k)
}
