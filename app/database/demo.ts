import type { Household } from '~~/core/household'
import { demoKitchen, demoMenus, demoRecipes, demoSession } from '~~/demo'
import { database, type Database } from './database'
import { replaceHousehold } from './household'

export const demoHousehold = (): Household => ({
  format: 'cadrum/household@1',
  savedAt: new Date(0).toISOString(),
  kitchens: [demoKitchen],
  recipes: demoRecipes,
  sessions: [demoSession],
  plans: [],
  cooking: [],
  menus: demoMenus,
})

/** Loads the demo household on the first visit of this browser. */
export async function loadDemoOnce(db: Database = database): Promise<void> {
  if (await db.settings.get('demo-loaded')) return
  if (!(await db.sessions.count())) await replaceHousehold(demoHousehold(), db)
  await db.settings.put({ key: 'demo-loaded', value: 'yes' })
}
