import type { Kitchen } from '~~/core/kitchen'
import type { Session } from '~~/core/session'
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
