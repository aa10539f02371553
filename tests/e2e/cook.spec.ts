import { expect, test, type Page } from '@playwright/test'
import { breachText, brokenBy, checkPlan, relaxed, type Plan } from '../../core/plan'
import type { Progress } from '../../core/problem'
import { compileSession } from '../../core/session'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { FIRST_VISIT, openPlanned, stored } from './support'

interface Kept {
  startedAt: number
  events: { id: string; kind: string; key?: string; from?: number; to?: number }[]
  plans: { plan: Plan; progress?: Progress }[]
}
const log = async (page: Page) => (await stored<Kept>(page, 'cooking'))[0]!
const card = (page: Page, cook = 'runa') => page.getByTestId(`cook-${cook}`)
const nowOf = (page: Page, cook = 'runa') => card(page, cook).getByTestId('now')
const doneOf = (page: Page, cook = 'runa') =>
  card(page, cook).getByRole('button', { name: /^Done:/ })

async function startCooking(page: Page) {
  await openPlanned(page)
  await page.goto('/cook')
  await page.getByTestId('start').click()
  await expect(nowOf(page)).toBeVisible()
}

test('cook three steps, reload in the middle, and go on', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Cook' }).click()
  await expect(page.getByText('Nothing is left in the oven')).toBeVisible()
  await page.getByLabel('Runa is here').check()
  await page.getByTestId('start').click()
  await expect(nowOf(page)).toBeVisible()
  for (let i = 0; i < 3; i++) {
    const now = (await nowOf(page).textContent())!
    await card(page)
      .getByRole('button', { name: `Done: ${now}` })
      .click()
    await expect
      .poll(async () => (await log(page)).events.filter((e) => e.kind === 'done').length)
      .toBe(i + 1)
  }
  const fourth = (await nowOf(page).textContent())!
  await page.reload()
  await expect(nowOf(page)).toHaveText(fourth)
  await doneOf(page).click()
  await expect(nowOf(page)).not.toHaveText(fourth)
  await card(page)
    .getByRole('button', { name: /Take back/ })
    .click()
  await expect(nowOf(page)).toHaveText(fourth)
  const { events, startedAt } = await log(page)
  // What was taken back is still written down, and so is that it was.
  expect(events.filter((e) => e.kind === 'done')).toHaveLength(4)
  expect(events.filter((e) => e.kind === 'undone')).toHaveLength(1)
  expect(new Set(events.map((e) => e.id)).size).toBe(events.length)
  for (const e of events) if (e.kind === 'done') expect(e.to).toBeGreaterThanOrEqual(e.from!)
  expect(startedAt).toBeLessThanOrEqual(Date.now())
})

