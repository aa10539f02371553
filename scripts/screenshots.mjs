// Takes the pictures of docs/screenshots from the demo household; wants a build.
import { spawn } from 'node:child_process'
import { chromium } from '@playwright/test'

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
await page.goto(`${base}/cook`)
await page.click('[data-test=start]')
for (const cook of ['runa', 'teo', 'runa']) {
  await page.locator(`[data-test=cook-${cook}] button.done`).click()
  await settle()
}
await shot('cook-light')
await browser.close()
server.kill()
