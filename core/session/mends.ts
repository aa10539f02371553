import type { Kitchen } from '../kitchen'
import type { Recipe } from '../recipe'
import type { Reading } from '../reading'
import { compileSession, type CompiledSession } from './compile'
import type { Session, SessionDish } from './schema'

/** A change of one dish that mends what stands in the way of planning. */
export interface Mend {
  dish: string
  set: Partial<Pick<SessionDish, 'goes' | 'to' | 'batches'>>
  /** What still stands in the way afterwards: 0 where it can then be planned. */
  left: number
}

/**
 * What could be done about a session that cannot be planned: each dish in several goes, kept
 * elsewhere, or less of it; only what leaves less in the way than before, by trying. The least
 * change of a dish comes first, fewer batches last.
 */
export function mendsOf(input: { session: Session; kitchen: Kitchen; recipes: Recipe[] }): Mend[] {
  const problems = (session: Session) => issuesOf(compileSession({ ...input, session }))
  const before = problems(input.session)
  if (!before.length) return []
  return input.session.dishes.flatMap((dish) => {
    const tried = (set: Mend['set']): Mend[] => {
      const after = problems({
        ...input.session,
        dishes: input.session.dishes.map((d) => (d === dish ? { ...d, ...set } : d)),
      })
      // What was in the way elsewhere stays; nothing new may come.
      const fewer = after.length < before.length && after.every((p) => before.includes(p))
      return fewer ? [{ dish: dish.recipe, set, left: after.length }] : []
    }
    const goes = first(
      GOES.filter((g) => g > (dish.goes ?? 1)).map((g) => () => tried({ goes: g })),
    )
    const to = PLACES.filter((p) => p !== dish.to).flatMap((p) => tried({ to: p }))
    const less = first(
      Array.from({ length: 2 * dish.batches - 1 }, (_, k) => dish.batches - 0.5 * (k + 1)).map(
        (batches) => () => tried({ batches }),
      ),
    )
    return [...goes, ...to, ...less]
  })
}

const GOES = [2, 3, 4]
const PLACES = ['freezer', 'fridge', 'tonight'] as const

const first = (tries: (() => Mend[])[]): Mend[] => {
  for (const attempt of tries) {
    const found = attempt()
    if (found.length) return found
  }
  return []
}

const issuesOf = (reading: Reading<CompiledSession>) =>
  reading.ok ? [] : reading.issues.map((i) => i.path)
