import { expect, test, type Page } from '@playwright/test'
import type { Meal } from '../../core/eating'
import { lyingIn, tallyMoves, type Pack } from '../../core/packing'
import type { Recipe } from '../../core/recipe'
import type { Session } from '../../core/session'
import type { Stock } from '../../core/stock'
import { installed, openPlanned, pick, stopPlanning, stored } from './support'

const openThe = async (page: Page, name: string) => {
  await page.getByRole('link', { name, exact: true }).first().click()
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
}
const packsOf = (page: Page) => stored<Pack>(page, 'packs')
const dish = (page: Page, id: string) => page.getByTestId(`divide-${id}`)

/** The afternoon of the Saturday before lambing, with all boxes filled as planned but for some. */
async function afterCooking(page: Page) {
  await page.clock.install({ time: new Date('2027-03-20T14:30:00') })
  await page.goto('/pack?fill')
  await expect(page.getByTestId('room')).toContainText('There is room for all of it.')
}
const fillAll = async (page: Page) => {
  await page.getByTestId('fill-all').click()
  await expect(page.getByText(/boxes in the house/)).toBeVisible()
}
/** The same time on a later day; the page is opened anew, as one does. */
async function onDay(page: Page, day: string, at = '17:00') {
  await page.clock.setSystemTime(new Date(`${day}T${at}:00`))
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
}

/** Whatever page is looked at, the same portions are there, and no evening has what is past its day. */
async function agrees(page: Page, today: string) {
  const packs = await packsOf(page)
  const t = tallyMoves(packs)
  expect(t.left + t.eaten + t.thrown + t.given + t.used).toBeCloseTo(t.packed, 1)
  const lying = new Map(lyingIn(packs).map((l) => [l.pack.id, l]))
  for (const meal of await stored<Meal>(page, 'meals')) {
    if (meal.over || meal.id < today) continue
    for (const { pack, portions } of meal.plate ?? []) {
      const l = lying.get(pack)
      expect(l?.left ?? 0).toBeGreaterThanOrEqual(portions - 0.01)
      if (l!.place !== 'freezer') expect(l!.eatBy >= meal.id).toBe(true)
    }
  }
  return { packs, ...t }
}

