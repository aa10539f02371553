import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import {
  FIRST_VISIT,
  freshKitchen,
  openPlanned,
  giveRecipes,
  installed,
  paste,
  pick,
  stopPlanning,
  stored,
  wiped,
} from './support'

const SOUP = `Leek soup
Serves 4

500 g leeks
1 litre stock

Slice the leeks. Simmer them in a large saucepan with the stock for 20 minutes.`

/** From now on nothing that is written is kept, or it is again. */
const breakWrites = (page: Page, name = 'QuotaExceededError') =>
  page.evaluate((error) => {
    const store = IDBObjectStore.prototype as unknown as Record<string, unknown>
    const kept = ((window as unknown as { kept?: Record<string, unknown> }).kept ??= {})
    for (const write of ['put', 'add', 'delete', 'clear']) {
      kept[write] ??= store[write]
      store[write] = () => {
        throw new DOMException('no', error)
      }
    }
  }, name)
const mendWrites = (page: Page) =>
  page.evaluate(() =>
    Object.assign(IDBObjectStore.prototype, (window as unknown as { kept: object }).kept),
  )
const household = (page: Page, entry: string) =>
  expect(async () => {
    // A menu that an earlier try has opened is in the way.
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Household' }).click({ timeout: 10_000 })
    await page.getByText(entry, { exact: true }).click({ timeout: 5000 })
  }).toPass({ timeout: 90_000 })
const recipes = async (page: Page) =>
  (await stored<{ id: string; serves: number }>(page, 'recipes')).sort((a, b) =>
    a.id < b.id ? -1 : 1,
  )

test('own recipes stay when the demo is loaded, also after Undo and a reload', async ({ page }) => {
  await wiped(page)
  await page.goto('/recipes')
  await paste(page, SOUP)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await page.getByRole('button', { name: 'Load Highfell' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Saturday before lambing')
  expect((await recipes(page)).map((r) => r.id)).toContain('leek-soup')
  expect(await recipes(page)).toHaveLength(13)
  // The way back is offered again after a reload, and leads to what was there.
  await page.reload()
  await expect(page.getByText('here beside what is yours')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('Nothing on the stove yet')).toBeVisible()
  expect((await recipes(page)).map((r) => r.id)).toEqual(['leek-soup'])
})

/** One change on each screen, what it is called where it is not saved, and whether it was kept. */
const changes: {
  screen: string
  what: string | RegExp
  change: (page: Page) => Promise<unknown>
  kept: (page: Page) => Promise<boolean>
}[] = [
  {
    screen: '/plan',
    what: 'The Saturday before lambing',
    change: (page) => page.getByRole('button', { name: 'Leave out Soda bread' }).click(),
    kept: async (page) =>
      !(await stored<{ dishes: { recipe: string }[] }>(page, 'sessions'))[0]!.dishes.some(
        (d) => d.recipe === 'soda-bread',
      ),
  },
  {
    screen: '/choose',
    what: 'the menus',
    change: (page) => page.getByRole('button', { name: 'Keep this menu' }).click(),
    kept: async (page) => (await stored(page, 'menus')).length === 3,
  },
  {
    screen: '/kitchen',
    what: 'the kitchen',
    change: (page) => pick(page, 'Add to machines', 'slow cooker'),
    kept: async (page) =>
      (await stored<{ stations: unknown[] }>(page, 'kitchens'))[0]!.stations.length ===
      STATIONS + 1,
  },
  {
    screen: '/recipes',
    what: 'Soda bread',
    change: async (page) => {
      await page
        .getByRole('button', { name: /^Soda bread/ })
        .first()
        .click()
      await page.getByLabel('Serves').fill('9')
      await page.getByLabel('Serves').blur()
    },
    kept: async (page) => (await recipes(page)).find((r) => r.id === 'soda-bread')!.serves === 9,
  },
  {
    screen: '/cook',
    what: 'what was cooked',
    change: (page) => page.getByTestId('start').click(),
    kept: async (page) => (await stored(page, 'cooking')).length === 1,
  },
]
let STATIONS = 0

for (const { screen, what, change, kept } of changes)
  test(`a write that fails on ${screen} is told and comes through later`, async ({ page }) => {
    await openPlanned(page)
    await page.goto(screen)
    await stopPlanning(page)
    STATIONS = (await stored<{ stations: unknown[] }>(page, 'kitchens'))[0]!.stations.length
    await breakWrites(page)
    await change(page)
    const bar = page.getByTestId('unsaved')
    await expect(bar).toContainText(what)
    await expect(bar).toContainText('is full')
    expect(await kept(page)).toBe(false)
    await mendWrites(page)
    // It may have been tried again by itself meanwhile.
    const again = page.getByRole('button', { name: 'Try again now' })
    await again.click({ timeout: 5000 }).catch(() => {})
    await expect(bar).toBeHidden()
    await expect.poll(() => kept(page)).toBe(true)
  })

test.describe('on a first visit', () => {
  test.use(FIRST_VISIT)
  test('a household that is wiped while it is planned stays wiped, and a week of states leads back', async ({
    page,
  }) => {
    await page.goto('/plan')
    await expect(page.getByTestId('planning')).toBeVisible()
    await household(page, 'Wipe this browser')
    await expect(page.getByTestId('wipe')).toContainText('The Saturday before lambing')
    await page.getByRole('button', { name: 'Wipe it' }).click()
    await expect(page.getByText('Nothing on the stove yet')).toBeVisible()
    await page.waitForTimeout(3000)
    for (const table of ['kitchens', 'recipes', 'sessions', 'plans', 'cooking', 'menus'])
      expect(await stored(page, table)).toEqual([])
    const offered = page.getByText('Everything is gone from this browser.')
    await expect(offered).toBeVisible()
    await page.reload()
    await expect(offered).toBeVisible()
    await page.getByRole('button', { name: 'Close' }).click()
    await household(page, 'Go back to an earlier state')
    await page.getByRole('button', { name: 'Go back', exact: true }).first().click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Saturday before lambing')
  })
})

test('a file is added beside what is here, or takes its place, as one chooses', async ({
  page,
}) => {
  await freshKitchen(page)
  await page.goto('/recipes')
  await paste(page, SOUP)
  const [soup] = await stored<object>(page, 'recipes')
  const give = () => giveRecipes(page, 'theirs.json', [{ ...soup, serves: 8 }])
  await give()
  await expect(page.getByTestId('import')).toContainText('Leek soup')
  await page.getByRole('button', { name: 'Add it beside' }).click()
  await expect(page.getByText('theirs.json is added')).toBeVisible()
  expect((await recipes(page)).map((r) => [r.id, r.serves])).toEqual([
    ['leek-soup', 4],
    ['leek-soup-2', 8],
  ])
  await give()
  await page.getByRole('button', { name: 'Replace what is here' }).click()
  await expect(page.getByText('theirs.json is taken over')).toBeVisible()
  expect((await recipes(page)).map((r) => [r.id, r.serves])).toEqual([['leek-soup', 8]])
  expect(await stored(page, 'kitchens')).toEqual([])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await recipes(page)).length).toBe(2)
  expect(await stored(page, 'kitchens')).toHaveLength(1)
})

