import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { openPlanned } from './support'

async function choose(page: Page, entry: string) {
  await page.getByRole('button', { name: 'Household' }).click({ timeout: 15_000 })
  await page.getByText(entry, { exact: true }).click({ timeout: 15_000 })
}
/** The exported file. A click that meets the menu while it moves is lost on a loaded machine. */
async function exported(page: Page): Promise<Record<string, unknown>> {
  let file = ''
  await expect(async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 15_000 }),
      choose(page, 'Export everything'),
    ])
    file = readFileSync(await download.path(), 'utf8')
  }).toPass({ timeout: 120_000 })
  return JSON.parse(file) as Record<string, unknown>
}
async function importing(page: Page, name: string, content: string | Buffer) {
  await page
    .getByLabel('File to import')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
}
const without = ({ savedAt: _, ...rest }: Record<string, unknown>) => rest

test('export, wipe and import give the same, and wiping can be undone', async ({ page }) => {
  await openPlanned(page)
  const before = await exported(page)
  await choose(page, 'Wipe this browser')
  await page.getByRole('button', { name: 'Wipe it' }).click()
  await expect(page.getByText('Nothing on the stove yet')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('finished')).toBeVisible()
  await choose(page, 'Wipe this browser')
  await page.getByRole('button', { name: 'Wipe it' }).click()
  await expect(page.getByText('Nothing on the stove yet')).toBeVisible()
  await importing(page, 'mine.json', JSON.stringify(before))
  await expect(page.getByTestId('finished')).toBeVisible()
  expect(without(await exported(page))).toEqual(without(before))
})

test('a truncated, a foreign and an oversized file change nothing and say why', async ({
  page,
}) => {
  await openPlanned(page)
  const before = await exported(page)
  const files: [string, string | Buffer, RegExp][] = [
    ['cut.json', JSON.stringify(before).slice(0, 3000), /cut off or damaged/],
    ['foreign.json', '{"name": "a list of films"}', /no Cadrum file/],
    ['script.json', '<script>alert(1)</script>', /no Cadrum file/],
    ['film.json', Buffer.alloc(50_500_000, 32), /too large/],
  ]
  for (const [name, content, words] of files) {
    if (content.length < 50_000_000) await importing(page, name, content)
    else {
      // Over the limit of what can be passed in memory: give it as a file of the page's own.
      await page.evaluate((fileName) => {
        const input = document.querySelector<HTMLInputElement>('input[type=file]')!
        const files = new DataTransfer()
        files.items.add(new File([new Uint8Array(50_500_000)], fileName))
        input.files = files.files
        input.dispatchEvent(new Event('change'))
      }, name)
    }
    await expect(page.getByRole('alert')).toContainText(`${name} was not taken over`)
    await expect(page.getByRole('alert')).toContainText(words)
  }
  expect(without(await exported(page))).toEqual(without(before))
})
