import { expect, test, type Page } from '@playwright/test'
import { weekend } from '../../core/session/sittings/weekend.fixture'
import { emptyHousehold } from '../../core/household'
import type { Session } from '../../core/session'
import { openPlanned, pick, planOf, stopPlanning, stored, wiped } from './support'

const held = weekend()
const file = {
  ...emptyHousehold('2027-04-20T08:00:00.000Z'),
  kitchens: [held.kitchen],
  recipes: held.recipes,
  sessions: [{ ...held.session, name: 'First of May' }],
}
async function bringWeekend(page: Page, change: Partial<Session> = {}) {
  await wiped(page)
  const sessions = [{ ...file.sessions[0], ...change }]
  await page.getByLabel('File to import').setInputFiles({
    name: 'weekend.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ ...file, sessions })),
  })
  await page.getByRole('link', { name: 'Choose' }).click()
  await expect(page.getByTestId('sitting-main')).toBeVisible()
  await stopPlanning(page)
}
const session = async (page: Page) => (await stored<Session>(page, 'sessions'))[0]!

const openSitting = (page: Page, name: RegExp) =>
  page
    .getByRole('navigation', { name: 'Sittings and evenings' })
    .getByRole('button', { name })
    .click()
const openEvening = (page: Page, name: RegExp) => pick(page, 'An evening', name)

/** Does everything in its order at the time that the plan says, to the end. */
async function cookThrough(page: Page, name: string) {
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name)
  await page.getByTestId('start').click()
  const card = page.getByTestId('cook-me')
  const ticks = async () =>
    (await stored<{ events: { kind: string }[] }>(page, 'cooking'))[0]!.events.filter(
      (e) => e.kind === 'done',
    ).length
  const toGo = async () =>
    /(\d+) to go/.exec((await page.getByRole('main').textContent())!)?.[1] ?? 'nothing'
  const told: string[] = []
  for (let step = 0; step < 200; step++) {
    const time = card.getByRole('timer')
    const over = page.getByRole('heading', { name: 'All done' })
    // One look: the last step may go from the page while a second one is on its way.
    const text = (await time.or(over).first().textContent())!
    if (text === 'All done') break
    const [, minus, hours = '0', minutes = '0', seconds = '0'] =
      /(−)?(?:(\d+):)?(\d+):(\d\d)/.exec(text) ?? []
    const wait = minus ? 0 : Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds)
    if (wait > 0) await page.clock.fastForward(wait * 1000)
    if (/^\s*in\b/.test(text)) continue
    const [before, shown] = [await ticks(), await toGo()]
    // Read and touched in one: what is planned anew may take its place between two looks.
    const done = card.getByRole('button', { name: /^Done: / })
    told.push(
      await done.evaluate((button: HTMLElement) => {
        const label = button.getAttribute('aria-label')!.replace('Done: ', '')
        button.click()
        return label
      }),
    )
    await expect.poll(ticks).toBeGreaterThan(before)
    // What is written may be there before the page shows it: the next look is at what comes next.
    await expect.poll(toGo).not.toBe(shown)
  }
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('All done')
  await page.getByTestId('to-logbook').click()
  await expect(page.getByTestId('report')).toBeVisible()
  return told
}

test('six dishes over an evening, a morning and four evenings: planned, cooked, eaten', async ({
  page,
}) => {
  test.setTimeout(900_000)
  await bringWeekend(page)
  const friday = page.getByTestId('sitting-sitting-1')
  await expect(friday).toContainText('19:00 to 21:00')
  for (const dish of ['Overnight lemon chicken thighs', 'Slow rye loaf', 'Bone stock'])
    await expect(friday.getByRole('button', { name: `${dish}, Friday 19:00: ` })).toHaveAttribute(
      'aria-label',
      /: \d+ steps$/,
    )
  await friday.getByRole('button', { name: 'Plan' }).click()
  const { plan: evening } = await planOf(page, 'sitting-1')
  // What goes on all night is told when it begins, and takes none of the evening.
  expect(evening.makespan).toBeLessThan(7200)
  await expect(page.getByText(/goes on by itself until Saturday 9:00/).first()).toBeAttached()
  await openSitting(page, /^Sat 1 May/)
  await planOf(page, 'main')
  await expect(page.getByText(/Take the thighs out of the fridge/).first()).toBeAttached()
  const eats = (await session(page)).evenings!.find((e) =>
    held.session.dishes.some((d) => d.on?.includes(e.day) && /chilli|soup/.test(d.recipe)),
  )!
  await openEvening(page, new RegExp(`${Number(eats.day.slice(8))} May`))
  await planOf(page, eats.day)

  await page.clock.install({ time: new Date('2027-04-30T18:55:00') })
  await page.goto('/cook')
  const first = await cookThrough(page, 'Friday 19:00')
  expect(first.some((t) => /^Strain|Bake/.test(t))).toBe(false)
  await page.clock.setSystemTime(new Date('2027-05-01T08:55:00'))
  await page.goto('/cook')
  const second = await cookThrough(page, 'First of May')
  expect(second.some((t) => /^Strain the stock/.test(t))).toBe(true)
  expect(second.some((t) => /^Take the thighs out/.test(t))).toBe(true)
  await page.clock.setSystemTime(new Date(`${eats.day}T17:45:00`))
  await page.goto('/cook')
  // Where the machine was slow the cook was too, as it looks: with what was learned it is planned anew.
  const third = await cookThrough(page, await page.getByRole('heading', { level: 1 }).innerText())
  expect(third.some((t) => /^Reheat/.test(t))).toBe(true)
  const records = await stored<{ id: string }>(page, 'records')
  expect(records.map((r) => r.id.split(' ')[0]).sort()).toEqual(
    ['session', `session--${eats.day}`, 'session--sitting-1'].sort(),
  )
})