test('of two tabs one writes and the other follows and says so', async ({ context }) => {
  const first = await context.newPage()
  await openPlanned(first)
  const second = await context.newPage()
  await second.goto('/plan')
  await stopPlanning(second)
  await expect(second.getByTestId('follows')).toBeVisible()
  await expect(first.getByTestId('follows')).toBeHidden()
  await second.getByRole('button', { name: 'Leave out Turkey patties' }).click()
  await expect(first.getByTestId('follows')).toBeVisible()
  await expect(second.getByTestId('follows')).toBeHidden()
  await expect(first.getByTestId('dish-turkey-patties')).toHaveCount(0)
  // The one that follows writes again once the other is closed.
  await second.close()
  await expect(first.getByTestId('follows')).toBeHidden()
})

test('a plan that is spoiled is not shown, but planned anew', async ({ page }) => {
  await openPlanned(page)
  const before = (await page.getByTestId('finished').textContent())!
  await page.goto('/kitchen')
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('cadrum')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const plans = open.result.transaction('plans', 'readwrite').objectStore('plans')
          const all = plans.getAll()
          all.onsuccess = () => {
            const kept = all.result[0] as { plan: { makespan: number; activities: object[] } }
            kept.plan.makespan = 60
            kept.plan.activities = kept.plan.activities.map((a) => ({ ...a, start: 0, end: 60 }))
            plans.put(kept).onsuccess = () => {
              open.result.close()
              resolve()
            }
          }
        }
      }),
  )
  await page.goto('/plan')
  await expect(page.getByTestId('finished')).toHaveText(/^1[1-4]:\d\d$/, { timeout: 60_000 })
  await stopPlanning(page)
  expect(before).toMatch(/^1[1-4]:/)
  const [kept] = await stored<{ plan: { makespan: number } }>(page, 'plans')
  expect(kept!.plan.makespan).toBeGreaterThan(3600)
})

test('without the server it opens, reloads, reads, plans and cooks', async ({ page, context }) => {
  await openPlanned(page)
  await installed(page)
  await withoutServer(context)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The Saturday before lambing')
  await page.goto('/recipes')
  await page.getByRole('button', { name: /Bring/ }).click()
  await page.getByLabel('Recipe text').fill(SOUP)
  await expect(page.getByTestId('preview')).toContainText('Leek soup')
  await page.goto('/plan')
  await page.getByRole('button', { name: 'Leave out Soda bread' }).click()
  await expect(page.getByTestId('dish-soda-bread')).toHaveCount(0)
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await page.goto('/cook')
  await page.getByTestId('start').click()
  await expect(page.getByTestId('cook-runa')).toBeVisible()
})

async function withoutServer(context: BrowserContext) {
  await context.setOffline(true)
}

test('a browser that keeps nothing says so, and everything works until it is closed', async ({
  page,
}) => {
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }))
  await page.goto('/plan')
  await expect(page.getByTestId('passing')).toContainText('keeps nothing')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  await page.getByRole('button', { name: 'Leave out Soda bread' }).click()
  await expect(page.getByTestId('dish-soda-bread')).toHaveCount(0)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByTestId('passing').getByRole('button', { name: 'Export everything' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^cadrum-.*\.json$/)
})

test('the server answers with what keeps others out', async ({ request }) => {
  const page = await request.get('/plan')
  expect(page.headers()).toMatchObject({
    'content-security-policy': "frame-ancestors 'none'",
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
  })
  expect(await page.text()).toContain("default-src 'self'")
  const script = (await page.text()).match(/src="(\/_nuxt\/[^"]+\.js)"/)![1]!
  const answer = await request.get(script, { headers: { 'accept-encoding': 'br' } })
  expect(answer.headers()).toMatchObject({
    'content-encoding': 'br',
    'cache-control': 'public, max-age=31536000, immutable',
  })
  for (const path of ['/nowhere', '/api/plan', '/plan/x', '/.env'])
    expect((await request.get(path)).status()).toBe(404)
})

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/nowhere')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('There is no such page')
  await page.getByRole('button', { name: 'To the plan' }).click()
  await expect(page).toHaveURL(/\/plan$/)
})
