import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { Database } from './database'
import { demoHousehold, loadDemoOnce } from './demo'
import { collectHousehold, importHousehold, replaceHousehold } from './household'

let db: Database
let n = 0
beforeEach(() => {
  db = new Database(`test-${n++}`)
})
const content = async () => {
  const { savedAt: _, ...rest } = await collectHousehold(db)
  return rest
}

describe('the household in the browser', () => {
  it('has the demo on the first visit, and keeps it away once it was wiped', async () => {
    await loadDemoOnce(db)
    expect((await content()).sessions).toHaveLength(1)
    await replaceHousehold({ ...demoHousehold(), sessions: [], recipes: [], kitchens: [] }, db)
    await loadDemoOnce(db)
    expect((await content()).sessions).toHaveLength(0)
  })

  it('comes back equal after export, wipe and import', async () => {
    await loadDemoOnce(db)
    const before = await content()
    const file = JSON.stringify(await collectHousehold(db))
    await replaceHousehold({ ...demoHousehold(), sessions: [], recipes: [], kitchens: [] }, db)
    expect((await importHousehold(file, db)).ok).toBe(true)
    expect(await content()).toEqual(before)
  })

  it('stays as it is when a file is refused', async () => {
    await loadDemoOnce(db)
    const before = await content()
    const file = JSON.stringify(await collectHousehold(db))
    for (const bad of [file.slice(0, -20), 'x', file.replace('"serves":6', '"serves":-6')])
      expect((await importHousehold(bad, db)).ok).toBe(false)
    expect(await content()).toEqual(before)
  })
})
