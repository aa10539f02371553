import { expect, test } from '@playwright/test'
import { openPlanned, stopPlanning } from './support'

test('a limit that the plan misses brings proposals, and one of them makes it fit', async ({
  page,
}) => {
  await openPlanned(page)
  const limit = page.getByLabel('To be done within, in minutes')
  await limit.fill('5')
  await limit.blur()
  await expect(page.getByText('"5" is no limit')).toBeVisible()
  await limit.fill('2000')
  await limit.blur()
  await expect(page.getByTestId('limit-kept')).toBeVisible()
  await limit.fill('170')
  await limit.blur()
  await expect(page.getByTestId('limit-missed')).toBeVisible()
  await page.getByRole('button', { name: 'What could be left out?' }).click()
  const options = page.locator('.options li')
  await expect(options.first()).toBeVisible({ timeout: 60_000 })
  const before = await page.locator('[data-test^="dish-"]').count()
  await options.first().getByRole('button', { name: 'Leave out' }).click()
  await expect.poll(() => page.locator('[data-test^="dish-"]').count()).toBeLessThan(before)
  // Another session wants another plan, which begins by itself.
  await expect(page.getByTestId('planning')).toBeVisible()
  await stopPlanning(page)
  await page.reload()
  await expect(limit).toHaveValue('170')
})
