import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '')

export default defineConfig({
  resolve: { alias: { '~~': root, '~': `${root}/app` } },
  test: {
    testTimeout: 60_000,
    projects: [
      {
        extends: true,
        // Pure functions share their modules: reading those anew for each file took longer than the tests.
        test: { name: 'core', include: ['{core,bin,bench,server}/**/*.test.ts'], isolate: false },
      },
      { extends: true, test: { name: 'app', include: ['app/**/*.test.ts'] } },
    ],
  },
})
