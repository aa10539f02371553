import { expect, test, type Page } from '@playwright/test'
import type { Session } from '../../core/session'
import { openPlanned, pick, planOf, stopPlanning, stored } from './support'

// Every answer is a plan of its own, for which a slow machine takes its time.
test.describe.configure({ timeout: 360_000 })

const session = async (page: Page) => (await stored<Session>(page, 'sessions'))[0]!

const planned = (page: Page) => planOf(page, 'main')
const talkOf = async (page: Page, words: RegExp) => {
  await page.getByRole('button', { name: words }).first().click()
  await expect(page.getByTestId('step-talk')).toBeVisible()
  return page.getByTestId('step-wish-form')
}
const leeks = /^Change: Wash and slice the leeks/

test('a step is had otherwise, with what it costs, kept by the plan, and taken back', async ({
  page,
}) => {
  await openPlanned(page)
  await stopPlanning(page)
  const form = await talkOf(page, leeks)
  await expect(page.getByTestId('step-talk')).toContainText('Smoked fish and leek pie')
  await pick(form, 'What you want of this step', 'takes longer, in minutes')
  await form.getByLabel('Minutes that it takes').fill('1')
  await form.getByLabel('Minutes that it takes').blur()
  await expect(form.getByRole('alert')).toContainText('nothing is made shorter')
  await expect(form.getByRole('button', { name: 'What would it cost?' })).toHaveCount(0)
  await pick(form, 'What you want of this step', 'begins no sooner than')
  const hour = form.getByLabel('Wished hour', { exact: true })
  await hour.fill('half past')
  await hour.blur()
  await expect(form.getByRole('alert')).toContainText('Allowed: a time such as')
  await hour.fill('11:00')
  await hour.blur()
  await form.getByRole('button', { name: 'What would it cost?' }).click()
  const cost = page.getByTestId('wish-cost')
  await expect(cost).toContainText(/Finished at \d+:\d\d/)
  await form.getByRole('button', { name: 'Do it so' }).click()
  await expect(page.getByTestId('wish')).toContainText('begins no sooner than 11:00', {
    timeout: 60_000,
  })
  const { plan, cards } = await planned(page)
  const cut = plan.activities.filter((r) => /slice the leeks/.test(cards[r.id]!.text))
  const begins = Number((await session(page)).start.slice(11, 13))
  expect(cut.length).toBeGreaterThan(0)
  for (const run of cut.slice(0, 1)) expect(run.start).toBeGreaterThanOrEqual((11 - begins) * 3600)
  await expect(page.getByRole('listitem').filter({ hasText: 'as you want it' })).not.toHaveCount(0)
  // The weave shows it as the cook's own.
  const marks = page.getByTestId('weave').getByTestId('wished')
  await expect(marks.first().locator('title')).toHaveText(
    /^As you want it: .*slice the leeks.* begins no sooner than 11:00$/,
  )
  // It is there after a reload, goes by one touch, and comes back by keys.
  await page.reload()
  await expect(page.getByTestId('wish')).toHaveCount(1)
  await page.getByRole('button', { name: /^Take back: / }).click()
  await expect(page.getByTestId('wish')).toHaveCount(0)
  await expect(marks).toHaveCount(0)
  expect((await session(page)).wishes).toBeUndefined()
  await page.locator('h1').click()
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('wish')).toHaveCount(1)
  await page.keyboard.press('Control+Shift+Z')
  await expect(page.getByTestId('wish')).toHaveCount(0)
  await stopPlanning(page)
})

test('what cannot be kept beside an earlier wish says which, and the earlier one is taken back', async ({
  page,
}) => {
  await openPlanned(page)
  await stopPlanning(page)
  const wish = async (kind: string, at: string) => {
    const form = await talkOf(page, leeks)
    await pick(form, 'What you want of this step', kind)
    await form.getByLabel('Wished hour', { exact: true }).fill(at)
    await form.getByLabel('Wished hour', { exact: true }).blur()
    await form.getByRole('button', { name: 'What would it cost?' }).click()
    await expect(page.getByTestId('wish-cost')).toBeVisible()
    return form
  }
  const first = await wish('begins no later than', '9:40')
  await first.getByRole('button', { name: 'Do it so' }).click()
  await expect(page.getByTestId('wish')).toHaveCount(1)
  await planned(page)
  const form = await wish('begins no sooner than', '10:30')
  await expect(form).toContainText('No plan can keep that beside everything else.')
  await expect(form).toContainText('begins no later than 9:40')
  await form.getByRole('button', { name: 'Take that back' }).click()
  await expect(page.getByTestId('wish')).toHaveCount(1)
  await expect(page.getByTestId('wish')).toContainText('no sooner than 10:30')
  await planned(page)
})

test('what would help is planned, ranked while it comes, and taken', async ({ page }) => {
  await openPlanned(page)
  await stopPlanning(page)
  const help = page.getByTestId('help')
  await help.getByRole('button', { name: 'Find out' }).click()
  await expect(help).toContainText(/Planned so far: \d+ of \d+/)
  const without = help.getByTestId('gain').filter({ hasText: 'Without ' }).first()
  await expect(without).toBeVisible({ timeout: 120_000 })
  await help.getByRole('button', { name: 'Stop, show what there is' }).click()
  await expect(help).not.toContainText('Planned so far')
  const minutes = (await help.getByTestId('gain').allInnerTexts()).map((t) => secondsOf(t))
  expect(minutes).toEqual([...minutes].sort((a, b) => b - a))
  const dishes = (await session(page)).dishes.length
  await without.getByRole('button', { name: 'Leave it out' }).click()
  await expect.poll(async () => (await session(page)).dishes.length).toBe(dishes - 1)
  await page.getByRole('button', { name: 'Take the last change back' }).click()
  await expect.poll(async () => (await session(page)).dishes.length).toBe(dishes)
  await stopPlanning(page)
})

test('ways stand side by side with what they come to, and one is taken', async ({ page }) => {
  await openPlanned(page)
  await stopPlanning(page)
  const compare = page.getByTestId('compare')
  await pick(compare, 'And beside that', 'All cutting first')
  await compare.getByRole('button', { name: 'Compare' }).click()
  await expect(compare.getByRole('columnheader')).toHaveCount(3, { timeout: 120_000 })
  await expect(compare).not.toContainText('Planned so far')
  const row = compare.getByRole('row').filter({ hasText: 'changes of dish' })
  for (const cell of await row.getByRole('cell').allInnerTexts()) expect(cell).toMatch(/^\d+$/)
  const finished = compare.getByRole('row').filter({ hasText: 'finished by the plan' })
  for (const cell of await finished.getByRole('cell').allInnerTexts())
    expect(cell).toMatch(/^\d+:\d\d$/)
  await compare.getByRole('button', { name: 'Take it: As short as can be' }).click()
  await expect.poll(async () => (await session(page)).calm).toBe(0)
  await stopPlanning(page)
})

/** `1 h 05 sooner …` or `27 min sooner …`, in seconds. */
function secondsOf(text: string): number {
  const found = /(?:(\d+) h )?(?:(\d+)(?: min)?)?/.exec(text)!
  return Number(found[1] ?? 0) * 3600 + Number(found[2] ?? 0) * 60
}
