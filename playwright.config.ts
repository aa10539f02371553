import { defineConfig } from '@playwright/test'
import { PLANNED } from './tests/e2e/support'

const port = Number(process.env.TEST_PORT ?? 3123)

export default defineConfig({
  testDir: 'tests/e2e',
  // A shared machine may be four times as slow as usual: no test is about how long the page takes.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  // On a disturbed machine one of a hundred may miss its time. It is told at the end of the run.
  retries: 1,
  // A page and its planner take a core: more would wait for each other.
  workers: 2,
  outputDir: 'test-results/browser',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    testIdAttribute: 'data-test',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  projects: [
    { name: 'setup', testMatch: '*.setup.ts' },
    {
      name: 'pages',
      testMatch: '*.spec.ts',
      dependencies: ['setup'],
      use: { storageState: PLANNED },
    },
  ],
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `http://127.0.0.1:${port}`,
    env: { HOST: '127.0.0.1', PORT: String(port) },
  },
})
