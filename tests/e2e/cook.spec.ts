import { expect, test, type Page } from '@playwright/test'
import { compiledNow, type Begun, type Event } from '../../core/logbook'
import { breachText, brokenBy, checkPlan, relaxed, type Plan } from '../../core/plan'
import type { Progress } from '../../core/problem'
import { FIRST_VISIT, openPlanned, pick, stored } from './support'

interface Kept {
  startedAt: number
  events: Event[]
  plans: { plan: Plan; progress?: Progress }[]
  snapshot: Begun
}
const log = async (page: Page) => (await stored<Kept>(page, 'cooking'))[0]!
const card = (page: Page, cook = 'runa') => page.getByTestId(`cook-${cook}`)
const nowOf = (page: Page, cook = 'runa') => card(page, cook).getByTestId('now')
const doneOf = (page: Page, cook = 'runa') =>
  card(page, cook).getByRole('button', { name: /^Done:/ })

/** Opens what has happened; a slow machine may lose a tap on a menu that is only opening. */
async function openLog(page: Page) {
  await expect(async () => {
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.locator('.v-overlay--active').getByText('What has happened').click({ timeout: 5000 })
    await expect(page.getByRole('heading', { name: 'What has happened' })).toBeVisible({
      timeout: 5000,
    })
  }).toPass({ timeout: 60_000 })
}

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
    // Its words may change meanwhile: an oven is hot by another minute.
    await doneOf(page).click()
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
  // What was done has taught the kitchen its times: where they are others, it is planned anew first.
  await expect(page.getByTestId('start')).toBeVisible({ timeout: 90_000 })
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
  await openLog(page)
  await page.getByRole('button', { name: 'It did not happen: Back left is out of use' }).click()
  await expect(page.getByTestId('place-back-left')).toContainText('free')
  // The only oven: what needs it is named, and the rest goes on.
  await page.getByRole('button', { name: 'What to do with Oven' }).click()
  await page.getByText('Out of use: plan without it').click()
  await expect(page.getByTestId('stuck')).toContainText('Bake the pie until it bubbles')
  await expect(nowOf(page)).toBeVisible()
})

test('what is put off gives way to the next thing at once', async ({ page }) => {
  await startCooking(page)
  const first = (await nowOf(page).textContent())!
  await card(page).getByRole('button', { name: 'Else' }).click()
  await page.getByRole('button', { name: /Not yet: in 15 minutes/ }).click()
  await expect(nowOf(page)).not.toHaveText(first)
  await expect(card(page)).not.toContainText(/^in 1[45]:/)
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
  await Promise.all([doneOf(page).click(), doneOf(other).click()])
  await expect
    .poll(async () => (await log(page)).events.filter((e) => e.kind === 'done').length)
    .toBeGreaterThan(0)
  const { events } = await log(page)
  const keys = events.filter((e) => e.kind === 'done').map((e) => e.key)
  expect(new Set(keys).size).toBe(keys.length)
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

test('a dish comes, one is given up, something is missing; the household may change meanwhile', async ({
  page,
}) => {
  await startCooking(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByText('The dishes: more, or fewer').click()
  const dishes = page.getByTestId('cook-dishes')
  await dishes.getByRole('button', { name: 'One more: Soda bread' }).click()
  await expect(dishes.getByTestId('dish-soda-bread-more-1')).toContainText('not begun')
  await dishes.getByRole('button', { name: 'Give up: Turkey patties' }).click()
  await expect(dishes.getByTestId('dish-turkey-patties')).toContainText('given up')
  await dishes.getByTestId('ask-without').click()
  await expect(
    dishes.getByText(/Without it all is done at|holds the others up/).first(),
  ).toBeVisible()
  await dishes.getByRole('button', { name: 'Close' }).click()
  // The last plan has the one and not the other.
  await expect
    .poll(async () => {
      const ids = (await log(page)).plans.at(-1)!.plan.activities.map((a) => a.id)
      const has = (dish: string) => ids.some((id) => id.startsWith(`${dish}.`))
      return [has('soda-bread-more-1'), has('turkey-patties')]
    })
    .toEqual([true, false])

  // Something is missing in the first line that takes anything.
  const amounts = card(page).getByRole('list', { name: 'What goes in' })
  for (let i = 0; i < 12 && !(await amounts.isVisible()); i++) {
    const now = (await nowOf(page).textContent())!
    await doneOf(page).click()
    await expect(nowOf(page)).not.toHaveText(now)
  }
  await card(page).getByRole('button', { name: 'Else …' }).click()
  await card(page).getByRole('button', { name: 'Something is missing' }).click()
  const lacking = page.getByTestId('missing-card')
  const first = lacking.locator('.keys').first().getByRole('button').first()
  const amount = (await first.textContent())!.trim()
  await first.click()
  await lacking.getByLabel('Take instead').fill('what the neighbour had')
  await lacking.getByRole('button', { name: 'Take that' }).click()
  await expect(amounts.getByText(amount)).toHaveCSS('text-decoration-line', 'line-through')
  await expect(amounts).toContainText('instead: what the neighbour had')

  // A place taken out of the kitchen for good, and no recipe left: what is cooked is what it began with.
  const now = (await nowOf(page).textContent())!
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('cadrum')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const change = open.result.transaction(['recipes', 'kitchens'], 'readwrite')
          change.objectStore('recipes').clear()
          change.objectStore('kitchens').clear()
          change.oncomplete = () => {
            open.result.close()
            resolve()
          }
        }
      }),
  )
  await page.reload()
  await expect(nowOf(page)).toHaveText(now)
  await expect(amounts).toContainText('instead: what the neighbour had')
})

