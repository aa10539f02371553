import { expect, test } from '@playwright/test'
import { FIRST_VISIT, openPlanned, stored } from './support'

test('cook three steps, reload in the middle, and go on', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Cook' }).click()
  await page.getByTestId('start').click()
  const runa = page.getByTestId('cook-runa')
  const seen: string[] = []
  for (let i = 0; i < 3; i++) {
    const now = (await runa.getByTestId('now').textContent())!
    seen.push(now)
    await runa.getByRole('button', { name: `Done: ${now}` }).click()
    await expect(runa.getByTestId('now')).not.toHaveText(now)
    await expect(runa.getByRole('button', { name: /Take back/ })).toBeEnabled()
    await expect(page.getByText(new RegExp(`· \\d+ to go`))).toBeVisible()
  }
  const fourth = (await runa.getByTestId('now').textContent())!
  await page.reload()
  await expect(runa.getByTestId('now')).toHaveText(fourth)
  await runa.getByRole('button', { name: /^Done/ }).click()
  await expect(runa.getByTestId('now')).not.toHaveText(fourth)
  await runa.getByRole('button', { name: /Take back/ }).click()
  await expect(runa.getByTestId('now')).toHaveText(fourth)
  const [log] = await stored<{ done: { startedAt: number; endedAt: number }[] }>(page, 'cooking')
  expect(log!.done).toHaveLength(3)
  for (const d of log!.done) expect(d.endedAt).toBeGreaterThanOrEqual(d.startedAt)
})

test('while cooking the plan is locked, and stopping can be undone', async ({ page }) => {
  await openPlanned(page)
  await page.goto('/cook')
  await page.getByTestId('start').click()
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByText('This plan is being cooked')).toBeVisible()
  await expect(page.getByRole('button', { name: 'More batches of Soda bread' })).toBeDisabled()
  await page.getByRole('link', { name: 'Cook', exact: true }).first().click()
  await page.getByRole('button', { name: 'Stop the session' }).click()
  await expect(page.getByTestId('start')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('cook-runa')).toBeVisible()
})

test.describe('on a first visit', () => {
  test.use(FIRST_VISIT)
  test('without a plan the Cook page says where to get one', async ({ page }) => {
    await page.goto('/cook')
    await expect(page.getByText('No plan to cook from')).toBeVisible()
  })
})