test('twelve days of Highfell: packed, eaten, swapped, forgotten, and nothing appears or vanishes', async ({
  page,
}) => {
  test.setTimeout(480_000)
  await afterCooking(page)
  // The pot made less than planned, and the boxes follow.
  const pork = dish(page, 'braised-pork')
  await pork.getByLabel('It made').fill('ten')
  await pork.getByLabel('It made').blur()
  await expect(pork.getByRole('alert')).toContainText('is no yield')
  await pork.getByLabel('It made').fill('10')
  await pork.getByLabel('It made').blur()
  await expect(pork.getByTestId('differs')).toHaveText('10 portions, 12 were planned.')
  await pork.getByRole('button', { name: 'Into the house: 10 portions' }).click()
  await expect(pork.getByTestId('packed-already')).toContainText('10 portions in 4 boxes')
  // The soup is weighed.
  const soup = dish(page, 'squash-soup')
  await pick(soup, 'What it is counted in', 'grams, weighed')
  await soup.getByLabel('It made').fill('4200')
  await soup.getByLabel('It made').blur()
  await soup.getByLabel('for a portion').fill('350')
  await soup.getByLabel('for a portion').blur()
  await soup.getByRole('button', { name: 'Into the house: 12 portions' }).click()
  await expect(soup.getByTestId('packed-already')).toContainText('12 portions')
  await fillAll(page)
  let now = await agrees(page, '2027-03-20')
  const packed = now.packed
  await openThe(page, 'Keep')
  await expect(page.getByTestId('packed-freezer').getByText('Braised pork')).toHaveCount(4)
  // What keeps short is frozen, on the day that it is said.
  await openThe(page, 'Eat')
  await expect(page.getByTestId('evening-lines')).toContainText('Brown rice with roots')
  const rice = page.getByTestId('seen-to').getByRole('listitem').filter({ hasText: 'Brown rice' })
  await rice.getByRole('button', { name: 'It is in the freezer' }).click()
  await expect(rice).toHaveCount(0)
  await page.getByRole('button', { name: 'All eaten' }).click()
  await expect(page.getByTestId('over')).toBeVisible()
  now = await agrees(page, '2027-03-20')
  expect(now.eaten).toBe(6)
  // An undone evening is to be eaten again.
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'All eaten' })).toBeVisible()
  expect((await agrees(page, '2027-03-20')).eaten).toBe(0)
  await page.getByRole('button', { name: 'All eaten' }).click()
  await expect(page.getByTestId('over')).toBeVisible()

  // Sunday: a third of one dish is left on the plates.
  await onDay(page, '2027-03-21')
  await page.getByRole('button', { name: 'Not all of it' }).click()
  const first = page.getByTestId('not-all').getByRole('textbox').first()
  await first.fill('9')
  await first.blur()
  await page.getByRole('button', { name: 'So it was' }).click()
  await expect(page.getByTestId('not-all').getByRole('alert')).toContainText('Allowed: 0 to 3')
  await first.fill('2')
  await first.blur()
  await page.getByRole('button', { name: 'So it was' }).click()
  await expect(page.getByText('so thrown away: 1 portion.')).toBeVisible()
  await expect(page.getByTestId('over')).toBeVisible()
  now = await agrees(page, '2027-03-21')
  expect(now.thrown).toBe(1)

  // Wednesday changes places with Thursday, and a guest comes on Wednesday.
  await onDay(page, '2027-03-22')
  const wednesday = page.getByTestId('evening-2027-03-24')
  const thursday = page.getByTestId('evening-2027-03-25')
  const before = await Promise.all(
    [wednesday, thursday].map((d) => d.locator('.dish').allInnerTexts()),
  )
  await wednesday.getByRole('button', { name: 'Change Wed 24 Mar' }).click()
  await page.getByText('Change places with Thu 25 Mar').click()
  await expect.poll(() => wednesday.locator('.dish').allInnerTexts()).toEqual(before[1])
  await expect.poll(() => thursday.locator('.dish').allInnerTexts()).toEqual(before[0])
  await expect(wednesday).toContainText('your choice')
  const eaters = wednesday.getByLabel('Wed 24 Mar: how many eat')
  await eaters.fill('4.5')
  await eaters.blur()
  await expect(wednesday.getByRole('alert')).toContainText('Allowed: 0 to 40')
  await eaters.fill('4')
  await eaters.blur()
  await expect
    .poll(async () => {
      const meal = (await stored<Meal>(page, 'meals')).find((m) => m.id === '2027-03-24')!
      return meal.plate!.reduce((n, p) => n + p.portions, 0)
    })
    .toBeGreaterThanOrEqual(4)
  await agrees(page, '2027-03-22')

  // Nobody looks on Monday and Tuesday: on Wednesday what is past its day is thrown away, with why.
  await onDay(page, '2027-03-24')
  const past = page.getByTestId('seen-to').getByRole('listitem').filter({ hasText: 'past its day' })
  await expect(past.first()).toBeVisible()
  for (let n = await past.count(); n > 0; n--) {
    await past.first().getByRole('button', { name: 'Thrown away' }).click()
    await expect(past).toHaveCount(n - 1)
  }
  await agrees(page, '2027-03-24')
  // It was not thawed: it is warmed as it is, and takes longer.
  await expect(page.getByTestId('tonight')).toContainText('still frozen')
  await expect(page.getByTestId('evening-lines')).toContainText('frozen as it is')

  // From then on every evening as it is arranged, and what comes out for the next is taken out.
  for (let d = 24; d <= 31; d++) {
    const day = `2027-03-${d}`
    await onDay(page, day)
    const eaten = page.getByRole('button', { name: 'All eaten' })
    if (await eaten.isVisible()) await eaten.click()
    // What comes out next is arranged anew when the evening is over.
    await expect(eaten).toHaveCount(0)
    await expect(page.getByTestId('tonight').or(page.getByTestId('nothing'))).toBeVisible()
    const out = page.getByTestId('seen-to').getByRole('button', { name: 'It is in the fridge' })
    for (let n = await out.count(); n > 0; n--) {
      await out.first().click()
      await expect(out).toHaveCount(n - 1)
    }
    await agrees(page, day)
  }
  now = await agrees(page, '2027-03-31')
  expect(now.packed).toBe(packed)
  expect(now.eaten).toBeGreaterThan(24)
  // The logbook tells the same.
  await page.getByRole('link', { name: 'Logbook', exact: true }).click()
  const back = page.getByTestId('looking-back')
  await expect(back).toContainText(`${now.packed} portions packed`)
  await expect(back).toContainText(`${now.eaten} eaten`)
  await expect(back).toContainText('past its day')
  // What is left is offered to the next menu.
  await page.getByRole('link', { name: 'Choose', exact: true }).click()
  await expect(page.getByTestId('spare').first()).toBeVisible()

  // Half a bag of lentils was left over: the next session, from a rhythm, begins with it.
  await openThe(page, 'Keep')
  const shelf = page.getByTestId('place-shelf')
  await shelf.getByLabel('Something in the shelf').fill('200 g red lentils')
  await shelf.getByRole('button', { name: 'Put it there' }).click()
  const by = shelf.getByRole('textbox', { name: 'red lentils: use by' }).last()
  await by.fill('6 April 2027')
  await by.blur()
  await page.getByRole('link', { name: 'Choose', exact: true }).click()
  await page.getByRole('button', { name: 'Rhythms' }).click()
  const rhythms = page.getByTestId('rhythms')
  await rhythms.getByRole('heading', { name: 'Rhythms' }).click()
  await pick(rhythms, 'One more rhythm', 'The big weekly session')
  await page
    .getByTestId('rhythm-the-big-weekly-session')
    .getByRole('button', { name: 'Take it' })
    .click()
  await expect(page.getByTestId('use-up')).toContainText('200 g red lentils')
  const sessions = await stored<Session>(page, 'sessions')
  const next = sessions.find((s) => s.id.startsWith('the-big-weekly-session'))!
  const recipes = await stored<Recipe>(page, 'recipes')
  const menu = next.dishes.map((d) => recipes.find((r) => r.id === d.recipe)!)
  expect(next.start > '2027-04-01').toBe(true)
  expect(menu.some((r) => r.ingredients.some((i) => /red lentils/.test(i.item)))).toBe(true)
  // What lies in the freezer still is eaten as it was arranged, beside the new session.
  await agrees(page, '2027-03-31')
})

