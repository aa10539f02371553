import { test } from '@playwright/test'
import { openPlanned, PLANNED } from './support'

test('a browser that has been here before', async ({ page, context }) => {
  await openPlanned(page)
  await context.storageState({ path: PLANNED, indexedDB: true })
})
