import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { cookThese, freshKitchen, more, pick, stopPlanning, watchTop } from './support'

const SOUP = `Carrot soup
Serves 4

600 g carrots
1 litre stock

Dice the carrots. Simmer them in a large saucepan with the stock for 20 minutes. Blend until smooth. Cool for 30 minutes and pack into boxes.`
const STEW = `Bean stew
Serves 4

400 g carrots
400 g cooked beans

Dice the carrots. Fry them in a pot for 8 minutes. Add the beans and simmer for 25 minutes. Cool for 30 minutes and pack into boxes.`

test('evenings are filled from what is cooked, and what will not keep is frozen', async ({
  page,
}) => {
  await page.goto('/choose')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  const monday = page.getByTestId('evening-2027-03-22')
  await expect(monday).toContainText('Butter bean and fennel bake')
  const servings = page.getByTestId('menu-bean-bake').getByTestId('servings')
  await expect(servings).toContainText('5 servings, 3 of them planned')
  // More eaters than there are servings: it says so, and one click makes enough.
  const eaters = monday.getByLabel('Mon 22 Mar: how many eat')
  await eaters.fill('seven')
  await eaters.blur()
  await expect(monday.getByRole('alert')).toContainText('Allowed: 0 to 40')
  await eaters.fill('7')
  await eaters.blur()
  await expect(page.getByTestId('menu-bean-bake')).toContainText('2 short')
  await page.getByTestId('menu-bean-bake').getByRole('button', { name: 'Make ×1.5' }).click()
  await expect(servings).toContainText('7.5 servings, 7 of them planned')
  // The bake keeps three days in the fridge.
  const friday = page.getByTestId('evening-2027-03-26')
  await pick(friday, 'Fri 26 Mar: another dish', 'Butter bean and fennel bake')
  await expect(friday.getByTestId('late')).toContainText('will not keep till then')
  await friday.getByRole('button', { name: 'Freeze it' }).click()
  await expect(friday.getByTestId('late')).toBeHidden()
  await expect(page.getByTestId('menu-bean-bake')).toContainText('freezer')
  // An evening without food is filled, and that can be undone.
  await page
    .getByTestId('evening-2027-03-25')
    .getByRole('button', { name: /without/ })
    .click()
  await expect(page.getByTestId('evening-2027-03-25').locator('.dish')).toHaveCount(0)
  await page.getByRole('button', { name: 'Fill the empty evenings' }).click()
  await expect(page.getByTestId('evening-2027-03-25').locator('.dish').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('evening-2027-03-25').locator('.dish')).toHaveCount(0)
  await stopPlanning(page)
  await page.reload()
  await expect(eaters).toHaveValue('7')
  await expect(servings).toContainText('7.5 servings')
})

test('nothing moves under the hand while a plan is worked out, or when it is there', async ({
  page,
}) => {
  const tops = await watchTop(page, '[data-test^=evening-]')
  await page.goto('/choose')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await pick(page, 'Butter bean and fennel bake: batches', '×2')
  await expect(page.getByTestId('planning')).toBeVisible()
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  expect(await tops()).toHaveLength(1)
})

test('more than any pot holds comes with what would help, and two goes are planned', async ({
  page,
}) => {
  await page.goto('/choose')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await pick(page, 'Squash and red lentil soup: batches', '×4')
  await expect(page.getByRole('alert')).toContainText('the largest holds 9')
  await expect(page.getByTestId('planning')).toBeHidden()
  await page.getByRole('button', { name: 'Squash and red lentil soup in 2 goes' }).click()
  await expect(page.getByText('This cannot be planned yet')).toBeHidden()
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByText('go 2').first()).toBeVisible()
  // Planning goes on from one page to the next.
  await page.getByRole('button', { name: 'Look again' }).click()
  await expect(page.getByTestId('planning')).toBeVisible()
  await page.getByRole('link', { name: 'Choose' }).click()
  await expect(page.getByTestId('planning')).toBeVisible()
})

test('the same cut for two dishes is done once, until the cook wants it apart', async ({
  page,
}) => {
  await freshKitchen(page)
  await cookThese(page, [SOUP, STEW])
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  const base = page.locator('[data-test^="base-shared"]')
  await expect(base).toContainText('Diced carrots')
  await expect(base).toContainText('once for Carrot soup and Bean stew')
  await expect(
    page
      .getByText('Dice the carrots, for Carrot soup and Bean stew')
      .filter({ visible: true })
      .first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Diced carrots: for each dish apart' }).click()
  await expect(base).toBeHidden()
  await page.reload()
  await page.getByRole('button', { name: 'Diced carrots: once for all' }).click()
  await expect(base).toBeVisible()
})

test('people come and go, the house has its rules, and burners are dragged to their place', async ({
  page,
}) => {
  await page.goto('/kitchen')
  await more(page, 'Runa')
  const away = page.getByLabel('Runa: away')
  await away.fill('noon')
  await away.blur()
  await expect(page.getByTestId('person-runa').getByRole('alert')).toContainText(
    'Allowed: 12:00–13:00',
  )
  await away.fill('10-10:30, 12:00–13:00')
  await away.blur()
  await expect(page.getByTestId('person-runa').getByRole('alert')).toBeHidden()
  await more(page, 'Teo')
  const hour = async (name: string, time: string) => {
    await page.getByLabel(name, { exact: true }).fill(time)
    await page.getByLabel(name, { exact: true }).blur()
  }
  await hour('Teo: there from', 'noonish')
  await expect(page.getByTestId('person-teo').getByRole('alert')).toContainText(
    'a time such as 9:30',
  )
  await hour('Teo: there from', '6 pm')
  await hour('Teo: there until', '9')
  await expect(page.getByTestId('person-teo').getByRole('alert')).toContainText('from before until')
  await page.getByLabel(/^after all other cutting/).check()
  const names = () =>
    page
      .locator('.hob [data-test^="station-"]')
      .evaluateAll((all) => all.map((e) => e.getAttribute('data-test')))
  const before = await names()
  const grip = page.locator(`.hob [data-test="${before[0]}"] .grip`)
  const target = page.locator(`.hob [data-test="${before[3]}"]`)
  await grip.hover()
  await page.mouse.down()
  const box = (await target.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 12 })
  await page.mouse.move(box.x + box.width / 2 + 3, box.y + box.height * 0.8, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => (await names()).indexOf(before[0]!)).toBe(3)
  const after = await names()
  await page.reload()
  await more(page, 'Runa')
  await expect(away).toHaveValue('10:00–10:30, 12:00–13:00')
  await expect(page.getByLabel(/^after all other cutting/)).toBeChecked()
  await expect.poll(names).toEqual(after)
})

test('axe finds nothing serious where one chooses, and nothing sticks out at 360 px', async ({
  page,
}) => {
  await page.goto('/choose')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  const serious = (await new AxeBuilder({ page }).analyze()).violations.filter(
    (v) => v.impact === 'serious' || v.impact === 'critical',
  )
  expect(
    serious.map(
      (v) =>
        v.id +
        v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(),
    ),
  ).toEqual([])
  await page.setViewportSize({ width: 360, height: 740 })
  const overhang = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
  expect(await overhang()).toBe(0)
  await page.goto('/recipes')
  await page.getByTestId('bring').click()
  await page.getByLabel('Recipe text').fill(SOUP)
  await expect(page.getByTestId('preview')).toBeVisible()
  expect(await overhang()).toBe(0)
})
