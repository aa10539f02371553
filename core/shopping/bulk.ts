import { type Base, foodOf, type Named, measured } from '../food'
import { withDish, withNewDish, type Session } from '../session'
import { lawOf, type Recipe } from '../recipe'
import { needsOf } from './needs'

/** What could become of so much of one thing. */
export interface BulkWay {
  /** Batches of each dish that takes it; all of the thing but `left` goes into them. */
  dishes: { recipe: string; batches: number; amount: number }[]
  /** What no dish takes: it goes into the freezer as it is, or is bought less. */
  left: number
  unit: Base
  servings: number
  /** Litres that the dishes take in the freezer and the fridge. */
  freezer: number
  fridge: number
  /** Minutes of hands, by the usual times of the recipes. */
  hands: number
}

/** What there is of room, hands and appetite. */
export interface BulkLimits {
  freezer: number
  fridge: number
  /** Minutes of hands. */
  hands?: number
  /** Batches of one dish at most: nobody likes the same every day. */
  most?: number
}

/** Batches of one dish where nobody says otherwise. */
const USUAL_MOST = 4
/** Ways that are thought through at most. */
const MOST_WAYS = 200_000
/** So many ways are told. */
const TOLD = 5
const NOTHING = 1e-6

interface Taker {
  recipe: Recipe
  each: number
  hands: number
}

/**
 * What so much of one thing could become: batches of the dishes that take it, in halves, within room, hands
 * and appetite. Those that use the most of it come first, then those of more different dishes, then those
 * with less work. Every way adds up: what the dishes take and what is left are all of it.
 */
export function bulkWays(
  item: string,
  amount: number,
  unit: Base,
  recipes: readonly Recipe[],
  limits: BulkLimits,
): BulkWay[] {
  const named = foodOf(item)
  const takers = takersIn(named, unit, recipes)
  const most = Math.round(2 * (limits.most ?? USUAL_MOST))
  const ways: BulkWay[] = []
  let thought = 0
  const go = (at: number, halves: number[], left: number, so: BulkWay) => {
    if (thought++ > MOST_WAYS) return
    const taker = takers[at]
    if (!taker) {
      if (halves.some((n) => n > 0)) ways.push({ ...so, left })
      return
    }
    for (let n = Math.min(most, Math.floor((2 * left) / taker.each + NOTHING)); n >= 0; n--) {
      const next = n ? withBatches(so, taker, n / 2) : so
      if (next.freezer > limits.freezer + NOTHING || next.fridge > limits.fridge + NOTHING) continue
      if (limits.hands !== undefined && next.hands > limits.hands + NOTHING) continue
      go(at + 1, [...halves, n], Math.max(0, left - (n / 2) * taker.each), next)
    }
  }
  const empty = { dishes: [], left: amount, unit, servings: 0, freezer: 0, fridge: 0, hands: 0 }
  go(0, [], amount, empty)
  return ways
    .sort((a, b) => a.left - b.left || b.dishes.length - a.dishes.length || a.hands - b.hands || 0)
    .slice(0, TOLD)
}

/** Dishes that take it, the ones that take the most first. */
function takersIn(named: Named, unit: Base, recipes: readonly Recipe[]): Taker[] {
  return recipes
    .flatMap((recipe): Taker[] => {
      if (recipe.base) return []
      const each = recipe.ingredients
        .filter((i) => foodOf(i.item).key === named.key)
        .map((i) => measured(foodOf(i.item), i.amount, i.unit, i.counted))
        .filter((m) => m.unit === unit)
        .reduce((n, m) => n + m.amount, 0)
      return each > NOTHING ? [{ recipe, each, hands: handsOf(recipe) }] : []
    })
    .sort((a, b) => b.each - a.each)
}

function withBatches(so: BulkWay, { recipe, each, hands }: Taker, batches: number): BulkWay {
  const litres = (recipe.store?.litres ?? 0) * batches
  const place = recipe.store?.place
  return {
    ...so,
    dishes: [...so.dishes, { recipe: recipe.id, batches, amount: each * batches }],
    servings: so.servings + recipe.serves * batches,
    freezer: so.freezer + (place === 'freezer' ? litres : 0),
    fridge: so.fridge + (place === 'fridge' ? litres : 0),
    // The second batch is less work than the first.
    hands: so.hands + hands * (0.5 + 0.5 * batches),
  }
}

/** Minutes of work for which hands are wanted all the time, by what its kind asks. */
const handsOf = (recipe: Recipe): number =>
  recipe.steps.reduce(
    (n, s) => n + (lawOf(s.work).attend === 'hands' ? s.ways[0]!.minutes[1] : 0),
    0,
  )

/** The session with the dishes of a way, each with its batches; what it had of them before is replaced. */
export function withBulk(session: Session, way: BulkWay): Session {
  return way.dishes.reduce((now, { recipe, batches }) => {
    const there = now.dishes.some((d) => d.recipe === recipe)
    return withDish(there ? now : withNewDish(now, recipe), recipe, { batches })
  }, session)
}

/** How much of a thing the dishes of a session take already. */
export const takenOf = (
  item: string,
  unit: Base,
  session: Session,
  recipes: readonly Recipe[],
): number => {
  const { key } = foodOf(item)
  return needsOf(session, recipes)
    .filter((n) => n.named.key === key && n.unit === unit)
    .reduce((n, x) => n + x.amount, 0)
}