test('a dish moves to another evening, by keys and by hand, and nothing else changes', async ({
  page,
}) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Choose' }).click()
  const row = (day: string) => page.getByTestId(`evening-${day}`)
  const pie = (day: string) => row(day).getByRole('button', { name: /^Smoked fish and leek pie, / })
  await expect(pie('2027-03-23')).toHaveAttribute('aria-pressed', 'true')
  const before = await session(page)
  await pie('2027-03-23').focus()
  await page.keyboard.press('Shift+ArrowDown')
  await page.keyboard.press('Shift+ArrowDown')
  await expect(pie('2027-03-25')).toHaveAttribute('aria-pressed', 'true')
  await expect(row('2027-03-25')).toContainText('Smoked fish and leek pie')
  await expect(pie('2027-03-23')).toHaveAttribute('aria-pressed', 'false')
  const moved = await session(page)
  const without = (s: Session) => ({
    ...s,
    parted: undefined,
    dishes: s.dishes.filter((d) => d.recipe !== 'fish-pie'),
  })
  expect(without(moved)).toEqual(without(before))
  expect(moved.dishes.find((d) => d.recipe === 'fish-pie')!.on).toEqual(['2027-03-25'])
  // And back, with the mouse.
  const [from, to] = [await pie('2027-03-25').boundingBox(), await pie('2027-03-23').boundingBox()]
  await page.mouse.move(from!.x + 10, from!.y + 20)
  await page.mouse.down()
  await page.mouse.move(to!.x + 10, to!.y + 20, { steps: 5 })
  await page.mouse.up()
  await expect(pie('2027-03-23')).toHaveAttribute('aria-pressed', 'true')
  await expect.poll(async () => (await session(page)).dishes).toEqual(before.dishes)
  // What thaws the night before follows.
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await openEvening(page, /22 Mar/)
  await expect(
    page.getByText(/Out of the freezer .*Smoked fish and leek pie/).first(),
  ).toBeAttached()
})

test('a sitting is added, changed and taken away, and a step fixed to it', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Choose' }).click()
  await page.getByRole('button', { name: '+ a sitting' }).click()
  const card = page.getByTestId('sitting-card')
  await card.getByLabel('The sitting is on', { exact: true }).fill('20 March 2027')
  await card.getByLabel('The sitting begins at', { exact: true }).fill('9:00')
  await card.getByLabel('The sitting begins at', { exact: true }).blur()
  await expect(card.getByRole('alert')).toContainText('Another sitting begins at that very time')
  await expect(card.getByTestId('keep-sitting')).toBeDisabled()
  await card.getByLabel('The sitting begins at', { exact: true }).fill('15:00')
  await card.getByLabel('The sitting begins at', { exact: true }).blur()
  await card.getByTestId('keep-sitting').click()
  await expect(page.getByTestId('sitting-sitting-1')).toContainText('15:00')
  // What has to be where it cannot be is said.
  await page
    .getByTestId('sitting-friday')
    .getByRole('button', { name: /^Turkey patties/ })
    .click()
  const parts = page.getByTestId('dish-parts')
  // Once it stands still.
  await parts.getByRole('heading').click()
  await pick(parts, 'When: Grate and squeeze the courgette', /Friday evening/)
  await expect(parts).toContainText('Leave it to the plan')
  await parts.getByRole('button', { name: 'Close' }).click()
  await expect(
    page.getByTestId('sitting-friday').getByRole('button', { name: /^Turkey patties/ }),
  ).toHaveAttribute('aria-label', /: [12] steps?$/)
  await page.getByTestId('sitting-sitting-1').getByRole('button', { name: 'Change' }).click()
  await card.getByRole('button', { name: 'Without this sitting' }).click()
  await expect(page.getByTestId('sitting-sitting-1')).toBeHidden()
  await page.reload()
  await expect(page.getByTestId('sitting-friday')).toContainText('19:30 to 20:30')
})

