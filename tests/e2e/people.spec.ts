import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { addSeconds, format, parseISO } from 'date-fns'
import type { KeptPlan } from '../../core/household'
import type { Kitchen } from '../../core/kitchen'
import { objectiveValue } from '../../core/plan'
import type { Recipe } from '../../core/recipe'
import { quantile, rehearse } from '../../core/rehearsal'
import { compileSession, cookingsOf, MAIN, type Session } from '../../core/session'
import { openPlanned, pick, stopPlanning, stored } from './support'

/** The session, the problem and the plan that the browser keeps. */
async function kept(page: Page) {
  const [session] = await stored<Session>(page, 'sessions')
  const [kitchen] = await stored<Kitchen>(page, 'kitchens')
  const [plan] = await stored<KeptPlan>(page, 'plans')
  const recipes = await stored<Recipe>(page, 'recipes')
  const held = { session: session!, kitchen: kitchen!, recipes }
  const own = cookingsOf(held).sittings.find((s) => s.id === MAIN)!
  const compiled = compileSession({ ...own, kitchen: kitchen! })
  if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
  return { session: session!, plan: plan!, problem: compiled.value.problem }
}

test('how calm it is to be is chosen, with what that costs and gains', async ({ page }) => {
  await openPlanned(page)
  const words = page.getByTestId('calm')
  await expect(words).toHaveText(/^\d+ changes? of dish/)
  await expect(page.getByLabel('At most longer, in percent')).toHaveValue('3')
  await pick(page, 'The plan is to be', 'very calm')
  await expect(page.getByTestId('planning')).toBeVisible()
  await expect(page.getByTestId('planning')).toBeHidden({ timeout: 90_000 })
  const { plan, problem, session } = await kept(page)
  expect(session.calm).toBe(8)
  // The words, worked out anew from the plan that is kept.
  const changes = objectiveValue(problem, plan.plan, 'switches')
  const fewer = plan.strict![1]! - changes
  const longer = plan.plan.makespan - plan.strict![0]!
  expect(longer).toBeLessThanOrEqual(problem.allowance!.makespan!)
  // The calmest plan may be the shortest that was found, too: then there is nothing to compare.
  const price = longer < 30 ? 'no longer' : `${Math.round(longer / 60)} min longer`
  // Of two that are calm enough the steadier one is kept: it may change dishes as often as the shortest.
  await expect(words).toHaveText(
    fewer <= 0
      ? `${changes} changes of dish.`
      : `${changes} changes of dish, ${fewer} fewer than in the shortest plan found; ${price}.`,
  )
  // Any other share, or what is wrong with it.
  const share = page.getByLabel('At most longer, in percent')
  await share.fill('fifty')
  await share.blur()
  await expect(page.getByRole('alert').filter({ visible: true })).toContainText(
    '0 to 30 percent, in whole numbers',
  )
  await share.fill('5')
  await share.blur()
  await expect(page.getByText('as you say')).toBeVisible()
  await stopPlanning(page)
  await page.reload()
  await expect(share).toHaveValue('5')
  // Longer for the sake of something else: the figure is then of that.
  await pick(page, 'For the sake of', 'fewer oven changes')
  await expect(page.getByTestId('planning')).toBeVisible()
  await expect(page.getByTestId('planning')).toBeHidden({ timeout: 90_000 })
  const ovens = await kept(page)
  expect(ovens.session.aim).toBe('ovens')
  const heats = objectiveValue(ovens.problem, ovens.plan.plan, 'heatChanges')
  await expect(words).toHaveText(
    new RegExp(`^${heats || 'No'} changes? of oven heat(?:, [1-9]|\\.$)`),
  )
})

test('the page says when people will be finished, and why later than planned', async ({ page }) => {
  await openPlanned(page)
  await expect(page.getByTestId('people')).toHaveText(/^\d+:\d\d$/, { timeout: 60_000 })
  const { session, plan, problem } = await kept(page)
  const rehearsed = rehearse(problem, plan.plan, { runs: 1000, seed: 1 })
  const clock = (seconds: number) => format(addSeconds(parseISO(session.start), seconds), 'H:mm')
  const [half, most] = [0.5, 0.9].map((q) => clock(quantile(rehearsed.finishes, q)))
  await expect(page.getByTestId('people')).toHaveText(half!)
  await expect(page.getByTestId('honest')).toContainText(
    `Finished about ${half}, nine times in ten before ${most}.`,
  )
  await expect(page.getByTestId('late').getByRole('listitem')).toHaveCount(5)
  await expect(page.getByTestId('finish-chart').locator('canvas')).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).include('.rehearsal').analyze()
  expect(violations.map((v) => v.id)).toEqual([])
  await page.getByRole('button', { name: 'And planned anew on the way?' }).click()
  await expect(page.getByTestId('replanned')).toContainText('times a session', { timeout: 60_000 })
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByRole('button', { name: 'And planned anew on the way?' })).toBeVisible()
})

test('a rehearsal is watched, and is never taken for cooking', async ({ page }) => {
  await openPlanned(page)
  await page.getByRole('button', { name: 'Watch it' }).click()
  const watch = page.getByTestId('watch')
  await expect(watch).toContainText('Nothing here is being cooked')
  await watch.getByRole('button', { name: '120 times as fast' }).click()
  // How far it has come by the time that it is looked at is the machine's affair.
  await expect(watch.getByTestId('watch-now')).toHaveText(/^9:(?:0[4-9]|[1-5]\d)$|^1\d:\d\d$/)
  await watch.getByRole('button', { name: 'Pause' }).click()
  const at = await watch.getByTestId('watch-now').textContent()
  await page.waitForTimeout(600)
  await expect(watch.getByTestId('watch-now')).toHaveText(at!)
  // To its end by keyboard: everything is done there.
  await watch.getByRole('slider').focus()
  await page.keyboard.press('End')
  await expect(watch.locator('dd')).toHaveText(['done', 'done'])
  expect(await stored(page, 'cooking')).toEqual([])
})