test('a pack is taken out, thaws, and is never frozen again; what is wrong is refused with why', async ({
  page,
}) => {
  await afterCooking(page)
  // A stew goes into the cold, and no other place is offered.
  const place = dish(page, 'braised-pork').getByLabel('where this box goes').first()
  await place.click({ force: true })
  const offered = page.locator('.v-overlay--active .v-list-item')
  await expect(offered).toHaveText(['fridge', 'freezer'])
  await page.keyboard.press('Escape')
  await fillAll(page)
  await openThe(page, 'Keep')
  const freezer = page.getByTestId('packed-freezer')
  await freezer
    .getByRole('button', { name: /Squash and red lentil soup/ })
    .first()
    .click()
  const acts = page.getByTestId('pack-acts')
  await expect(acts).toContainText('on the bench its outside is warm long before')
  await acts.getByText('Giving some away').click()
  await expect(acts).toContainText('For animals nothing with onion')
  await acts.getByLabel('How many portions').fill('7')
  await acts.getByLabel('How many portions').blur()
  await acts.getByRole('button', { name: 'Eaten', exact: true }).click()
  await expect(acts.getByRole('alert')).toContainText('Allowed: more than 0, up to 3')
  await acts.getByLabel('Where it lies').fill('lower drawer')
  await acts.getByLabel('Where it lies').blur()
  await expect(page.getByText('lies in: lower drawer')).toBeVisible()
  await acts.getByRole('button', { name: 'Into the fridge, to thaw' }).click()
  const thawed = page.getByTestId('packed-fridge').getByRole('button', { name: /thawed/ })
  await expect(thawed).toHaveCount(1)
  await expect(page.getByTestId('pack-acts')).toContainText('it is not frozen again')
  await expect(acts.getByRole('button', { name: 'Into the freezer' })).toHaveCount(0)
  await acts.getByLabel('How many portions').fill('1')
  await acts.getByLabel('How many portions').blur()
  await acts.getByRole('button', { name: 'Given away' }).click()
  await expect.poll(async () => tallyMoves(await packsOf(page)).given).toBe(1)
  await pick(acts, 'Thrown away: why', 'went bad')
  await expect.poll(async () => tallyMoves(await packsOf(page)).thrown).toBe(2)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => tallyMoves(await packsOf(page)).thrown).toBe(0)
})