test('the weeks go into a calendar, and busy evenings come out of one', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Choose' }).click()
  await page.getByRole('button', { name: 'Calendar', exact: true }).click()
  const files = page.waitForEvent('download')
  await page.getByText('All of this into your calendar').click()
  expect((await files).suggestedFilename()).toBe('before-lambing.ics')
  const field = page.getByLabel('Calendar file with busy evenings')
  const give = (content: string) =>
    field.setInputFiles({
      name: 'ours.ics',
      mimeType: 'text/calendar',
      buffer: Buffer.from(content),
    })
  await give('nothing of the kind')
  await expect(page.getByText('"ours.ics" is not a calendar')).toBeVisible()
  const row = page.getByTestId('evening-2027-03-26')
  await expect(row.getByRole('button', { name: /is a long evening/ })).toBeVisible()
  await give(
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//Ours//EN',
      'BEGIN:VEVENT',
      'UID:1',
      'SUMMARY:Choir',
      'DTSTART:20270326T183000',
      'DTEND:20270326T200000',
      'END:VEVENT',
      'END:VCALENDAR',
    ].join('\r\n'),
  )
  await expect(page.getByText('1 evening is busy, and short now.')).toBeVisible()
  await expect(row.getByRole('button', { name: /is a short evening/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row.getByRole('button', { name: /is a long evening/ })).toBeVisible()
})

test('guests on Friday at seven, with work until five: the dish is ready by then', async ({
  page,
}) => {
  await openPlanned(page)
  await page.getByLabel('Begins on', { exact: true }).fill('26 March 2027')
  await page.getByLabel('Begins on', { exact: true }).blur()
  await page.getByLabel('Begins at', { exact: true }).fill('17:00')
  await page.getByLabel('Begins at', { exact: true }).blur()
  await expect(page.locator('.headline')).toContainText('Friday 26 March 2027')
  await page.getByRole('link', { name: 'Choose' }).click()
  // The evening before goes along.
  await expect(page.getByTestId('sitting-friday')).toContainText('Thu 25 Mar')
  const pie = page.getByTestId('menu-fish-pie')
  await pie.getByText('at a fixed time').click()
  const by = pie.getByLabel('Smoked fish and leek pie: ready by', { exact: true })
  await by.fill('seven')
  await by.blur()
  await expect(page.getByRole('alert')).toContainText('a time such as 9:30 or 6 pm')
  await by.fill('19:00')
  await by.blur()
  await expect(pie).toContainText('ready by Fri 26 Mar 19:00')
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  const { activities } = (await planOf(page, 'main')).plan
  const own = activities.filter((a) => a.id.startsWith('fish-pie.'))
  expect(Math.max(...own.map((a) => a.end))).toBeLessThanOrEqual(7200)
  expect(Math.max(...activities.map((a) => a.end))).toBeGreaterThan(7200)
})

test('an hour each morning: five sittings, with a dinner for each evening', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('link', { name: 'Choose' }).click()
  await page.getByRole('button', { name: 'Rhythms' }).click()
  const card = page.getByTestId('rhythms')
  await card.getByRole('heading', { name: 'Rhythms' }).click()
  await pick(card, 'One more rhythm', 'An hour each morning')
  const own = page.getByTestId('rhythm-an-hour-each-morning')
  await expect(own).toContainText('Next on Monday')
  await own.getByRole('button', { name: 'Take it' }).click()
  await expect(page.locator('[data-test^=sitting-]')).toHaveCount(5)
  const [taken] = (await stored<Session>(page, 'sessions')).filter((s) =>
    s.id.startsWith('an-hour-each-morning'),
  )
  expect(taken!.evenings).toHaveLength(5)
  for (const { on } of taken!.dishes) expect(on).toHaveLength(1)
  // What is made for an evening is made by then.
  const late = page.getByTestId('late')
  await expect(page.getByTestId(`evening-${taken!.dishes[0]!.on![0]}`)).toBeVisible()
  await expect(late).toHaveCount(0)
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-test^=sitting-]')).toHaveCount(2)
})

test('what takes all night says so, and one touch begins it the evening before', async ({
  page,
}) => {
  await bringWeekend(page, { sittings: undefined })
  const waits = page.getByTestId('long-wait')
  await expect(waits.first()).toContainText('Slow rye loaf goes on by itself for 14 h 00.')
  await waits.first().getByRole('button', { name: 'Begin it the evening before' }).click()
  const friday = page.getByTestId('sitting-sitting-1')
  await expect(friday).toContainText('Fri 30 Apr')
  await expect(waits).toHaveCount(0)
  const [loaf] = (await session(page)).dishes.filter((d) => /rye/.test(d.recipe))
  const { parted } = await session(page)
  expect(new Set(Object.values(parted![loaf!.recipe]!))).toEqual(new Set(['sitting-1', 'main']))
})
