import { expect, type Page } from '@playwright/test'

/** Opens the plan and waits until planning has come to its end (or was stopped). */
export async function openPlanned(page: Page): Promise<void> {
  await page.goto('/plan')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 20_000 })
  await stopPlanning(page)
}

/** Takes the best plan so far where planning is under way. */
export async function stopPlanning(page: Page): Promise<void> {
  const stop = page.getByRole('button', { name: 'Stop, take the best' })
  if (await stop.isVisible()) await stop.click()
  await expect(page.getByTestId('planning')).toBeHidden({ timeout: 20_000 })
}
