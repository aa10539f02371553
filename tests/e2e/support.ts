import { expect, type Locator, type Page } from '@playwright/test'
import type { KeptPlan } from '../../core/household'
import type { Kitchen } from '../../core/kitchen'
import { checkPlan } from '../../core/plan'
import { fingerprint } from '../../core/problem'
import type { Recipe } from '../../core/recipe'
import { compileSession, sittingsOf, type Session } from '../../core/session'

/** What a browser keeps in which the demo was planned: most tests begin there, and plan nothing first. */
export const PLANNED = 'test-results/planned.json'

/** What a browser keeps that has never been here. */
export const FIRST_VISIT = { storageState: { cookies: [], origins: [] } }

/** Opens the plan and waits until planning has come to its end (or was stopped). */
export async function openPlanned(page: Page): Promise<void> {
  await page.goto('/plan')
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
}

/** Takes the best plan so far where planning is under way. */
export async function stopPlanning(page: Page): Promise<void> {
  const stop = page.getByRole('button', { name: 'Stop, take the best' })
  await expect(async () => {
    if (await stop.isVisible()) await stop.click({ timeout: 5000 })
    await expect(page.getByTestId('planning')).toBeHidden({ timeout: 2000 })
  }).toPass({ timeout: 90_000 })
}

/** Chooses one of several by its name, in the field or the menu that is called so. */
export async function pick(within: Page | Locator, label: string, option: string | RegExp) {
  const page = 'keyboard' in within ? within : within.page()
  const list = page.locator('.v-overlay--active .v-list').last()
  // Where the page is drawn anew under the pointer the first click may go beside the list.
  await expect(async () => {
    // What is chosen lies over the field itself.
    if (!(await list.isVisible()))
      await within.getByLabel(label, { exact: true }).first().click({ force: true })
    // A list that still grows is not where the pointer goes.
    await list.evaluate((el) =>
      Promise.allSettled(
        (el.closest('.v-overlay__content') ?? el)
          .getAnimations({ subtree: true })
          .map((a) => a.finished),
      ),
    )
    await list.getByText(option, { exact: true }).first().click({ timeout: 5000 })
    await expect(list).toBeHidden({ timeout: 5000 })
  }).toPass({ timeout: 60_000 })
}

/** Opens what is seldom changed of a place or somebody in the kitchen. */
export const more = (page: Page, name: string) =>
  page.getByRole('button', { name: `More about ${name}`, exact: true }).click()

/** A browser without a household. */
export async function wiped(page: Page) {
  await openPlanned(page)
  await page.getByRole('button', { name: 'Household' }).click()
  await page.getByText('Wipe this browser', { exact: true }).click()
  await page.getByRole('button', { name: 'Wipe it' }).click()
  await expect(page.getByText('Nothing on the stove yet')).toBeVisible()
}

/** Brings a recipe in from its text, on the recipes page. */
export async function paste(page: Page, text: string) {
  await page.getByTestId('bring').click()
  await page.getByLabel('Recipe text').fill(text)
  await expect(page.getByTestId('preview')).toBeVisible()
  await page.getByTestId('take').click()
  await expect(page.locator('.sheet')).toBeVisible()
}

/** A new cook: nothing there but a ready kitchen. */
export async function freshKitchen(page: Page) {
  await wiped(page)
  await page.getByRole('link', { name: 'your kitchen' }).click()
  await page.getByRole('button', { name: /One oven, four burners/ }).click()
  await expect(page.getByTestId('station-front-left')).toBeVisible()
}

/** Brings recipes in from their texts and puts each into the session. */
export async function cookThese(page: Page, texts: readonly string[]) {
  await page.getByRole('link', { name: 'Recipes' }).click()
  for (const text of texts) {
    await paste(page, text)
    await page.getByTestId('to-session').click()
    await expect(page.getByTestId('to-session')).toContainText('take it out')
  }
}

/** Chooses a household's file that holds nothing but these recipes. */
export async function giveRecipes(page: Page, name: string, recipes: readonly object[]) {
  const file = {
    format: 'cadrum/household@1',
    savedAt: '2027-03-20T08:00:00.000Z',
    kitchens: [],
    recipes,
    sessions: [],
    plans: [],
    cooking: [],
  }
  await page.getByLabel('File to import').setInputFiles({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
}

/** What the browser keeps in one table: a reload at once may come before a change is written. */
export function stored<T>(page: Page, table: string): Promise<T[]> {
  return page.evaluate(
    (name) =>
      new Promise<never[]>((resolve, reject) => {
        const open = indexedDB.open('cadrum')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const all = open.result.transaction(name).objectStore(name).getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(all.result as never[])
          }
        }
      }),
    table,
  )
}

/** Waits until an ingredient is written as it was typed: what the field shows says nothing about that. */
export async function ingredientKept(page: Page, recipe: string, item: string, amount: number) {
  type Kept = { id: string; ingredients: { item: string; amount?: number }[] }
  await expect
    .poll(async () => {
      const kept = (await stored<Kept>(page, 'recipes')).find((r) => r.id === recipe)
      return Math.round(kept?.ingredients.find((i) => i.item === item)?.amount ?? 0)
    })
    .toBe(amount)
}

/** Looks in every frame where the first of these stands on the page, from now on and after each reload. */
export async function watchTop(page: Page, selector: string): Promise<() => Promise<number[]>> {
  const watch = (css: string) => {
    const tops = new Set<number>()
    Object.assign(window, { tops })
    const look = () => {
      const first = document.querySelector(css)
      if (first) tops.add(Math.round(first.getBoundingClientRect().top + scrollY))
      requestAnimationFrame(look)
    }
    look()
  }
  await page.addInitScript(watch, selector)
  await page.evaluate(watch, selector)
  return () => page.evaluate(() => [...(window as unknown as { tops: Set<number> }).tops])
}

/** Waits until the browser has kept all of the application: from then on it needs no server. */
export async function installed(page: Page) {
  await expect
    .poll(() => page.evaluate(async () => (await caches.keys()).length), { timeout: 60_000 })
    .toBeGreaterThan(0)
  await page.evaluate(async () => void (await navigator.serviceWorker.ready))
}

/** The plan of a sitting or an evening, once it is there for what that is, and the checker has passed it. */
export async function planOf(page: Page, id: string) {
  const look = async () => {
    const plans = await stored<KeptPlan>(page, 'plans')
    const [kitchen] = await stored<Kitchen>(page, 'kitchens')
    const recipes = await stored<Recipe>(page, 'recipes')
    const all = {
      session: (await stored<Session>(page, 'sessions'))[0]!,
      kitchen: kitchen!,
      recipes,
    }
    const { sittings } = sittingsOf(all, (key) => plans.find((p) => p.session === key)?.plan)
    const own = sittings.find((s) => s.id === id)!
    const compiled = compileSession({ ...own, kitchen: kitchen! })
    if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
    const { problem } = compiled.value
    const kept = plans.find((p) => p.session === own.session.id)
    if (kept?.problem !== fingerprint(problem)) return undefined
    return { problem, plan: kept.plan, cards: compiled.value.cards }
  }
  await expect.poll(async () => (await look()) !== undefined, { timeout: 120_000 }).toBe(true)
  await expect(page.getByTestId('finished')).toBeVisible({ timeout: 60_000 })
  await stopPlanning(page)
  const found = (await look())!
  expect(checkPlan(found.problem, found.plan)).toEqual([])
  expect(found.plan.activities.length).toBeGreaterThan(0)
  return found
}
