import { readHousehold, type Household } from '~~/core/household'
import type { Reading } from '~~/core/reading'
import { database, type Database } from './database'

const OWNED = ['kitchens', 'recipes', 'sessions', 'plans', 'cooking', 'menus'] as const

/** All that the household owns, as one plain value. */
export async function collectHousehold(db: Database = database): Promise<Household> {
  const [kitchens, recipes, sessions, plans, cooking, menus] = await Promise.all([
    db.kitchens.toArray(),
    db.recipes.toArray(),
    db.sessions.toArray(),
    db.plans.toArray(),
    db.cooking.toArray(),
    db.menus.toArray(),
  ])
  return {
    format: 'cadrum/household@1',
    savedAt: new Date().toISOString(),
    kitchens,
    recipes,
    sessions,
    plans,
    cooking,
    menus,
  }
}

/** Puts a household in the place of what is there, all of it or nothing. */
export async function replaceHousehold(
  household: Household,
  db: Database = database,
): Promise<void> {
  await db.transaction(
    'rw',
    OWNED.map((t) => db[t]),
    async () => {
      await Promise.all(OWNED.map((t) => db[t].clear()))
      await db.kitchens.bulkAdd(household.kitchens)
      await db.recipes.bulkAdd(household.recipes)
      await db.sessions.bulkAdd(household.sessions)
      await db.plans.bulkAdd(household.plans)
      await db.cooking.bulkAdd(household.cooking)
      await db.menus.bulkAdd(household.menus)
    },
  )
}

/** Takes over a file's content if it is sound; otherwise changes nothing and says why. */
export async function importHousehold(
  content: string,
  db: Database = database,
): Promise<Reading<Household>> {
  const reading = readHousehold(content)
  if (reading.ok) await replaceHousehold(reading.value, db)
  return reading
}
