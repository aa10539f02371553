// Takes the pictures of docs/screenshots from the demo household; wants a build.
import { spawn } from 'node:child_process'
import { chromium, selectors } from '@playwright/test'

selectors.setTestIdAttribute('data-test')
const port = 3199
const base = `http://127.0.0.1:${port}`
const server = spawn(process.execPath, ['.output/server/index.mjs'], {
  env: { ...process.env, HOST: '127.0.0.1', PORT: String(port) },
})
await new Promise((resolve) => setTimeout(resolve, 1500))
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
})
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
const page = await context.newPage()
const shot = (name) => page.screenshot({ path: `docs/screenshots/${name}.png` })
const settle = () => page.waitForTimeout(600)

await page.goto(`${base}/plan`)
await page.waitForSelector('[data-test=finished]', { timeout: 30_000 })
await page.waitForSelector('[data-test=planning]', { state: 'hidden', timeout: 60_000 })
await settle()
await shot('plan-light')
await page.goto(`${base}/choose`)
await page.waitForSelector('[data-test=finished]')
await settle()
await shot('choose-light')
await page.goto(`${base}/plan`)
await page.waitForSelector('[data-test=finished]')
await settle()
await page.getByRole('heading', { name: 'Everything in order' }).scrollIntoViewIfNeeded()
await page.evaluate(() => document.querySelector('.list').scrollIntoView())
await settle()
await shot('list-light')
await page.evaluate(() => window.scrollTo(0, 0))
await page.emulateMedia({ colorScheme: 'dark' })
await settle()
await shot('plan-dark')
await page.emulateMedia({ colorScheme: 'light' })
await page.setViewportSize({ width: 360, height: 740 })
await settle()
await shot('plan-phone')
await page.setViewportSize({ width: 1280, height: 800 })
await page.goto(`${base}/buy`)
await page.getByRole('button', { name: 'Ask the shop for prices' }).click()
await page.getByText('are known now').waitFor()
await page.getByRole('button', { name: 'Close' }).click()
await settle()
await shot('buy-light')
await page.setViewportSize({ width: 360, height: 740 })
await settle()
await shot('buy-phone')
await page.setViewportSize({ width: 1280, height: 800 })
for (const [path, name] of [
  ['set-out', 'Set out'],
  ['pack', 'Pack'],
]) {
  await page.goto(`${base}/${path}`)
  await page.getByRole('heading', { name, level: 1 }).waitFor()
  await settle()
  await shot(`${path}-light`)
}
await page.goto(`${base}/recipes?open=fish-pie`)
await page.click('[data-test=step-flake]')
await settle()
await shot('recipes-light')
await page.click('[data-test=bring]')
await page.fill(
  'textarea',
  `Leek and potato soup

Serves 4

500 g leeks
400 g potatoes
1 litre stock

Slice the leeks and dice the potatoes. Soften the leeks in a large saucepan for 10 minutes.
Add the potatoes and stock, bring to the boil and simmer for 20-25 minutes.
Blend until smooth. Cool for half an hour, then pack into boxes.`,
)
await settle()
await shot('reading-light')
await page.goto(`${base}/kitchen`)
await page.waitForSelector('[data-test=station-oven]')
await settle()
await shot('kitchen-light')
// An hour of cooking in a few seconds: whoever is due first goes on, and ticks off in time.
await page.clock.install({ time: new Date('2027-03-20T09:00:00') })
await page.goto(`${base}/cook`)
await page.click('[data-test=start]')
await page.waitForSelector('[data-test=cook-runa]')
const secondsIn = (text) => {
  const [, minutes = 0, seconds = 0] = /(\d+):(\d\d)/.exec(text) ?? []
  return Number(minutes) * 60 + Number(seconds)
}
for (let step = 0; step < 56; step++) {
  const waits = []
  for (const cook of ['runa', 'teo']) {
    const time = page.locator(`[data-test=cook-${cook}] .time`)
    const text = (await time.count()) ? await time.textContent() : ''
    if (text && !text.includes('others'))
      waits.push({
        cook,
        soon: /^\s*in\b/.test(text),
        seconds: text.includes('over') ? 0 : secondsIn(text),
      })
  }
  waits.sort((a, b) => a.seconds - b.seconds)
  const [next] = waits
  if (!next) break
  if (next.seconds > 0) await page.clock.fastForward(Math.min(600, next.seconds) * 1000)
  if (!next.soon) await page.locator(`[data-test=cook-${next.cook}] button.done`).click()
  await page.waitForTimeout(80)
  const bell = page.getByRole('button', { name: /I have heard/ })
  if (step % 5 === 0 && (await bell.count())) await bell.first().click()
}
await page.waitForTimeout(4000)
// The clock was wound forward: nobody was away.
const away = page.getByRole('button', { name: 'Close', exact: true })
if (await away.count()) await away.first().click()
await page.waitForTimeout(600)
await shot('cook-light')
await page.setViewportSize({ width: 800, height: 1100 })
await settle()
await shot('cook-upright')
await page.setViewportSize({ width: 1280, height: 800 })
await page.getByRole('button', { name: 'More', exact: true }).click()
await page.getByText('Stop the session').click()
await page.getByText('The session is stopped.').waitFor()
await page.goto(`${base}/logbook`)
await page.waitForSelector('[data-test=report]')
await settle()
await shot('logbook-light')
// What was cooked is packed, kept and eaten.
await page.goto(`${base}/pack?fill`)
await page.getByTestId('fill-all').waitFor()
await settle()
await shot('fill-light')
await page.getByTestId('fill-all').click()
await page.getByText('boxes in the house').waitFor()
await page.getByRole('button', { name: 'Close' }).click()
await page.goto(`${base}/keep`)
await page.getByTestId('packed').waitFor()
await settle()
await shot('keep-light')
await page.goto(`${base}/eat`)
await page.getByTestId('evening-lines').waitFor()
await settle()
await shot('eat-light')
await page.setViewportSize({ width: 360, height: 740 })
await settle()
await shot('eat-phone')
await browser.close()
server.kill()
