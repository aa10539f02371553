import { foodOf, measured, type Base } from '../food'
import type { ProblemInput } from '../problem'
import { lowerFirst, type Recipe } from '../recipe'
import { lastSteps } from './closing'
import type { Turns } from './compile'
import type { DishToMake } from './dishes'

/** What one dish leaves and another takes up, so that nobody buys it. */
export interface Leftover {
  from: string
  to: string
  ingredient: string
  /** In what the food is bought in. */
  amount: number
  unit: Base
}

/** Shares of an amount that are none. */
const NOTHING = 1e-6

/**
 * What of the dishes made goes into others of them: where one leaves all that another asks for under the
 * same name. Of a part nobody can say what it is good for: that is only offered. No two dishes wait for each
 * other. `may` says whether one is done before the other is begun.
 */
export function leftoversTaken(
  made: readonly DishToMake[],
  may: (from: string, to: string) => boolean = () => true,
): Leftover[] {
  const left = made.flatMap(({ recipe, batches }) =>
    (recipe.leaves ?? []).map((l) => {
      const named = foodOf(l.item)
      const { amount, unit } = measured(named, l.amount * batches, l.unit)
      return { from: recipe.id, key: named.key, unit, rest: amount }
    }),
  )
  const out: Leftover[] = []
  for (const { recipe, batches } of made)
    for (const i of recipe.ingredients) {
      const named = foodOf(i.item)
      const { amount, unit } = measured(named, i.amount * batches, i.unit, i.counted)
      const source = left.find(
        (l) =>
          l.key === named.key &&
          l.unit === unit &&
          l.from !== recipe.id &&
          l.rest >= amount - NOTHING &&
          may(l.from, recipe.id) &&
          !waitsFor(out, l.from, recipe.id),
      )
      if (!source) continue
      source.rest -= amount
      out.push({ from: source.from, to: recipe.id, ingredient: i.id, amount, unit })
    }
  return out
}

/** Whether a dish already takes up something of another, directly or not. */
const waitsFor = (taken: readonly Leftover[], dish: string, other: string): boolean =>
  taken.some((t) => t.to === dish && (t.from === other || waitsFor(taken, t.from, other)))

/** The step that leaves something, or all with which the dish is done. */
const leaving = (recipe: Recipe, item: string): string[] => {
  const key = foodOf(item).key
  const step = recipe.leaves?.find((l) => foodOf(l.item).key === key)?.step
  return step !== undefined && recipe.steps.some((s) => s.id === step)
    ? [step]
    : lastSteps(recipe).map((s) => s.id)
}

/** The dishes with where what they take up of another comes from, beside its name. */
export function sayingWhence(dishes: readonly DishToMake[]): DishToMake[] {
  const taken = leftoversTaken(dishes)
  if (!taken.length) return [...dishes]
  const nameOf = new Map(dishes.map((d) => [d.recipe.id, d.recipe.name]))
  return dishes.map((d) => {
    const own = taken.filter((t) => t.to === d.recipe.id)
    if (!own.length) return d
    const ingredients = d.recipe.ingredients.map((i) => {
      const source = own.find((t) => t.ingredient === i.id)
      if (!source) return i
      const from = `from the ${lowerFirst(nameOf.get(source.from)!)}`
      return { ...i, note: i.note === undefined ? from : `${i.note}, ${from}` }
    })
    return { ...d, recipe: { ...d.recipe, ingredients } }
  })
}

/** Adds that a dish waits for what it takes up of another one. */
export function addLeftovers(
  problem: ProblemInput,
  dishes: readonly DishToMake[],
  turns: Turns,
): void {
  const byId = new Map(dishes.map((d) => [d.recipe.id, d.recipe]))
  for (const { from, to, ingredient } of leftoversTaken(dishes)) {
    const [giver, taker] = [byId.get(from)!, byId.get(to)!]
    const item = taker.ingredients.find((i) => i.id === ingredient)!.item
    const takes = taker.steps.filter((s) => s.uses.includes(ingredient))
    for (const step of leaving(giver, item))
      for (const before of turns.get(`${from}.${step}`) ?? [])
        for (const s of takes)
          for (const after of turns.get(`${to}.${s.id}`) ?? [])
            (problem.relations ??= []).push({ from: before, to: after, kind: 'FS', min: 0 })
  }
}
