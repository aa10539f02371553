import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** Ends with a clear word where Node.js is older than package.json asks for. */
export function requireNode(root) {
  const wanted = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')).engines.node
  const least = wanted.replace('>=', '').split('.').map(Number)
  const have = process.versions.node.split('.').map(Number)
  const older = least.findIndex((part, i) => have[i] !== part)
  if (older >= 0 && have[older] < least[older]) {
    console.error(
      `Cadrum needs Node.js ${least.join('.')} or newer; this is ${process.versions.node}.`,
    )
    console.error('Install a newer Node.js and run the same command again.')
    process.exit(1)
  }
}

/** Installs the exact packages of package-lock.json where they are missing or out of date. */
export function ensureInstalled(root) {
  requireNode(root)
  const lock = join(root, 'package-lock.json')
  const mark = join(root, 'node_modules', '.cadrum-lock')
  const installed = join(root, 'node_modules', '.package-lock.json')
  const same = existsSync(mark) && readFileSync(mark, 'utf8') === readFileSync(lock, 'utf8')
  if (existsSync(installed) && (same || !existsSync(mark))) return
  console.error('Installing packages (npm ci), a minute or two the first time …')
  const run = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], {
    cwd: root,
    stdio: ['ignore', 2, 2],
  })
  if (run.status !== 0) {
    console.error('npm ci did not succeed; see above. Is the npm registry reachable?')
    process.exit(1)
  }
  // So that a later lock file is seen to be another one.
  writeFileSync(mark, readFileSync(lock))
}
