import equal from 'fast-deep-equal'
import {
  emptyHousehold,
  mergeHouseholds,
  outdated,
  OWNED,
  ownsAnything,
  type Household,
  type Merged,
  type StateMark,
} from '~~/core/household'
import type { Reading } from '~~/core/reading'
import { database, type Database } from './database'
import { MEASURES, measuresIn } from './measures'

/** Raised whenever all is replaced: what was being worked out for what was there is of no use then. */
const GENERATION = 'generation'

/** All that the household owns, as one plain value. */
export async function collectHousehold(db: Database = database): Promise<Household> {
  const household = emptyHousehold(new Date().toISOString())
  const lists = await Promise.all(OWNED.map((list) => db.table(list).toArray()))
  const measures = measuresIn((await db.settings.get(MEASURES))?.value)
  return Object.assign(
    household,
    measures && { measures },
    Object.fromEntries(OWNED.map((list, i) => [list, lists[i]])),
  )
}

/** What the household owns, without the time at which somebody looked. */
export const sameHousehold = (a: Household, b: Household): boolean =>
  OWNED.every((list) => equal(a[list], b[list]))

const EVERYTHING = [...OWNED, 'settings', 'states'] as const

/** Which replacing the household has come from; another one later means that all was replaced. */
export const generation = async (db: Database = database): Promise<string> =>
  (await db.settings.get(GENERATION))?.value ?? '0'

/** Keeps the household as it is, for somebody to go back to; nothing where the latest is the same. */
export function keepState(before: string, db: Database = database): Promise<number | undefined> {
  return db.transaction('rw', EVERYTHING, async () => {
    const household = await collectHousehold(db)
    const latest = await db.states.toCollection().last()
    if (latest && sameHousehold(latest.household, household)) {
      if (before) await db.states.update(latest.id, { before })
      return latest.id
    }
    if (!ownsAnything(household)) return undefined
    const id = await db.states.add({ at: Date.now(), before, household })
    // By their keys alone: each state is a whole household.
    const marks: StateMark[] = []
    await db.states
      .orderBy('at')
      .eachKey((at, { primaryKey }) => marks.push({ id: primaryKey, at: Number(at) }))
    await db.states.bulkDelete(outdated(marks))
    return id
  })
}

/**
 * Puts a household in the place of what is there, all of it or nothing: what was written is read back
 * and compared first. What was there is kept as an earlier state.
 *
 * @returns the id of that state, if there was anything to keep
 */
export function replaceHousehold(
  next: (before: Household) => Household,
  what: string,
  db: Database = database,
): Promise<number | undefined> {
  return db.transaction('rw', EVERYTHING, async () => {
    const before = await collectHousehold(db)
    const household = next(before)
    const state = await keepState(what, db)
    for (const list of OWNED) {
      await db.table(list).clear()
      await db.table(list).bulkAdd(household[list])
    }
    // A file that says nothing of it leaves it as it is.
    if (household.measures)
      await db.settings.put({ key: MEASURES, value: JSON.stringify(household.measures) })
    const back = await collectHousehold(db)
    const sorted = (h: Household): Household =>
      Object.assign({ ...h }, Object.fromEntries(OWNED.map((list) => [list, inOrder(h[list])])))
    if (!sameHousehold(sorted(back), sorted(JSON.parse(JSON.stringify(household)) as Household)))
      throw new Error('what was written does not read back the same')
    const key = GENERATION
    await db.settings.put({ key, value: String(Number(await generation(db)) + 1) })
    return state
  })
}

const inOrder = (list: readonly object[]) =>
  [...list].sort((a, b) => (keyOf(a) < keyOf(b) ? -1 : keyOf(a) > keyOf(b) ? 1 : 0))
const keyOf = (x: object): string => ('id' in x ? String(x.id) : (x as { session: string }).session)

/** Puts a household beside what is there; the state before, if there was anything. */
export const addHousehold = (
  household: Household,
  what: string,
  db: Database = database,
  heard: (merged: Merged) => void = () => {},
): Promise<number | undefined> =>
  replaceHousehold(
    (here) => {
      const merged = mergeHouseholds(here, household)
      heard(merged)
      return merged.household
    },
    what,
    db,
  )

/** Lets everything go that the household owns; with `forGood` the earlier states too. */
export async function wipeHousehold(
  forGood: boolean,
  db: Database = database,
): Promise<number | undefined> {
  return db.transaction('rw', EVERYTHING, async () => {
    const state = await replaceHousehold(
      ({ savedAt }) => emptyHousehold(savedAt),
      'everything was wiped',
      db,
    )
    await db.settings.delete(MEASURES)
    if (!forGood) return state
    await db.states.clear()
    return undefined
  })
}

/** Goes back to an earlier state; what was there until now is kept as one itself. */
export async function restoreState(
  id: number,
  db: Database = database,
): Promise<number | undefined> {
  const state = await db.states.get(id)
  if (!state) throw new Error('that state is no longer kept')
  return replaceHousehold(() => state.household, 'an earlier state was taken up', db)
}

/** A file's content, or why it cannot be taken over; plans that do not fit are dropped on showing. */
export async function readFile(file: File): Promise<Reading<Household>> {
  // Reading files is asked for rarely, and weighs more than all else that opens the page.
  const { readHousehold } = await import('~~/core/household')
  return readHousehold(await file.text())
}
