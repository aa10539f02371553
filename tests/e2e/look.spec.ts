import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { openPlanned } from './support'

for (const colorScheme of ['light', 'dark'] as const)
  test(`axe finds nothing serious in ${colorScheme}`, async ({ browser }) => {
    const context = await browser.newContext({ colorScheme })
    const page = await context.newPage()
    await openPlanned(page)
    // What stands on the page is the same in both: in the dark only its colours are looked at.
    const axe = () => {
      const builder = new AxeBuilder({ page })
      return colorScheme === 'dark' ? builder.withRules(['color-contrast']) : builder
    }
    const serious = async () =>
      (await axe().analyze()).violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map(
          (v) =>
            `${v.id}: ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(', ')}`,
        )
    expect(await serious()).toEqual([])
    await page.goto('/cook')
    await page.getByTestId('start').click()
    await expect(page.getByTestId('cook-runa')).toBeVisible()
    expect(await serious()).toEqual([])
    await page.getByRole('button', { name: /^Done/ }).first().click()
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByText('Stop the session').click()
    await expect(page.getByText('The session is stopped.')).toBeVisible()
    await page.goto('/logbook')
    await expect(page.getByTestId('report')).toBeVisible()
    expect(await serious()).toEqual([])
    await context.close()
  })

test('nothing sticks out sideways at 360 px', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 })
  await openPlanned(page)
  const overhang = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
  expect(await overhang()).toBe(0)
  await page.goto('/cook')
  await page.getByTestId('start').click()
  expect(await overhang()).toBe(0)
  const done = (await page.getByRole('button', { name: /^Done/ }).first().boundingBox())!
  expect(done.height).toBeGreaterThanOrEqual(56)
})
