import { database, type Database } from './database'
import { addHousehold } from './household'
import { openSession } from './opened'

/** Puts the demo household beside what is there and opens its session; the state before, if any. */
export async function loadDemo(db: Database = database): Promise<number | undefined> {
  const { demoHousehold } = await import('~~/demo')
  const demo = demoHousehold()
  let session = ''
  const state = await addHousehold(demo, 'the demo household was loaded', db, ({ sessionOf }) => {
    session = sessionOf(demo.sessions[0]!.id)
  })
  await openSession(session, db)
  return state
}

/** Loads the demo household on the first visit of this browser. */
export async function loadDemoOnce(db: Database = database): Promise<void> {
  if (await db.settings.get('demo-loaded')) return
  if (!(await db.sessions.count())) await loadDemo(db)
  await db.settings.put({ key: 'demo-loaded', value: 'yes' })
}