test('while cooking the plan is locked, and stopping can be undone', async ({ page }) => {
  await startCooking(page)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await expect(page.getByText('This plan is being cooked')).toBeVisible()
  await expect(page.getByRole('button', { name: 'More batches of Soda bread' })).toBeDisabled()
  await page.getByRole('link', { name: 'Cook', exact: true }).first().click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByText('Stop the session').click()
  await expect(page.getByTestId('start')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(card(page)).toBeVisible()
})

test('by keys alone: done, more time, not yet, and the other cook', async ({ page }) => {
  await page.setViewportSize({ width: 900, height: 900 })
  await startCooking(page)
  await page.locator('main').focus()
  const first = (await nowOf(page).textContent())!
  await page.keyboard.press('Space')
  await expect(nowOf(page)).not.toHaveText(first)
  const more = card(page).getByRole('button', { name: 'Needs more' })
  for (let i = 0; i < 6 && !(await more.isVisible()); i++) {
    const before = await nowOf(page).textContent()
    await page.keyboard.press('Space')
    await expect(nowOf(page)).not.toHaveText(before!)
  }
  await page.keyboard.press('2')
  await expect(card(page).getByTestId('choices')).toContainText('5 minutes more')
  await page.keyboard.press('2')
  await expect.poll(async () => (await log(page)).events.map((e) => e.kind)).toContain('more')
  await page.keyboard.press('ArrowRight')
  await expect(card(page, 'teo')).toBeVisible()
  await expect(card(page)).toBeHidden()
  await page.reload()
  await expect(card(page, 'teo')).toBeVisible()
})

test('a place that breaks is planned around, and can come back', async ({ page }) => {
  await startCooking(page)
  await page.getByRole('button', { name: 'What to do with Back left' }).click()
  await page.getByText('Out of use: plan without it').click()
  await expect(page.getByTestId('place-back-left')).toContainText('Out of use')
  await expect(page.getByTestId('replanned')).toContainText('Planned anew')
  const { plans } = await log(page)
  const anew = plans.at(-1)!.plan
  expect(anew.activities.flatMap((a) => a.stations)).not.toContain('back-left')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByText('What has happened').first().click()
  await page.getByRole('button', { name: 'It did not happen: Back left is out of use' }).click()
  await expect(page.getByTestId('place-back-left')).toContainText('free')
})

test('everything stands still while the doorbell is answered, and the second tab follows', async ({
  page,
  context,
}) => {
  await startCooking(page)
  await page.getByTestId('pause').click()
  await expect(card(page)).toContainText('standing still')
  const other = await context.newPage()
  await other.goto('/cook')
  await expect(card(other)).toContainText('standing still')
  await other.getByTestId('pause').click()
  await expect(card(page)).not.toContainText('standing still')
  // The same thing told in both at once is told once.
  const name = (await nowOf(page).textContent())!
  await Promise.all([doneOf(page).click(), doneOf(other).click()])
  await expect
    .poll(async () => (await log(page)).events.filter((e) => e.kind === 'done').length)
    .toBeGreaterThan(0)
  const { events } = await log(page)
  const keys = events.filter((e) => e.kind === 'done').map((e) => e.key)
  expect(new Set(keys).size).toBe(keys.length)
  expect(name).not.toBe('')
})

test('a temperature is typed or read from the thermometer, and kept with the step', async ({
  page,
}) => {
  await startCooking(page)
  const open = async () => {
    await card(page).getByRole('button', { name: 'Else' }).click()
    await page.getByRole('button', { name: /Its temperature/ }).click()
    await expect(page.getByTestId('temperature')).toBeVisible()
  }
  await open()
  await page.getByLabel('Temperature inside').fill('900')
  await page.getByLabel('Temperature inside').blur()
  await expect(page.getByTestId('temperature')).toContainText('is no temperature')
  await page.getByLabel('Temperature inside').fill('71')
  await page.getByLabel('Temperature inside').blur()
  await page.getByRole('button', { name: 'Write it down' }).click()
  await open()
  await page.getByRole('button', { name: 'Read the thermometer' }).click()
  await expect(page.getByTestId('temperature')).toContainText('simulated thermometer')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect
    .poll(async () => (await log(page)).events.filter((e) => e.kind === 'temperature').length)
    .toBe(2)
  await page.context().setOffline(true)
  await open()
  await page.getByRole('button', { name: 'Read the thermometer' }).click()
  await expect(page.getByTestId('temperature')).toContainText('does not answer')
})

test('what has come to its end rings on every page until somebody has heard, and a long absence is told', async ({
  page,
}) => {
  test.setTimeout(480_000)
  await openPlanned(page)
  await page.clock.install({ time: new Date('2027-03-20T09:00:00') })
  await page.goto('/cook')
  await page.getByTestId('start').click()
  await expect(nowOf(page)).toBeVisible()
  const bell = page.getByTestId('bell')
  // Everything in its order, each as long as planned, until something cooks by itself.
  for (let i = 0; i < 24 && !(await page.locator('.place [role=timer]').count()); i++) {
    const cook = i % 2 ? 'teo' : 'runa'
    await page.clock.fastForward(120_000)
    if (await doneOf(page, cook).count()) await doneOf(page, cook).click()
    await page.waitForTimeout(150)
  }
  await page.clock.fastForward(3_600_000)
  await expect(bell).toBeVisible()
  await expect(page.getByText(/^Nobody was here for/)).toBeVisible()
  await expect(page).toHaveTitle(/^Time is up/)
  await page.getByRole('link', { name: 'Recipes' }).click()
  await expect(bell).toBeVisible()
  const rings = bell.getByRole('button', { name: /I have heard/ })
  for (let n = await rings.count(); n > 0; n--) {
    await rings.first().click()
    await expect(rings).toHaveCount(n - 1)
  }
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
  await expect(bell).toBeHidden()
})

test.describe('on a first visit', () => {
  test.use(FIRST_VISIT)
  test('without a plan the Cook page says where to get one', async ({ page }) => {
    await page.goto('/cook')
    await expect(page.getByText('No plan to cook from')).toBeVisible()
  })
})

/** `4:07` or `−1:04:07`, in seconds. */
function secondsIn(text: string): number {
  const found = /(−)?(?:(\d+):)?(\d+):(\d\d)/.exec(text)
  if (!found) return 0
  const [, minus, hours = 0, minutes, seconds] = found
  return (minus ? -1 : 1) * (Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds))
}

