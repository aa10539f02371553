import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { emptyHousehold, LATEST, OWNED, readHousehold } from '~~/core/household'
import { demoHousehold } from '~~/demo'
import { Database } from './database'
import { loadDemo, loadDemoOnce } from './demo'
import {
  addHousehold,
  collectHousehold,
  generation,
  keepState,
  replaceHousehold,
  restoreState,
  sameHousehold,
  wipeHousehold,
} from './household'
import { MEASURES } from './measures'
import { openedKitchen, openedSession, openSession } from './opened'

let db: Database
let n = 0
beforeEach(() => {
  db = new Database(`test-${n++}`)
})
const content = async () => {
  const { savedAt: _, ...rest } = await collectHousehold(db)
  return rest
}
const [soup] = demoHousehold().recipes
const own = { ...soup!, name: 'Ours', serves: 3 }

describe('the household in the browser', () => {
  it('has the demo on the first visit, and keeps it away once it was wiped', async () => {
    await loadDemoOnce(db)
    expect((await content()).sessions).toHaveLength(1)
    await wipeHousehold(false, db)
    await loadDemoOnce(db)
    expect((await content()).sessions).toHaveLength(0)
  })

  it('comes back equal after export, wipe and import', async () => {
    await loadDemoOnce(db)
    const measures = { amounts: 'us', degrees: 'F', clock: '12', week: 'sunday' } as const
    await db.settings.put({ key: MEASURES, value: JSON.stringify(measures) })
    const before = await content()
    expect(before.measures).toEqual(measures)
    const file = readHousehold(JSON.stringify(await collectHousehold(db)))
    await wipeHousehold(true, db)
    for (const list of OWNED) expect(await db.table(list).count()).toBe(0)
    expect((await content()).measures).toBeUndefined()
    await replaceHousehold(() => (file.ok ? file.value : expect.fail()), 'import', db)
    expect(await content()).toEqual(before)
  })

  it('takes the demo in beside what is there, and opens it', async () => {
    await db.recipes.add(own)
    await loadDemo(db)
    expect(await db.recipes.get(own.id)).toEqual(own)
    expect(await db.recipes.count()).toBe(demoHousehold().recipes.length + 1)
    expect((await openedSession(db))!.dishes.map((d) => d.recipe)).not.toContain(own.id)
    await loadDemo(db)
    expect(await db.recipes.count()).toBe(demoHousehold().recipes.length + 1)
  })

  it('opens the session that came with the demo, whatever one of ours is called', async () => {
    await loadDemoOnce(db)
    const [ours] = demoHousehold().sessions
    await db.sessions.put({ ...ours!, name: 'Ours' })
    await loadDemo(db)
    expect(await openedSession(db)).toMatchObject({ id: `${ours!.id}-2`, name: ours!.name })
    expect(await db.sessions.get(ours!.id)).toMatchObject({ name: 'Ours' })
  })

  it('changes nothing where it cannot write all of it', async () => {
    await loadDemoOnce(db)
    const before = await content()
    const doubled = { ...demoHousehold(), recipes: [own, own] }
    await expect(replaceHousehold(() => doubled, 'import', db)).rejects.toThrow()
    expect(await content()).toEqual(before)
    expect(await db.states.count()).toBe(0)
  })

  it('says by its generation that all was replaced', async () => {
    const first = await generation(db)
    await db.recipes.add(own)
    expect(await generation(db)).toBe(first)
    await wipeHousehold(false, db)
    const second = await generation(db)
    expect(second).not.toBe(first)
    await addHousehold(demoHousehold(), 'demo', db)
    expect(await generation(db)).not.toBe(second)
  })
})

describe('earlier states', () => {
  it('lead back to what was wiped, and back again', async () => {
    await loadDemoOnce(db)
    const before = await content()
    const state = await wipeHousehold(false, db)
    await restoreState(state!, db)
    expect(await content()).toEqual(before)
    // What was there in between had nothing in it to keep.
    expect(await db.states.count()).toBe(1)
    await db.recipes.add({ ...own, id: 'ours' })
    const changed = await content()
    await restoreState(state!, db)
    expect(await content()).toEqual(before)
    const last = await db.states.toCollection().last()
    expect(last!.household.recipes).toEqual(changed.recipes)
  })

  it('are kept only where something has changed, and not without end', async () => {
    await loadDemoOnce(db)
    const ids = [await keepState('', db), await keepState('', db)]
    expect(ids[0]).toBe(ids[1])
    for (let i = 0; i < LATEST + 5; i++) {
      await db.recipes.put({ ...own, serves: i + 1 })
      await keepState('', db)
    }
    expect(await db.states.count()).toBe(LATEST)
  })

  it('go too where everything is wiped for good', async () => {
    await loadDemoOnce(db)
    await keepState('', db)
    expect(await wipeHousehold(true, db)).toBeUndefined()
    expect(await db.states.count()).toBe(0)
    await expect(restoreState(1, db)).rejects.toThrow('no longer kept')
  })

  it('compare what is owned, not when somebody looked', () => {
    const [a, b] = [demoHousehold(), { ...demoHousehold(), savedAt: 'later' }]
    expect(sameHousehold(a, b)).toBe(true)
    expect(sameHousehold(a, { ...b, recipes: [] })).toBe(false)
    expect(sameHousehold(emptyHousehold('x'), a)).toBe(false)
  })
})

describe('what is open', () => {
  it('is the session chosen, with its kitchen, while both are there', async () => {
    await loadDemoOnce(db)
    const [kitchen] = demoHousehold().kitchens
    const [session] = demoHousehold().sessions
    await db.kitchens.add({ ...kitchen!, id: 'a-flat' })
    await db.sessions.add({ ...session!, id: 'a-week', kitchen: 'a-flat' })
    expect((await openedSession(db))!.id).toBe(session!.id)
    await openSession('a-week', db)
    expect((await openedSession(db))!.id).toBe('a-week')
    expect((await openedKitchen(db))!.id).toBe('a-flat')
    await db.sessions.delete('a-week')
    expect((await openedSession(db))!.id).toBe(session!.id)
    expect((await openedKitchen(db))!.id).toBe(kitchen!.id)
  })
})
