import { createHash } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { setFlagsFromString } from 'node:v8'
import { Script } from 'node:vm'
import { threadId } from 'node:worker_threads'
import { ensureInstalled } from '../scripts/install.mjs'

// A session is planned once and within seconds, and on one core the compiler takes its share of
// them: functions are optimised later and inlined less than Node.js does for servers that run long.
// (Twelve sessions of 9 dishes on one core: 15 to 10 % above the best known after 1 s, 8 to 4 %
// after 2 s; the 10x10 job shop is proven as soon as before.)
for (const flag of ['--max-inlined-bytecode-size=120', '--interrupt-budget=400000'])
  setFlagsFromString(flag)

const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Milliseconds that a process must have run for what it compiled to be worth keeping. */
const LONG = 1000

/**
 * The TypeScript core as one module for Node.js, bundled when a source has changed and kept
 * under node_modules/.cache. Beside it stands what the compiler made of it for each use: reading
 * that is quicker than compiling, and the first plan of a new process waits for it.
 */
export async function loadCore(entry = 'core/cli.ts', use = 'use') {
  ensureInstalled(root)
  const cache = join(root, 'node_modules', '.cache', 'cadrum')
  const file = join(cache, `${fingerprint(entry)}.cjs`)
  if (!existsSync(file)) {
    const { build } = await import('esbuild')
    mkdirSync(cache, { recursive: true })
    const { outputFiles } = await build({
      entryPoints: [join(root, entry)],
      bundle: true,
      platform: 'node',
      format: 'cjs',
      target: 'node20',
      logLevel: 'error',
      write: false,
    })
    keep(file, outputFiles[0].contents)
  }
  const compiled = `${file}.${use}`
  const cachedData = existsSync(compiled) ? readFileSync(compiled) : undefined
  const source = `(function (module, require) {${readFileSync(file, 'utf8')}\n})`
  const script = new Script(source, { filename: file, cachedData })
  // Another version of Node.js refuses what this one has compiled, and the other way round.
  if (!cachedData || script.cachedDataRejected)
    process.once('exit', () => {
      if (performance.now() < LONG) return
      try {
        keep(compiled, script.createCachedData())
      } catch {
        // A folder that cannot be written, or a full disk: then the next process compiles anew.
      }
    })
  const module = { exports: {} }
  script.runInThisContext()(module, createRequire(import.meta.url))
  return module.exports
}

/** Writes a file in one go: others may be reading or writing the same. */
function keep(file, content) {
  const own = `${file}.${process.pid}.${threadId}`
  writeFileSync(own, content)
  renameSync(own, file)
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
    .filter((f) => /\.(ts|json)$/.test(f) && !f.endsWith('.test.ts') && !f.startsWith('results'))
    .sort()
    .map((f) => join(folder, f))
}
