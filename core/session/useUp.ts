import { amountText } from '../quantity'
import type { Reading } from '../reading'
import { readAmount, takersOf, type Recipe } from '../recipe'
import type { Session } from './schema'

export type ToUse = NonNullable<Session['useUp']>[number]

/** Something that should be used soon, and what would use it. */
export interface Due extends ToUse {
  line: string
  /** Recipes that ask for it, those of the session first with their batches. */
  takers: { recipe: string; wants: string; chosen: boolean }[]
}

/** A thing to use up as a cook would write it, `300 g spinach`; or why it is none. */
export function readToUse(line: string, by: string | undefined): Reading<ToUse> {
  const read = readAmount(line, 'useUp', '300 g spinach')
  if (!read.ok) return read
  return { ok: true, value: { ...read.value, ...(by ? { by } : {}) } }
}

/** What is to be used up, the soonest first, with the recipes that ask for it by name. */
export function dueOf(
  session: Pick<Session, 'useUp' | 'dishes'>,
  recipes: readonly Recipe[],
): Due[] {
  const chosen = new Map(session.dishes.map((d) => [d.recipe, d.batches]))
  return [...(session.useUp ?? [])]
    .sort((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9'))
    .map((due) => ({
      ...due,
      line: `${amountText(due.amount, due.unit)} ${due.item}`,
      takers: takersOf(due.item, recipes, (id) => chosen.get(id) ?? 1)
        .map((t) => ({ ...t, chosen: chosen.has(t.recipe) }))
        .sort((a, b) => Number(b.chosen) - Number(a.chosen)),
    }))
}

/** The session without one thing that is used up; another of the same name stays. */
export function withoutDue(session: Session, gone: ToUse): Session {
  const all = session.useUp ?? []
  const at = all.findIndex(
    (u) => u.item === gone.item && u.amount === gone.amount && u.by === gone.by,
  )
  return { ...session, useUp: all.filter((_, i) => i !== at) }
}
