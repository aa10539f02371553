import { learnFrom, withLearned } from '~~/core/logbook'
import { database, type Database } from './database'

/** Sessions that are learned from, the latest: people change. */
const LATEST = 12

/** Puts into a kitchen what the sessions in the logbook teach about its people. */
export async function teach(kitchen: string, db: Database = database): Promise<void> {
  const [place, records] = await Promise.all([db.kitchens.get(kitchen), db.records.toArray()])
  if (!place) return
  records.sort((a, b) => b.endedAt - a.endedAt)
  const own = records.filter((r) => r.kitchen === kitchen).slice(0, LATEST)
  await db.kitchens.put(withLearned(place, learnFrom(own)))
}
