import { readFile } from 'node:fs/promises'
import { expect, test, type Page } from '@playwright/test'
import type { Preparing } from '../../core/setout'
import type { Session } from '../../core/session'
import type { Stock } from '../../core/stock'
import { installed, openPlanned, stored } from './support'

const openThe = async (page: Page, name: string) => {
  await page.getByRole('link', { name, exact: true }).click()
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
}

test('the list follows the menu, knows its prices and keeps to what it may cost', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Buy')
  const list = page.getByTestId('list')
  await expect(list.getByRole('checkbox', { name: '1.8 kg onions' })).toBeVisible()
  await expect(page.getByTestId('total')).toHaveText('not known')
  await page.getByRole('button', { name: 'Ask the shop for prices' }).click()
  await expect(page.getByText('a made-up shop, are known now')).toBeVisible()
  await expect(page.getByTestId('total')).toHaveText(/^\d+\.\d\d$/)
  const before = Number(await page.getByTestId('total').innerText())
  const budget = page.getByLabel('It may cost', { exact: true })
  await budget.fill('forty')
  await budget.blur()
  await expect(page.getByRole('alert')).toContainText('"forty" is no sum. Allowed: a sum such as')
  await budget.fill('40')
  await budget.blur()
  await expect(page.getByTestId('over')).toContainText('more than it may: the money is spent at')
  // What is left out of the menu is left out of the list, and of what it costs.
  const pork = list.getByRole('listitem').filter({ hasText: 'pork shoulder' })
  await pork.getByRole('button', { name: /where it goes, what it costs/ }).click()
  await pork.getByRole('button', { name: 'without Braised pork with apple and barley' }).click()
  await expect(list.getByText('pork shoulder')).toHaveCount(0)
  await expect
    .poll(async () => Number(await page.getByTestId('total').innerText()))
    .toBeLessThan(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(list.getByText('pork shoulder')).toHaveCount(1)
  await expect.poll(async () => Number(await page.getByTestId('total').innerText())).toBe(before)
})

test('what is ticked comes home, is in the house and off the list, also after a reload', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Buy')
  const list = page.getByTestId('list')
  await list.getByRole('checkbox', { name: '1.8 kg onions' }).check()
  const leeks = list.getByRole('listitem').filter({ hasText: 'leeks' })
  await leeks.getByRole('button', { name: /where it goes/ }).click()
  const paid = leeks.getByLabel('What leeks cost')
  await paid.fill('-3')
  await paid.blur()
  await expect(leeks.getByRole('alert')).toContainText('is no price. Allowed: a sum such as 2.10')
  await paid.fill('1.40')
  await paid.blur()
  await expect(page.getByTestId('basket')).toContainText('2 things in the basket, 1.40')
  await expect(page.getByTestId('basket')).toContainText('1 price not known')
  await page.reload()
  await expect(page.getByTestId('basket')).toContainText('2 things')
  await page.getByRole('button', { name: 'It is all home' }).click()
  await expect(page.getByText('2 things are in the house now.')).toBeVisible()
  await expect(list.getByRole('checkbox', { name: /onions/ })).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'In the house already' })).toContainText('onions')
  const stock = await stored<Stock>(page, 'stock')
  expect(stock.find((s) => s.item === 'onions')).toMatchObject({ amount: 1800, place: 'shelf' })
  // What leeks cost is known the next time.
  await openThe(page, 'Keep')
  await expect(page.getByTestId('place-shelf')).toContainText('onions')
  await page.getByRole('button', { name: 'leeks is gone' }).click()
  await openThe(page, 'Buy')
  await expect(list.getByRole('listitem').filter({ hasText: 'leeks' })).toContainText('1.40')
})

test('something else goes in, in the list, in the plan and on the label', async ({ page }) => {
  await openPlanned(page)
  await openThe(page, 'Keep')
  await page.getByRole('button', { name: 'smoked white fish is gone' }).click()
  await openThe(page, 'Buy')
  const fish = page
    .getByTestId('list')
    .getByRole('listitem')
    .filter({ hasText: 'smoked white fish' })
  await fish.getByRole('button', { name: /where it goes/ }).click()
  await fish.getByRole('button', { name: 'salmon instead' }).click()
  await expect(page.getByTestId('list')).toContainText('600 g salmon')
  const [session] = await stored<Session>(page, 'sessions')
  expect(session!.dishes.find((d) => d.recipe === 'fish-pie')!.swaps).toEqual([
    { ingredient: 'fish', item: 'salmon' },
  ])
  await openThe(page, 'Set out')
  await expect(page.getByTestId('out-fish-pie')).toContainText('600 g salmon')
  await openThe(page, 'Buy')
  const salmon = page.getByTestId('list').getByRole('listitem').filter({ hasText: 'salmon' })
  await salmon.getByRole('button', { name: /where it goes/ }).click()
  await salmon.getByRole('button', { name: 'As it was' }).click()
  await expect(page.getByTestId('list')).toContainText('600 g smoked white fish')
})

