import { foodOf, gramsIn, measured } from '../food'
import type { Unit } from '../quantity'
import type { Recipe } from '../recipe'
import { dishCosts } from './costs'
import { withDish, withoutDish, type Session } from '../session'
import { shopList, type Asked, type ShopLine } from './list'
import { offersBy } from './prices'

/** One thing that would make the shopping cheaper, and by how much, in the smallest coin. */
export type Saving = { saves: number } & (
  | { kind: 'instead'; item: string; with: string; dishes: string[] }
  | { kind: 'without'; dish: string }
  | { kind: 'bigger'; item: string; amount: number; unit: ShopLine['unit']; left: number }
  | { kind: 'made'; recipe: string; item: string; amount: number; unit: ShopLine['unit'] }
)

/** Less than so many coins is not worth a word. */
const WORTH = 20

/**
 * What would save, the most first, each reckoned by a whole list of its own: something else in a dish, a
 * dish left out, a bigger pack whose rest is used too, and what is made at home and could be bought.
 */
export function savingsOf(asked: Asked): Saving[] {
  const list = shopList(asked)
  const saves = (session: Session) => list.total.least - shopList({ ...asked, session }).total.least
  const out: Saving[] = [
    ...bigger(asked, list.lines),
    ...madeAtHome(asked, list.lines),
    ...standIns(asked, list.lines, saves),
    ...without(asked, saves),
  ]
  return out.filter((s) => s.saves >= WORTH).sort((a, b) => b.saves - a.saves)
}

function standIns(
  { session, prices = [] }: Asked,
  lines: readonly ShopLine[],
  saves: (session: Session) => number,
): Saving[] {
  const offers = offersBy(prices)
  return lines.flatMap((line): Saving[] =>
    [...new Set(line.wants.flatMap((w) => w.instead ?? []))].flatMap((item): Saving[] => {
      const named = foodOf(item)
      // Of what has no price nobody knows what it would save.
      if (!offers(`${named.key}|${named.food?.by ?? 'g'}`).length) return []
      const wants = line.wants.filter((w) => w.instead === item)
      const other = wants.reduce(
        (s, { dish, ingredient }) =>
          s.dishes.some((d) => d.recipe === dish)
            ? withDish(s, dish, { swaps: [{ ingredient, item }] })
            : s,
        session,
      )
      return [
        {
          kind: 'instead',
          item: line.item,
          with: item,
          dishes: wants.map((w) => w.dish),
          saves: saves(other),
        },
      ]
    }),
  )
}

function without({ session }: Asked, saves: (session: Session) => number): Saving[] {
  return session.dishes
    .filter((d) => !d.must)
    .map(({ recipe }) => ({
      kind: 'without' as const,
      dish: recipe,
      saves: saves(withoutDish(session, recipe)),
    }))
}

/** A bigger pack that is cheaper by the gram: what it saves on the whole of it. */
function bigger({ prices = [] }: Asked, lines: readonly ShopLine[]): Saving[] {
  const offers = offersBy(prices)
  return lines.flatMap((line): Saving[] => {
    if (line.cost === undefined || !line.bought) return []
    const rate = line.cost / line.bought
    const best = offers(line.id)
      .filter((o) => !o.loose && o.cost !== undefined && o.amount > line.bought)
      .map((o) => ({ o, saves: Math.round(rate * o.amount - o.cost!) }))
      .sort((a, b) => b.saves - a.saves)[0]
    if (!best) return []
    return [
      {
        kind: 'bigger',
        item: line.item,
        amount: best.o.amount,
        unit: line.unit,
        left: best.o.amount + line.stock - line.used,
        saves: best.saves,
      },
    ]
  })
}

/** What is left of the weight of dough when it is baked: an estimate of ours. */
const BAKED = 0.88
/** Grams of all that goes into a batch, as far as its weight is known. */
const weightOf = (recipe: Recipe) =>
  recipe.ingredients.reduce((n, i) => {
    const named = foodOf(i.item)
    const { amount, unit } = measured(named, i.amount, i.unit, i.counted)
    return n + (gramsIn(named, amount, unit) ?? 0)
  }, 0)

/** Bread that is baked and stock that is left over, against what the same would cost. */
function madeAtHome(
  { session, recipes, prices = [] }: Asked,
  lines: readonly ShopLine[],
): Saving[] {
  const costs = dishCosts(lines, session, recipes)
  const offers = offersBy(prices)
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const rateOf = (item: string) => {
    const named = foodOf(item)
    const unit = named.food?.by
    const rates = offers(`${named.key}|${unit}`).map((o) => o.cost! / o.amount)
    return rates.length ? { rate: Math.min(...rates), unit: unit! } : undefined
  }
  return session.dishes.flatMap(({ recipe: id, batches }): Saving[] => {
    const recipe = byId.get(id)
    if (!recipe) return []
    const made = (item: string, amount: number, unit: Unit): Saving[] => {
      const known = rateOf(item)
      const own = measured(foodOf(item), amount, unit)
      if (!known || known.unit !== own.unit) return []
      const saves = Math.round(known.rate * own.amount)
      return [{ kind: 'made', recipe: id, item, amount: own.amount, unit: own.unit, saves }]
    }
    const left = (recipe.leaves ?? []).flatMap((l) => made(l.item, l.amount * batches, l.unit))
    if (foodOf(recipe.name).food?.section !== 'bread') return left
    // Of a loaf that is baked what goes into it has to be bought all the same.
    const cost = costs.find((c) => c.dish === id)
    const loaf = made('bread', BAKED * weightOf(recipe) * batches, 'g')
    return [
      ...left,
      ...loaf.flatMap((l) =>
        cost && !cost.unknown.length ? [{ ...l, saves: l.saves - cost.cost }] : [],
      ),
    ]
  })
}
