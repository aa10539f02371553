import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '')

export default defineConfig({
  resolve: { alias: { '~~': root, '~': `${root}/app` } },
  test: {
    include: ['core/**/*.test.ts', 'app/**/*.test.ts', 'bin/**/*.test.ts', 'bench/**/*.test.ts'],
    testTimeout: 60_000,
  },
})