test('a little of what is in the house is only looked for, until it is lacking', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Buy')
  const checks = page.getByTestId('checks')
  // It goes from here onto the list at once.
  await checks.getByRole('checkbox', { name: /salt/ }).click()
  await expect(checks.getByRole('checkbox', { name: /salt/ })).toHaveCount(0)
  await expect(page.getByTestId('list').getByRole('checkbox', { name: /350 g salt/ })).toBeVisible()
  const [kept] = await stored<Preparing>(page, 'preparing')
  expect(kept!.lacking).toEqual(['salt|g'])
  // There was some behind the flour.
  const salt = page.getByTestId('list').getByRole('listitem').filter({ hasText: '350 g salt' })
  await salt.getByRole('button', { name: /where it goes/ }).click()
  await salt.getByRole('button', { name: 'As it was' }).click()
  await expect(checks.getByRole('checkbox', { name: /salt/ })).toBeVisible()
})

test('five kilos of one meat become dishes that take them all', async ({ page }) => {
  await openPlanned(page)
  await openThe(page, 'Buy')
  await page.getByRole('button', { name: 'A lot of one thing' }).click()
  const card = page.getByTestId('bulk')
  const line = card.getByLabel('What there is a lot of')
  await line.fill('lots')
  await line.press('Enter')
  await expect(card.getByRole('alert')).toContainText('Allowed: 5 kg pork shoulder')
  await line.fill('1.8 kg pork shoulder')
  await line.press('Enter')
  await expect(card).toContainText('Braised pork with apple and barley ×2')
  await expect(card).toContainText('1.8 kg and nothing left; 12 servings')
  await line.fill('2.7 kg pork shoulder')
  await line.press('Enter')
  await card.getByRole('button', { name: 'Onto the menu' }).first().click()
  await expect(
    page.getByTestId('list').getByRole('checkbox', { name: '2.7 kg pork shoulder' }),
  ).toBeVisible()
})

test('in the house is counted by hand, and wrong amounts are refused at the field', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Keep')
  const fridge = page.getByTestId('place-fridge')
  const line = fridge.getByLabel('Something in the fridge')
  await line.fill('some ham')
  await line.press('Enter')
  await expect(fridge.getByRole('alert')).toContainText('has no amount that is known')
  await line.fill('300 g ham')
  await line.press('Enter')
  await expect(fridge).toContainText('ham')
  const amount = fridge.getByLabel('ham: how much')
  await amount.fill('1 crate')
  await amount.blur()
  await expect(fridge.getByRole('alert')).toContainText('"1 crate" is no amount')
  await amount.fill('250 g')
  await amount.blur()
  await expect
    .poll(async () => (await stored<Stock>(page, 'stock')).find((s) => s.item === 'ham')?.amount)
    .toBe(250)
})

test('what is in the house comes from a list and goes out as one, and a wrong one changes nothing', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Keep')
  const file = page.getByLabel('File of what is in the house')
  const given = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
  await given('wrong.csv', 'item,amount,unit\nleeks,2,crates')
  await expect(page.getByText('wrong.csv: nothing was taken over.')).toBeVisible()
  await expect(page.getByText('"crates" is not a unit that is known')).toBeVisible()
  await given('list.txt', '600 g leeks\n2 lemons\n')
  await expect(page.getByText('2 things more in the house.')).toBeVisible()
  await expect(page.getByTestId('place-fridge')).toContainText('leeks')
  await openThe(page, 'Buy')
  await expect(page.getByTestId('list').getByRole('checkbox', { name: /leeks/ })).toHaveCount(0)
})

