import { amountText, measurable, type Unit } from '../quantity'
import { packsIn, type Recipe } from '../recipe'

/** What is bought in packs for the whole session, and what is left in the last one. */
export interface PackUse {
  item: string
  /** Packs to open. */
  packs: number
  /** With its unit; undefined where nothing is left. */
  left: string | undefined
  pack: string
  dishes: string[]
}

/** Packs over all dishes: half a tin here and half there is one tin. */
export function packsOf(made: readonly { recipe: Recipe; batches: number }[]): PackUse[] {
  const all = new Map<
    string,
    { item: string; used: number; amount: number; unit: Unit; dishes: Set<string> }
  >()
  for (const { recipe, batches } of made)
    for (const i of recipe.ingredients) {
      const packs = packsIn(i)
      if (packs === undefined) continue
      const key = `${i.item.toLowerCase()} ${i.pack!.amount} ${i.pack!.unit}`
      const before = all.get(key)
      if (before) {
        before.used += packs * batches
        before.dishes.add(recipe.id)
      } else
        all.set(key, {
          item: i.item,
          used: packs * batches,
          amount: i.pack!.amount,
          unit: i.pack!.unit,
          dishes: new Set([recipe.id]),
        })
    }
  return [...all.values()].map(({ item, used, amount, unit, dishes }) => {
    const packs = Math.ceil(used - 0.01)
    const left = (packs - used) * amount
    return {
      item,
      packs,
      left: left > 0.02 * amount ? amountText(measurable(left, unit), unit) : undefined,
      pack: amountText(amount, unit),
      dishes: [...dishes],
    }
  })
}
