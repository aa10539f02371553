import { addDays, differenceInCalendarDays, format, getISODay, parseISO } from 'date-fns'
import { mainOf, type Recipe } from '../recipe'
import { keepsIn } from './keepsIn'
import { roleIn } from './role'
import type { Evening, Session, SessionDish } from './schema'

export type KeptIn = 'tonight' | 'fridge' | 'freezer' | 'shelf'

/** What becomes of one dish: how much of it there is, where it is kept and for how long. */
export interface MenuDish {
  recipe: string
  /** Servings made, and those wanted on the evenings it is eaten. */
  made: number
  wanted: number
  /** Least batches, in halves, that make as much as is wanted. */
  enough: number
  kept: KeptIn
  /** Days that it keeps there. */
  days: number
  source: string
}

/** What is eaten one evening, and what there is to say about it. */
export interface MenuEvening extends Evening {
  dishes: string[]
  /** Dishes that no longer keep by then. */
  late: string[]
  /** The main ingredient, where the evening before had the same. */
  again?: string
}

/**
 * The menu in figures: servings against eaters, keeping times against days, and repetition. `madeAt` is the
 * day on which a dish is finished, where that is not the day of the session.
 */
export function menuOf(
  session: Session,
  recipes: readonly Recipe[],
  madeAt: (recipe: string) => string | undefined = () => undefined,
): { dishes: MenuDish[]; evenings: MenuEvening[] } {
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const list = session.evenings ?? []
  const own = session.dishes.flatMap((dish) => {
    const recipe = byId.get(dish.recipe)
    return recipe ? [{ dish, recipe, keeping: keepingOf(dish, recipe, byId) }] : []
  })
  const eatersOn = new Map(list.map((e) => [e.day, e.eaters]))
  const dishes = own.map(({ dish, recipe, keeping }): MenuDish => {
    const wanted = (dish.on ?? []).reduce((sum, day) => sum + (eatersOn.get(day) ?? 0), 0)
    return {
      recipe: dish.recipe,
      made: Math.round(recipe.serves * dish.batches * 10) / 10,
      wanted,
      enough: Math.max(0.5, Math.ceil((2 * wanted) / recipe.serves - 1e-9) / 2),
      ...keeping,
    }
  })
  let before: string | undefined
  const evenings = list.map((evening): MenuEvening => {
    const eaten = own.filter(({ dish }) => dish.on?.includes(evening.day))
    const main = eaten.map(({ recipe }) => mainOf(recipe)).find((m) => m !== undefined)
    const again = main !== undefined && main === before ? main : undefined
    before = main
    return {
      ...evening,
      dishes: eaten.map(({ dish }) => dish.recipe),
      late: eaten
        .filter(
          ({ dish, keeping }) =>
            daysAfter(madeAt(dish.recipe) ?? session.start, evening.day) > keeping.days,
        )
        .map(({ dish }) => dish.recipe),
      ...(again === undefined ? {} : { again }),
    }
  })
  return { dishes, evenings }
}

/**
 * The session with something to eat on each evening that has nothing, as far as the servings go: a
 * meal, or two parts that have not met before. Rather not the main ingredient of the evening
 * before; on a short evening rather one thing to warm than two to combine; then what keeps shortest. Days for
 * which there is something in the house already stay as they are.
 */
export function fillEvenings(
  session: Session,
  recipes: readonly Recipe[],
  provided: ReadonlySet<string> = new Set(),
): Session {
  const byId = new Map(recipes.map((r) => [r.id, r]))
  const mainIn = (ids: readonly string[]) =>
    ids.map((id) => mainOf(byId.get(id)!)).find((m) => m !== undefined)
  let now = session
  let before: string | undefined
  for (const { day, eaters, time } of session.evenings ?? []) {
    const { dishes, evenings } = menuOf(now, recipes)
    let eaten = evenings.find((e) => e.day === day)!.dishes
    const after = daysAfter(session.start, day)
    if (!eaten.length && eaters > 0 && after >= 0 && !provided.has(day)) {
      const there = dishes.filter((d) => d.days >= after && d.made - d.wanted >= eaters - 1e-9)
      const met = new Set(evenings.map((e) => e.dishes.join()))
      const best = platesOf(there, byId)
        .map((plate) => ({
          ids: plate.map((d) => d.recipe),
          days: Math.min(...plate.map((d) => d.days)),
        }))
        .sort(
          (a, b) =>
            Number(met.has(a.ids.join())) - Number(met.has(b.ids.join())) ||
            Number(mainIn(a.ids) === before) - Number(mainIn(b.ids) === before) ||
            (time === 'short' ? a.ids.length - b.ids.length : 0) ||
            a.days - b.days,
        )[0]
      for (const id of best?.ids ?? []) now = withEaten(now, id, day, true)
      eaten = best?.ids ?? []
    }
    before = mainIn(eaten)
  }
  return now
}

/** What can be an evening's food: each meal by itself, and each two parts. */
function platesOf(there: readonly MenuDish[], byId: Map<string, Recipe>): MenuDish[][] {
  const roleOf = (d: MenuDish) => roleIn(byId.get(d.recipe)!)
  const parts = there.filter((d) => roleOf(d) === 'part')
  return [
    ...there.filter((d) => roleOf(d) === 'meal').map((d) => [d]),
    ...parts.flatMap((a, i) => parts.slice(i + 1).map((b) => [a, b])),
  ]
}

/** The session with a dish eaten on a day, or not. */
export const withEaten = (session: Session, recipe: string, day: string, on: boolean): Session => ({
  ...session,
  dishes: session.dishes.map((d) =>
    d.recipe === recipe
      ? { ...d, on: [...(d.on ?? []).filter((x) => x !== day), ...(on ? [day] : [])].sort() }
      : d,
  ),
})

/** So many evenings from the day of the session on: short from Monday to Thursday. */
export function eveningsFrom(start: string, count: number, eaters: number): Evening[] {
  const first = parseISO(start.slice(0, 10))
  return Array.from({ length: count }, (_, k) => {
    const date = addDays(first, k)
    return {
      day: format(date, 'yyyy-MM-dd'),
      time: getISODay(date) <= 4 ? 'short' : 'long',
      eaters,
    }
  })
}

/** Days from the session to an evening. */
export const daysAfter = (start: string, day: string): number =>
  differenceInCalendarDays(parseISO(day), parseISO(start))

function keepingOf(
  dish: SessionDish,
  recipe: Recipe,
  byId: ReadonlyMap<string, Recipe>,
): Pick<MenuDish, 'kept' | 'days' | 'source'> {
  const kept = dish.to ?? recipe.store?.place ?? 'fridge'
  return { kept, ...keepsIn(recipe, kept, byId) }
}
