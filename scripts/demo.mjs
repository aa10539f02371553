// Sets up what is missing, builds, and serves the application with the demo household.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ensureInstalled } from './install.mjs'
import { refuseTakenPort } from './port.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const port = Number(process.env.PORT ?? 3000)
const host = '127.0.0.1'
const server = join(root, '.output', 'server', 'index.mjs')

ensureInstalled(root)
await refuseTakenPort(host, port, `PORT=${port + 1} npm run demo`)
if (!existsSync(server) || newest(root) > statSync(server).mtimeMs) build()
const child = spawn(process.execPath, [server], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, HOST: host, PORT: String(port), NITRO_HOST: host },
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
child.on('exit', (code) => process.exit(code ?? 0))
await answering()
console.log(`\nCadrum is at http://${host}:${port} (stop it with Ctrl+C)`)

function build() {
  console.log('Building, half a minute or so …')
  const run = spawnSync('npx', ['--no-install', 'nuxt', 'build'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production' },
  })
  if (run.status !== 0) {
    console.error('The build did not succeed; see above.')
    process.exit(1)
  }
}

async function answering() {
  for (let i = 0; i < 100; i++) {
    try {
      const response = await fetch(`http://${host}:${port}/`)
      if (response.ok) return
    } catch {
      // Not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
}

/** When any source was last written. */
function newest(folder) {
  let latest = 0
  for (const top of [
    'app',
    'core',
    'demo',
    'server',
    'public',
    'nuxt.config.ts',
    'package-lock.json',
  ])
    for (const file of filesOf(join(folder, top))) latest = Math.max(latest, statSync(file).mtimeMs)
  return latest
}

function filesOf(path) {
  if (!existsSync(path)) return []
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path).flatMap((name) => filesOf(join(path, name)))
}
