import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { demoHousehold } from '~~/demo'
import { database } from '../database/database'
import { replaceHousehold } from '../database/household'
import { useNotices } from '../stores/notices'
import { useSaving } from '../stores/saving'
import { useReplacing } from './useReplacing'

beforeEach(async () => {
  setActivePinia(createPinia())
  await replaceHousehold(demoHousehold, 'test')
})

it('offers the way back from what the browser does only at the second try', async () => {
  const [replacing, saving, notices] = [useReplacing(), useSaving(), useNotices()]
  const full = vi
    .spyOn(database, 'transaction')
    .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError'))
  await expect(replacing.wipe(false)).rejects.toThrow('everything is gone')
  expect(notices.notice).toBeUndefined()
  expect(await database.recipes.count()).toBeGreaterThan(0)
  full.mockRestore()
  await saving.again()
  expect(await database.recipes.count()).toBe(0)
  notices.notice = undefined
  await notices.recall()
  expect(notices.notice!.text).toBe('Everything is gone from this browser.')
  await notices.notice!.undo!()
  expect(await database.recipes.count()).toBe(demoHousehold().recipes.length)
})
