import type { Kitchen } from '../kitchen'
import type { Label } from '../labels'
import type { Recipe } from '../recipe'
import { freezesBadly, type FreezesBadly } from '../safety'
import { itemsIn } from '../session'
import type { StockPlace } from '../stock'
import { chooseBoxes, closable, inUse, roomIn, toBox, type Boxed, type ToBox } from './boxes'
import { litresLying, type Lying } from './lying'

/** What would make room, computed: with it the place holds all. */
export interface Proposal {
  kind: 'freeze' | 'eat' | 'lids' | 'boxes'
  text: string
}

/** Whether all that a session packs finds its box and its place. */
export interface RoomCheck {
  boxed: Boxed
  /** Litres wanted beside what lies there, and litres that are free. */
  places: { place: StockPlace; wanted: number; free: number; over: number }[]
  proposals: Proposal[]
  /** Dishes for the freezer that it spoils. */
  badly: { dish: string; name: string; what: FreezesBadly[] }[]
}

const one = (n: number) => Math.round(n * 10) / 10

/** Checked before anything is cooked: boxes and lids, litres of fridge and freezer, what does not freeze well. */
export function checkRoom(
  labels: readonly Label[],
  kitchen: Kitchen,
  recipes: ReadonlyMap<string, Recipe>,
  lying: readonly Lying[] = [],
): RoomCheck {
  const things = labels.flatMap((l) => {
    const recipe = recipes.get(l.dish)
    return recipe ? [{ ...toBox(recipe, l), dish: l.dish }] : []
  })
  const boxes = kitchen.boxes ?? []
  const boxed = boxes.length ? chooseBoxes(things, boxes, lying) : { boxOf: new Map(), lacking: [] }
  const litres = (t: ToBox) => boxed.boxOf.get(t.id)?.litres ?? t.litres
  const places = (['fridge', 'freezer'] as const).flatMap((place) => {
    const room = roomIn(kitchen, place)
    if (room === undefined) return []
    const wanted = one(things.filter((t) => t.place === place).reduce((n, t) => n + litres(t), 0))
    const free = one(Math.max(0, room - litresLying(lying, place)))
    return [{ place, wanted, free, over: one(Math.max(0, wanted - free)) }]
  })
  const proposals: Proposal[] = []
  const freezer = places.find((p) => p.place === 'freezer')
  for (const { place, over } of places) {
    if (over <= 0) continue
    if (place === 'fridge' && freezer) {
      const spare = freezer.free - freezer.wanted
      const dishes = [...new Set(things.filter((t) => t.place === 'fridge').map((t) => t.dish))]
        .map((dish) => ({
          recipe: recipes.get(dish)!,
          litres: one(
            things
              .filter((t) => t.dish === dish && t.place === 'fridge')
              .reduce((n, t) => n + litres(t), 0),
          ),
        }))
        .filter(
          ({ recipe, litres: l }) =>
            l >= over && l <= spare && !freezesBadly(recipe.name, itemsIn(recipe, recipes)).length,
        )
        .sort((a, b) => a.litres - b.litres)
      const best = dishes[0]
      if (best)
        proposals.push({
          kind: 'freeze',
          text: `Freeze ${best.recipe.name}: that frees ${best.litres} litres of the fridge, and the freezer has ${one(spare)}.`,
        })
    }
    const oldest = lying.filter((l) => l.place === place).slice(0, 3)
    let [freed, n] = [0, 0]
    while (n < oldest.length && freed < over) freed += oldest[n++]!.litres
    if (freed >= over)
      proposals.push({
        kind: 'eat',
        text: `Eat up before: ${oldest
          .slice(0, n)
          .map((l) => l.pack.name)
          .join(', ')}. That frees ${one(freed)} litres of the ${place}.`,
      })
  }
  if (boxed.lacking.length) {
    // With a lid more boxes could be used: those that have one all are.
    const used = inUse(lying)
    for (const b of boxed.boxOf.values()) used.set(b.id, (used.get(b.id) ?? 0) + 1)
    const lids = boxes.filter((b) => closable(b) < b.count && (used.get(b.id) ?? 0) >= closable(b))
    const least = one(Math.max(...boxed.lacking.map((t) => t.litres)) / 0.9)
    if (lids.length)
      proposals.push({
        kind: 'lids',
        text: `Look for lids of ${lids.map((b) => b.name).join(', ')}: ${lids.reduce((n, b) => n + b.count - closable(b), 0)} lie there without one.`,
      })
    proposals.push({
      kind: 'boxes',
      text: `Get ${boxed.lacking.length} more that hold ${least} litres or more, or put the food into what there is in smaller packs.`,
    })
  }
  const badly = [
    ...new Set(labels.filter((l) => l.place === 'freezer').map((l) => l.dish)),
  ].flatMap((dish) => {
    const recipe = recipes.get(dish)
    const what = recipe ? freezesBadly(recipe.name, itemsIn(recipe, recipes)) : []
    return what.length ? [{ dish, name: recipe!.name, what }] : []
  })
  return { boxed, places, proposals, badly }
}