test('the whole demo cooked at high speed, with delays and mishaps, to its end', async ({
  page,
}) => {
  // Some three hundred taps, each kept before the next: a slow machine takes ten minutes for them.
  test.setTimeout(1_200_000)
  await openPlanned(page)
  await page.clock.install({ time: new Date('2027-03-20T09:00:00') })
  await page.goto('/cook')
  await page.getByTestId('start').click()
  await expect(nowOf(page)).toBeVisible()
  const cooks = ['runa', 'teo']
  const ticks = () => log(page).then((l) => l.events.filter((e) => e.kind === 'done').length)
  let told = 0
  for (let step = 0; step < 400; step++) {
    const waits: { cook: string; soon: boolean; seconds: number }[] = []
    for (const cook of cooks) {
      const time = card(page, cook).getByRole('timer')
      if (!(await time.count())) continue
      const text = (await time.textContent())!
      if (text.includes('others')) continue
      waits.push({ cook, soon: /^\s*in\b/.test(text), seconds: secondsIn(text) })
    }
    if (!waits.length) break
    const [next] = waits.sort((a, b) => a.seconds - b.seconds)
    // Every fifth thing takes a third longer than it should.
    const slow = !next!.soon && step % 5 === 0 ? 1.33 : 1
    const wait = Math.min(600, Math.max(0, Math.round(next!.seconds * slow)))
    if (wait > 0) await page.clock.fastForward(wait * 1000)
    if (next!.soon || next!.seconds > 600) continue
    if (step === 20) {
      await page.reload()
      await expect(nowOf(page)).toBeVisible()
      continue
    }
    if (step === 30) {
      await page.getByTestId('pause').click()
      await page.clock.fastForward(300_000)
      await page.getByTestId('pause').click()
    }
    if (step === 60) {
      await page.getByRole('button', { name: 'What to do with Front left' }).click()
      await page.getByText('Out of use: plan without it').click()
      await expect(page.getByTestId('replanned')).toContainText('Planned anew')
      continue
    }
    if (step === 40)
      await card(page, next!.cook)
        .getByRole('button', { name: /Take back/ })
        .click()
    const before = await ticks()
    await doneOf(page, next!.cook).click()
    await expect.poll(ticks).toBeGreaterThan(before)
    told++
    const bell = page.getByTestId('bell').getByRole('button', { name: /I have heard/ })
    if (step % 6 === 0 && (await bell.count())) await bell.first().click()
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('All done')
  expect(told).toBeGreaterThan(100)
  const { plans, events } = await log(page)
  expect(plans.length).toBeGreaterThan(1)
  expect(events.filter((e) => e.kind === 'planned').length).toBe(plans.length - 1)
  // Every plan on the way keeps the rules with what had happened by then, but for waits that were too long already.
  const compiled = compileSession({
    session: demoSession,
    kitchen: demoKitchen,
    recipes: demoRecipes,
  })
  if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
  for (const { plan, progress } of plans) {
    const asked = { ...compiled.value.problem, ...(progress ? { progress } : {}) }
    expect(checkPlan(relaxed(asked, brokenBy(asked, plan)), plan).map(breachText)).toEqual([])
  }

  // What came of it goes into the logbook, adds up, and teaches.
  const { startedAt } = await log(page)
  const last = Math.max(...events.flatMap((e) => (e.kind === 'done' ? [e.to!] : [])))
  await page.getByTestId('to-logbook').click()
  await expect(page.getByTestId('report')).toContainText('The Saturday before lambing')
  expect(await stored(page, 'cooking')).toEqual([])
  const [record] = await stored<{ id: string; cooking: { events: Kept['events'] } }>(
    page,
    'records',
  )
  expect(record!.id).toBe(`before-lambing ${startedAt}`)
  const span = `${Math.floor(Math.round(last / 60) / 60)} h ${String(Math.round(last / 60) % 60).padStart(2, '0')}`
  await expect(page.getByTestId('report').locator('strong').first()).toHaveText(span)
  const learned = page
    .getByTestId('learned')
    .getByLabel(/^Cut: /)
    .first()
  await expect(learned).toBeChecked()
  await learned.uncheck()
  await page.reload()
  await expect(learned).not.toBeChecked()
  const files = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  expect((await files).suggestedFilename()).toBe('cadrum-2027-03-20.csv')
  await page.getByRole('button', { name: /^Take The Saturday before lambing/ }).click()
  await expect(page.getByText('Nothing cooked yet')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('report')).toBeVisible()
})
