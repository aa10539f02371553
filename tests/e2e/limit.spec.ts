import { expect, test } from '@playwright/test'
import { freshKitchen, giveRecipes, openPlanned, stopPlanning } from './support'

test('a limit that the plan misses brings proposals, and one of them makes it fit', async ({
  page,
}) => {
  await openPlanned(page)
  const limit = page.getByLabel('To be done within, in minutes')
  await limit.fill('5')
  await limit.blur()
  await expect(page.getByText('"5" is not a limit')).toBeVisible()
  await limit.fill('2000')
  await limit.blur()
  await expect(page.getByTestId('limit-kept')).toBeVisible()
  await limit.fill('170')
  await limit.blur()
  await expect(page.getByTestId('limit-missed')).toBeVisible()
  await page.getByRole('button', { name: 'What could be left out?' }).click()
  const options = page.getByTestId('left-out').locator('li')
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

/** The glaze is begun half an hour after the carrots are done, which are not to wait ten minutes for it. */
const GLAZED_CARROTS = {
  format: 'cadrum/recipe@1',
  id: 'glazed-carrots',
  name: 'Glazed carrots',
  mark: 'Gc',
  serves: 4,
  ingredients: [{ id: 'carrots', item: 'carrots', amount: 800, unit: 'g' }],
  steps: [
    {
      id: 'boil',
      do: 'Boil the carrots',
      work: 'boil',
      ways: [{ id: 'pot', minutes: [10, 10, 10], on: [{ kind: 'burner' }, { kind: 'pot' }] }],
      uses: ['carrots'],
    },
    {
      id: 'glaze',
      do: 'Reduce the glaze',
      work: 'simmer',
      ways: [{ id: 'pan', minutes: [5, 5, 5], on: [{ kind: 'burner' }, { kind: 'frying-pan' }] }],
      after: [{ step: 'boil', least: 30, food: false }],
    },
    {
      id: 'toss',
      do: 'Toss the carrots in the glaze',
      work: 'mix',
      ways: [{ id: 'hand', minutes: [5, 5, 5] }],
      after: [
        { step: 'boil', most: 10 },
        { step: 'glaze', most: 5 },
      ],
    },
  ],
}

test('where no plan keeps every limit the nearest one is shown, says what it breaks, and can be cooked', async ({
  page,
}) => {
  await freshKitchen(page)
  await giveRecipes(page, 'carrots.json', [GLAZED_CARROTS])
  await page.getByRole('button', { name: 'Add it beside' }).click()
  await expect(page.getByText('carrots.json is added')).toBeVisible()
  await page.goto('/recipes')
  await page.getByRole('button', { name: /Glazed carrots/ }).click()
  await page.getByTestId('to-session').click()
  await expect(page.getByTestId('to-session')).toContainText('take it out')
  await page.goto('/plan')
  const broken = page.getByTestId('broken')
  await expect(broken).toContainText('Toss the carrots in the glaze', { timeout: 60_000 })
  await expect(broken).toContainText('10 min')
  await expect(broken).not.toContainText(/\d+ s\b/)
  await expect(page.getByTestId('finished')).toBeVisible()
  // It is still there after a reload, and the cook is told again where the work is.
  await page.reload()
  await expect(broken).toContainText('Toss the carrots in the glaze')
  await page.goto('/cook')
  await expect(page.getByText('No plan keeps everything')).toBeVisible()
})
