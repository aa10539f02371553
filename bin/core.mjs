import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { setFlagsFromString } from 'node:v8'
import { ensureInstalled } from '../scripts/install.mjs'

// A session is planned once and within seconds, and on one core the compiler takes its share of
// them: functions are optimised later and inlined less than Node.js does for servers that run long.
// (Twelve sessions of 9 dishes on one core: 15 to 10 % above the best known after 1 s, 8 to 4 %
// after 2 s; the 10x10 job shop is proven as soon as before.)
for (const flag of ['--max-inlined-bytecode-size=120', '--interrupt-budget=400000'])
  setFlagsFromString(flag)

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/**
 * The TypeScript core as one module for Node.js, bundled when a source has changed and kept
 * under node_modules/.cache.
 */
export async function loadCore(entry = 'core/cli.ts') {
  ensureInstalled(root)
  const out = join(root, 'node_modules', '.cache', 'cadrum', `${fingerprint(entry)}.mjs`)
  if (!existsSync(out)) {
    const { build } = await import('esbuild')
    mkdirSync(dirname(out), { recursive: true })
    await build({
      entryPoints: [join(root, entry)],
      outfile: out,
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      logLevel: 'error',
    })
  }
  return import(pathToFileURL(out).href)
}

function fingerprint(entry) {
  const hash = createHash('sha256').update(entry)
  for (const folder of ['core', 'demo', 'bench'])
    for (const file of sources(join(root, folder))) hash.update(file).update(readFileSync(file))
  return hash.digest('hex').slice(0, 20)
}

function sources(folder) {
  if (!existsSync(folder)) return []
  return readdirSync(folder, { recursive: true })
    .map(String)
    .filter((f) => /\.(ts|json)$/.test(f) && !f.endsWith('.test.ts'))
    .sort()
    .map((f) => join(folder, f))
}
