import { foodOf, measured, type Base, type Measured, type Named } from '../food'
import { ingredientLine, type Recipe } from '../recipe'
import { dishesToMake, recipesById, servingSteps, withoutDone, type Session } from '../session'

/** What a dish of a session wants of one ingredient, over all its sittings and evenings. */
export interface Need {
  dish: string
  ingredient: string
  named: Named
  /** In what the food is bought in. */
  amount: number
  unit: Base
  /** By how much the recipe's own amount is multiplied. */
  times: number
  /** False where it took the weight of a piece, or a density, to say so. */
  exact: boolean
  /** As the recipe says it for all that is made of the dish. */
  as: string
  /** What the recipe says it is bought in, in `unit`. */
  pack?: number
  /** What could stand in for it, as the recipe says. */
  instead?: string
  optional?: true
  /** The dish that leaves it, so that nobody buys it or lays it out. */
  made?: string
}

/** Grams in the usual tin. */
const TIN = 400

/**
 * What is bought for an ingredient: herbs by the bunch are fresh ones, and tomatoes that come in a tin or a
 * pack of a tin's size are tinned ones.
 */
function asBought(i: Recipe['ingredients'][number]): Named {
  const named = foodOf(i.item)
  // Dried herbs come in no bunches.
  if (
    named.food?.section === 'spices' &&
    /^(?:bunch(?:es)?|sprigs?|handfuls?)$/.test(i.counted ?? '')
  ) {
    const fresh = foodOf(`fresh ${i.item}`)
    if (fresh.food?.section === 'produce') return fresh
  }
  const tin = /^(?:tin|can)s?$/.test(i.counted ?? '') || i.pack?.amount === TIN
  if (named.food?.section !== 'produce' || !tin) return named
  const tinned = foodOf(`tinned ${i.item}`)
  return tinned.food?.section === 'tins' ? tinned : named
}
/** Pieces whose weight the recipe states: `1 chicken (about 2 kg)`. */
function stated(
  named: Named,
  { amount, unit, item, note, counted }: Recipe['ingredients'][number],
  times: number,
): Measured | undefined {
  const said = /\b(\d+(?:\.\d+)?) ?(kg|g)\b/.exec(`${item} ${note ?? ''}`)
  if (unit !== 'piece' || counted !== undefined || named.food?.by !== 'g' || !said) return undefined
  const each = Number(said[1]) * (said[2] === 'kg' ? 1000 : 1)
  return { amount: each * amount * times, unit: 'g', exact: false }
}

/** Which part of an ingredient is wanted, of the batches that are made. */
function batchesOf(session: Session, recipe: Recipe, batches: number) {
  const dish = session.dishes.find((d) => d.recipe === recipe.id)
  const left = withoutDone(recipe, dish?.done ?? [])
  const leftIn = new Set(left.steps.flatMap((s) => s.uses))
  const ever = new Set(recipe.steps.flatMap((s) => s.uses))
  const serving = new Set(servingSteps(recipe).map((s) => s.id))
  const cooked = new Set(recipe.steps.flatMap((s) => (serving.has(s.id) ? [] : s.uses)))
  const eaten = (session.evenings ?? [])
    .filter((e) => dish?.on?.includes(e.day))
    .reduce((n, e) => n + e.eaters, 0)
  return (ingredient: string): number => {
    // It went in on an earlier day.
    if (ever.has(ingredient) && !leftIn.has(ingredient)) return 0
    // What belongs to the meal is wanted for everybody who eats, and for what is still to be eaten.
    if (ever.has(ingredient) && !cooked.has(ingredient))
      return Math.max(batches, eaten / recipe.serves)
    return batches
  }
}

/** What all dishes of a session want, bases among them; what comes from the tap is left out. */
export function needsOf(session: Session, recipes: readonly Recipe[]): Need[] {
  const byId = recipesById(session, recipes)
  return dishesToMake(session, byId).flatMap(({ recipe, batches }) => {
    const times = batchesOf(session, recipe, batches)
    return recipe.ingredients.flatMap((i): Need[] => {
      const n = times(i.id)
      const named = asBought(i)
      if (n <= 0 || named.food?.free) return []
      const whole = stated(named, i, n) ?? measured(named, i.amount * n, i.unit, i.counted)
      const pack = i.pack && measured(named, i.pack.amount, i.pack.unit)
      return [
        {
          dish: recipe.id,
          ingredient: i.id,
          named,
          ...whole,
          times: n,
          as: ingredientLine({ ...bare(i), amount: round(i.amount * n) }),
          ...(pack && pack.unit === whole.unit ? { pack: pack.amount } : {}),
          ...(i.instead === undefined ? {} : { instead: i.instead }),
          ...(i.optional ? { optional: true as const } : {}),
        },
      ]
    })
  })
}

const bare = ({ instead: _, note: __, pack: ___, ...rest }: Recipe['ingredients'][number]) => rest
const round = (n: number) => Math.round(n * 100) / 100
