import { test } from '@playwright/test'
import { openPlanned, PLANNED } from './support'

test('a browser that has been here before', async ({ page, context }) => {
  await openPlanned(page)
  // Nobody waits twenty seconds for a plan of a test's own: the field is kept in the browser.
  await page.getByLabel('Seconds to plan').fill('6')
  await context.storageState({ path: PLANNED, indexedDB: true })
})
