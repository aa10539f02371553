import type { Kitchen } from '~~/core/kitchen'
import { keyOf, MAIN, sessionOf, sittingOf, type Session } from '~~/core/session'
import { database, type Database } from './database'

const OPEN = 'open-session'

/** The session that is open in this browser: the one last opened, else the first there is. */
export async function openedSession(db: Database = database): Promise<Session | undefined> {
  const chosen = await db.settings.get(OPEN)
  const session = chosen && (await db.sessions.get(chosen.value))
  return session ?? (await db.sessions.toCollection().first())
}

/** The kitchen that the open session is cooked in, else the first there is. */
export async function openedKitchen(db: Database = database): Promise<Kitchen | undefined> {
  const session = await openedSession(db)
  const kitchen = session && (await db.kitchens.get(session.kitchen))
  return kitchen ?? (await db.kitchens.toCollection().first())
}

/** Opens a session in this browser. */
export const openSession = (id: string, db: Database = database): Promise<string> =>
  db.settings.put({ key: OPEN, value: id })

const SITTING = 'open-sitting'

/** The sitting of a session that is open in this browser, by its id; without one its own. */
export async function openedSitting(session: string, db: Database = database): Promise<string> {
  const chosen = await db.settings.get(SITTING)
  return chosen && sessionOf(chosen.value) === session ? sittingOf(chosen.value) : MAIN
}

/** Opens a sitting of a session, or one of its evenings. */
export const openSitting = (
  session: string,
  sitting: string,
  db: Database = database,
): Promise<string> => db.settings.put({ key: SITTING, value: keyOf(session, sitting) })