test.describe('on a first visit', () => {
  test.use(FIRST_VISIT)
  test('without a plan the Cook page makes one, and what is best so far can be taken', async ({
    page,
  }) => {
    await page.goto('/cook')
    await expect(page.getByRole('heading', { name: 'Making the plan' })).toBeVisible()
    await page.getByRole('button', { name: 'Stop, take the best' }).click()
    await expect(page.getByTestId('start')).toBeVisible()
    const plans = await stored<{ plan: { activities: unknown[] } }>(page, 'plans')
    expect(plans[0]!.plan.activities.length).toBeGreaterThan(50)
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
  page: first,
  context,
}) => {
  let page = first
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
  const wishes = [/The next one first/, /Leave it out/, /does it$/]
  const granted: string[] = []
  // What is to happen at a tap happens at the first tap from there on that is not a wait.
  const happened = new Set<number>()
  const from = (tap: number, step: number) =>
    step >= tap && !happened.has(tap) && !!happened.add(tap)
  for (let step = 0; step < 400; step++) {
    const waits: { cook: string; soon: boolean; seconds: number }[] = []
    for (const cook of cooks) {
      const time = card(page, cook).getByRole('timer')
      // One look: a card may go from the page between two.
      const [text] = await time.allTextContents()
      if (text === undefined || text.includes('others')) continue
      waits.push({ cook, soon: /^\s*in\b/.test(text), seconds: secondsIn(text) })
    }
    if (!waits.length) break
    const [next] = waits.sort((a, b) => a.seconds - b.seconds)
    // Every fifth thing takes a third longer than it should.
    const slow = !next!.soon && step % 5 === 0 ? 1.33 : 1
    const wait = Math.min(600, Math.max(0, Math.round(next!.seconds * slow)))
    if (wait > 0) await page.clock.fastForward(wait * 1000)
    if (next!.soon || next!.seconds > 600) continue
    if (from(20, step)) {
      await page.reload()
      await expect(nowOf(page)).toBeVisible()
      continue
    }
    if (from(30, step)) {
      await page.getByTestId('pause').click()
      await page.clock.fastForward(300_000)
      await page.getByTestId('pause').click()
    }
    if (from(60, step)) {
      await page.getByRole('button', { name: 'What to do with Front left' }).click()
      await page.getByText('Out of use: plan without it').click()
      await expect(page.getByTestId('replanned')).toContainText('Planned anew')
      continue
    }
    // The page is killed, and opened again a minute later.
    if (from(80, step)) {
      const at = await page.evaluate(() => Date.now())
      await page.close()
      page = await context.newPage()
      await page.clock.install({ time: at + 60_000 })
      await page.goto('/cook')
      await expect(nowOf(page)).toBeVisible()
      continue
    }
    // The server cannot be reached for a while, a reload included.
    if (from(90, step)) await context.setOffline(true)
    if (from(100, step)) {
      await page.reload()
      await expect(nowOf(page)).toBeVisible()
      continue
    }
    if (from(110, step)) await context.setOffline(false)
    if (from(50, step)) {
      await page.getByRole('button', { name: 'More', exact: true }).click()
      await page.getByText('The dishes: more, or fewer').click()
      await page.getByRole('button', { name: 'One more: Soda bread' }).click()
      await expect(page.getByTestId('dish-soda-bread-more-1')).toBeVisible()
      await page.getByTestId('cook-dishes').getByRole('button', { name: 'Close' }).click()
      await expect(page.getByTestId('replanned')).toContainText('Planned anew')
      continue
    }
    // One thing gives way to the next, one is left out, one is handed over: each as soon as it can be.
    if (step >= 70 && wishes.length) {
      const else_ = card(page, next!.cook).getByRole('button', { name: 'Else …' })
      await else_.click()
      const choices = card(page, next!.cook).getByTestId('choices')
      await expect(choices).toBeVisible()
      const it = choices.getByRole('button', { name: wishes[0]! })
      if (await it.isVisible()) {
        const kind = await it.textContent()
        await it.click()
        await expect(choices).toBeHidden()
        granted.push(kind!)
        wishes.shift()
        continue
      }
      await else_.click()
    }
    if (from(40, step))
      await card(page, next!.cook)
        .getByRole('button', { name: /Take back/ })
        .click()
    const before = await ticks()
    await doneOf(page, next!.cook).click()
    await expect.poll(ticks).toBeGreaterThan(before)
    told++
    const bell = page.getByTestId('bell').getByRole('button', { name: /I have heard/ })
    // It may fall silent by itself in this very moment.
    if (step % 6 === 0 && (await bell.count()))
      await bell
        .first()
        .click({ timeout: 2000 })
        .catch(() => undefined)
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('All done')
  expect(told).toBeGreaterThan(100)
  expect(granted).toHaveLength(3)
  expect(happened.size).toBe(9)
  const { plans, events, snapshot } = await log(page)
  expect(plans.length).toBeGreaterThan(1)
  expect(events.filter((e) => e.kind === 'planned').length).toBe(plans.length - 1)
  // Every plan on the way keeps the rules with what had happened by then, but for waits that were too long already.
  const compiled = [compiledNow(snapshot, []), compiledNow(snapshot, events)].map((reading) => {
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    return reading.value
  })
  for (const { plan, progress } of plans) {
    // The dish that came is in every plan from then on.
    const more = plan.activities.some((a) => a.id.startsWith('soda-bread-more-1.'))
    const asked = { ...compiled[more ? 1 : 0]!.problem, ...(progress ? { progress } : {}) }
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
  await expect(page.getByTestId('report')).toContainText('One dish more: Soda bread, once more')
  const nextTime = page.getByTestId('next-time')
  await nextTime.getByRole('button', { name: 'Keep with the recipe' }).click()
  await expect(nextTime.getByRole('alert')).toContainText('which dish')
  await pick(nextTime, 'Dish that it is about', 'Soda bread')
  await nextTime.getByLabel('What to do otherwise').fill('Two minutes less')
  await nextTime.getByRole('button', { name: 'Keep with the recipe' }).click()
  await expect
    .poll(async () => {
      const all = await stored<{ id: string; notes?: { text: string }[] }>(page, 'recipes')
      return all.find((r) => r.id === 'soda-bread')?.notes?.[0]?.text
    })
    .toBe('Two minutes less')
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
