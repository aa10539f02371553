import type { Issue } from '~~/core/reading'
import { dishesToMake, sessionOf } from '~~/core/session'
import { database, type Database } from './database'

/**
 * Why a recipe, or without one the kitchen, may not be changed now: a session with it is being
 * cooked, and its plan would no longer be that of what is on the stove. Nothing where it may.
 */
export async function beingCooked(recipe?: string, db: Database = database): Promise<Issue[]> {
  const [cooking, recipes] = await Promise.all([db.cooking.toArray(), db.recipes.toArray()])
  if (!cooking.length) return []
  const known = new Map(recipes.map((r) => [r.id, r]))
  for (const { session: id } of cooking) {
    const session = await db.sessions.get(sessionOf(id))
    if (!session) continue
    const own =
      recipe === undefined || dishesToMake(session, known).some((d) => d.recipe.id === recipe)
    if (own)
      return [
        {
          path: recipe ?? 'kitchen',
          message: `"${session.name}" is being cooked with it`,
          allowed: 'changes once that session is over or stopped on the Cook page',
        },
      ]
  }
  return []
}
