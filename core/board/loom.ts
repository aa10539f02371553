import type { Recipe } from '../recipe'
import {
  byStart,
  listedEvening,
  listSittings,
  menuOf,
  type Assignment,
  type ListedSitting,
  type Session,
} from '../session'

/** What a dish's thread is at one sitting or evening, and where it lies from there to the next. */
export interface LoomCell {
  dish: string
  /** Steps that are done then, by their ids. */
  steps: string[]
  eaten: boolean
  /** What it does between this row and the one before: nothing, goes on by itself, or lies somewhere. */
  before: 'nothing' | 'parted' | 'fridge' | 'freezer' | 'shelf' | 'tonight'
  after: LoomCell['before']
}

export interface LoomRow extends ListedSitting {
  cells: LoomCell[]
}

/**
 * The weeks of a session as threads: a row for each sitting and evening in the order of time, with each
 * dish's way through them, from the sittings in which it is made to the evenings on which it is eaten.
 */
export function loomOf(
  session: Session,
  recipes: readonly Recipe[],
  assignment: Assignment | undefined,
): LoomRow[] {
  const listed = listSittings({ session, recipes }, assignment)
  // An evening with nothing on it is there too: something may be put on it.
  const empty = (session.evenings ?? []).filter((e) => !listed.some((l) => l.id === e.day))
  const rows = [...listed, ...empty.map((e) => listedEvening(session, e.day))].sort(byStart)
  const { dishes } = menuOf(session, recipes)
  const threads = session.dishes.map((dish) => {
    const recipe = recipes.find((r) => r.id === dish.recipe)
    const all = recipe?.steps.map((s) => s.id) ?? []
    const stepsIn = (row: ListedSitting) => {
      if (row.kind === 'evening') return []
      const placed = assignment?.placed.get(dish.recipe)
      if (!placed) return row.id === 'main' ? all : []
      const at = assignment!.slots.findIndex((s) => s.id === row.id)
      return all.filter((id) => placed.get(id) === at)
    }
    const own = rows.map((row) => ({
      steps: stepsIn(row),
      eaten: row.kind === 'evening' && dish.on?.includes(row.id) === true,
    }))
    const made = own.flatMap((c, k) => (c.steps.length ? [k] : []))
    const eaten = own.flatMap((c, k) => (c.eaten ? [k] : []))
    const kept = dishes.find((d) => d.recipe === dish.recipe)?.kept ?? 'fridge'
    const last = eaten.at(-1) ?? (kept === 'freezer' ? rows.length : -1)
    /** What it does between row k and the next. */
    const between = (k: number): LoomCell['before'] => {
      if (!made.length || k < made[0]! || k >= Math.max(last, made.at(-1)!)) return 'nothing'
      return k < made.at(-1)! ? 'parted' : kept
    }
    return { dish: dish.recipe, own, between }
  })
  return rows.map((row, k) => ({
    ...row,
    cells: threads.map(({ dish, own, between }) => ({
      dish,
      ...own[k]!,
      before: k ? between(k - 1) : 'nothing',
      after: between(k),
    })),
  }))
}