test('in a shop without a signal the list is there, and ticks stay', async ({ page, context }) => {
  await openPlanned(page)
  await openThe(page, 'Buy')
  await installed(page)
  await context.setOffline(true)
  await page.getByTestId('list').getByRole('checkbox', { name: '1.8 kg onions' }).check()
  await expect(page.getByTestId('basket')).toContainText('1 thing in the basket')
  await page.getByRole('button', { name: 'Ask the shop for prices' }).click()
  await expect(page.getByText('The shop does not answer.')).toBeVisible()
  await page.getByRole('link', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Keep', level: 1 })).toBeVisible()
  await page.getByRole('link', { name: 'Buy', exact: true }).click()
  await expect(
    page.getByTestId('list').getByRole('checkbox', { name: '1.8 kg onions' }),
  ).toBeChecked()
  await context.setOffline(false)
})

test('what is seen to before and laid out is ticked, weighed and kept', async ({ page }) => {
  await openPlanned(page)
  await openThe(page, 'Set out')
  const before = page.getByTestId('ready')
  await expect(before).toContainText('Out of the freezer into the fridge: 500 g minced turkey')
  await expect(before).toContainText('Thaw in the fridge, in a dish that catches what drips')
  await expect(before).toContainText('Soak 450 g dried chickpeas')
  const soak = before.getByRole('checkbox', { name: /Soak/ })
  await soak.check()
  const soup = page.getByTestId('out-squash-soup')
  await soup.getByRole('button', { name: 'Weigh the red lentils' }).click()
  await expect(soup.getByRole('status')).toContainText(/\d g: .*\(made-up scales\)/)
  await page.reload()
  await expect(soak).toBeChecked()
})

test('a label for every box, by hand where one likes, as a PDF that can be read back', async ({
  page,
}) => {
  await openPlanned(page)
  await openThe(page, 'Pack')
  const pork = page.getByTestId('label-braised-pork:2027-03-24')
  await expect(pork).toContainText('cooked Sat 20 Mar 2027 · eat by Fri 18 Jun 2027')
  await pork.getByRole('button', { name: /by hand/ }).click()
  const words = pork.getByLabel(/Words on the label/)
  await words.fill('')
  await pork.getByRole('button', { name: 'Keep' }).click()
  await expect(pork.getByRole('alert')).toContainText('at least its name')
  await words.fill('Pork for Grandmother\n2 portions')
  await pork.getByRole('button', { name: 'Keep' }).click()
  await expect(pork).toContainText('Pork for Grandmother')
  await page.getByTestId('label-oat-bars:shelf').getByRole('checkbox').uncheck()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /labels as PDF/ }).click(),
  ])
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const data = new Uint8Array(await readFile((await download.path())!))
  const pdf = await getDocument({ data }).promise
  const texts: string[] = []
  for (let n = 1; n <= pdf.numPages; n++) {
    const sheet = await pdf.getPage(n)
    const [, , wide, high] = sheet.view
    // A4, and nothing beyond its edges.
    expect([Math.round(wide!), Math.round(high!)]).toEqual([595, 842])
    const { items } = await sheet.getTextContent()
    for (const item of items)
      if ('str' in item && item.str.trim()) {
        texts.push(item.str)
        expect(item.transform[4] as number).toBeGreaterThan(0)
        expect((item.transform[4] as number) + item.width).toBeLessThan(wide!)
        expect(item.transform[5] as number).toBeGreaterThan(0)
        expect(item.transform[5] as number).toBeLessThan(high!)
      }
  }
  const all = texts.join(' ')
  expect(all).toContain('Pork for Grandmother')
  expect(all).toContain('Soda bread')
  expect(all).not.toContain('Oat and date bars')
  expect(pdf.numPages).toBe(4)
  await page.getByRole('button', { name: 'To the label printer' }).click()
  await expect(page.getByTestId('printed').locator('img')).toHaveCount(26)
})

test('what is due is called on every page, until it is seen to', async ({ page }) => {
  await openPlanned(page)
  await page.clock.install({ time: new Date('2027-03-19T19:30:00') })
  await page.goto('/recipes')
  const bar = page.getByTestId('reminder')
  // Friday's own things are begun by then; what Saturday wants is still to be seen to.
  await expect(bar).toContainText('9:00')
  const first = (await bar.innerText()).split('\n')[0]!
  await bar.getByRole('button', { name: 'Seen to' }).click()
  await expect(bar).not.toContainText(first)
  const calls: string[] = []
  for (let n = 0; n < 8 && (await bar.isVisible()); n++) {
    calls.push(await bar.innerText())
    await bar.getByRole('button', { name: 'Seen to' }).click()
    await page.waitForTimeout(400)
  }
  expect(calls.some((c) => /Soak 450 g dried chickpeas/.test(c))).toBe(true)
  expect(calls.some((c) => /Out of the freezer into the fridge/.test(c))).toBe(true)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
  await expect(bar).toBeHidden()
})