test('boxes that do not suffice are told before the cooking, with what would help', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2027-03-18T10:00:00') })
  await page.goto('/kitchen')
  const boxes = page.getByTestId('boxes')
  await boxes.getByLabel('How many of Large boxes').fill('many')
  await boxes.getByLabel('How many of Large boxes').blur()
  await expect(boxes.getByRole('alert')).toContainText('a whole number from 0 to 500')
  for (const name of ['Large boxes', 'Flat bags', 'Bread bags', 'Foil trays']) {
    await boxes.getByLabel(`How many of ${name}`).fill('0')
    await boxes.getByLabel(`How many of ${name}`).blur()
  }
  await openThe(page, 'Pack')
  const room = page.getByTestId('room')
  await expect(room).toContainText('Not all of it finds its place.')
  await expect(room).toContainText(/Get \d+ more that hold/)
})

test('on a phone without a signal the evening is there, and what was eaten stays', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 360, height: 740 })
  await afterCooking(page)
  await fillAll(page)
  await installed(page)
  await context.setOffline(true)
  await openThe(page, 'Eat')
  await expect(page.getByTestId('evening-lines')).toBeVisible()
  await page.getByRole('button', { name: 'All eaten' }).click()
  await expect(page.getByTestId('over')).toBeVisible()
  await page.reload()
  await expect(page.getByTestId('over')).toBeVisible()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(360)
  await context.setOffline(false)
})

test('what a dish leaves for others goes into the house by its day', async ({ page }) => {
  await openPlanned(page)
  // Without the soup nobody in the session takes the stock that the pork leaves.
  await page.getByRole('button', { name: 'Leave out Squash and red lentil soup' }).click()
  await expect(page.getByTestId('dish-squash-soup')).toHaveCount(0)
  await stopPlanning(page)
  await afterCooking(page)
  const pork = dish(page, 'braised-pork')
  await expect(pork.getByTestId('leaves')).toHaveCount(0)
  await pork.getByRole('button', { name: /Into the house/ }).click()
  await expect(pork.getByTestId('leaves')).toContainText('600 ml stock')
  await pork.getByRole('button', { name: 'Keep it in the fridge' }).click()
  await expect(pork.getByTestId('leaves')).toHaveCount(0)
  await expect
    .poll(async () => (await stored<Stock>(page, 'stock')).find((s) => s.item === 'stock'))
    .toMatchObject({ amount: 600, unit: 'ml', place: 'fridge', by: '2027-03-23' })
})
