import { mergeHouseholds, type Household } from '~~/core/household'
import { database, type Database } from './database'
import { replaceHousehold } from './household'
import { openSession } from './opened'

/** Puts the demo household beside what is there and opens its session; the state before, if any. */
export async function loadDemo(db: Database = database): Promise<number | undefined> {
  const { demoHousehold } = await import('~~/demo')
  const household = demoHousehold()
  const state = await addHousehold(household, 'the demo household was loaded', db)
  await openSession(household.sessions[0]!.id, db)
  return state
}

/** Puts a household beside what is there; the state before, if there was anything. */
export const addHousehold = (
  household: Household,
  what: string,
  db: Database = database,
): Promise<number | undefined> =>
  replaceHousehold((here) => mergeHouseholds(here, household).household, what, db)

/** Loads the demo household on the first visit of this browser. */
export async function loadDemoOnce(db: Database = database): Promise<void> {
  if (await db.settings.get('demo-loaded')) return
  if (!(await db.sessions.count())) await loadDemo(db)
  await db.settings.put({ key: 'demo-loaded', value: 'yes' })
}
