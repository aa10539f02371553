// Sets up what is missing and runs every check; ends with a line `N passed, N failed`.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { stripVTControlCharacters } from 'node:util'
import { ensureInstalled } from './install.mjs'
import { refuseTakenPort } from './port.mjs'

const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const results = join(root, 'test-results')
const counted = { passed: 0, failed: 0 }
/** What failed, told once more at the end, where a long log is read first. */
const failures = []
/** What passed only when it was tried again: a fault to be looked for, on the page or in the test. */
const twice = []

ensureInstalled(root)
ensureChromium()
const port = Number(process.env.TEST_PORT ?? 3123)
await refuseTakenPort('127.0.0.1', port, `TEST_PORT=${port + 1} npm test`)
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })

check('types of Nuxt', ['nuxt', 'prepare'])
check('format', ['prettier', '--check', '.'])
check('lint', ['eslint', '.'])
check('types', ['vue-tsc', '--noEmit', '-p', 'tsconfig.check.json'])
check('formats are current', ['node', 'scripts/formatsCurrent.mjs'])
const unit = join(results, 'unit.json')
suite(
  'unit tests',
  ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`],
  () => {
    const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(unit, 'utf8'))
    for (const { name, message, assertionResults } of testResults) {
      const failed = assertionResults.filter(({ status }) => status === 'failed')
      for (const t of failed) tell(name, t.fullName, t.failureMessages[0])
      if (message && !failed.length) tell(name, 'did not run', message)
    }
    return { passed: numPassedTests, failed: numFailedTests }
  },
)
const built = check('build', ['nuxt', 'build'])
const browser = join(results, 'browser.json')
if (built)
  suite(
    'browser tests',
    ['playwright', 'test', '--reporter=list,json'],
    () => {
      const { stats, suites } = JSON.parse(readFileSync(browser, 'utf8'))
      for (const { file, title, tests } of suites.flatMap(specsOf))
        for (const { status, results } of tests)
          if (status === 'unexpected') tell(file, title, results.at(-1)?.error?.message)
          else if (status === 'flaky') tell(file, title, results[0]?.error?.message, twice)
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected }
    },
    { PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
  )

for (const line of twice) console.log(`AT THE SECOND TRY ${line}`)
for (const line of failures) console.log(`FAILED ${line}`)
console.log(`\n${counted.passed} passed, ${counted.failed} failed`)
process.exitCode = counted.failed ? 1 : 0

function run([tool, ...args], env = {}) {
  const command = tool === 'node' ? process.execPath : 'npx'
  const line = tool === 'node' ? args : ['--no-install', tool, ...args]
  return (
    spawnSync(command, line, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    }).status === 0
  )
}

/** A step that passes or fails as a whole. */
function check(name, command) {
  console.log(`\n== ${name}`)
  const ok = run(command)
  counted[ok ? 'passed' : 'failed']++
  if (!ok) failures.push(name)
  return ok
}

/** A step that counts its own tests. */
function suite(name, command, count, env) {
  console.log(`\n== ${name}`)
  const ok = run(command, env)
  try {
    const { passed, failed } = count()
    counted.passed += passed
    counted.failed += failed
    // A runner that fails without a failing test (a crash, no tests found) is a failure too.
    if ((!ok && !failed) || (ok && !passed)) {
      counted.failed++
      failures.push(`${name}: the run itself`)
    }
  } catch {
    counted.failed++
    failures.push(`${name}: left no result`)
  }
}

function tell(file, title, message = '', list = failures) {
  const [first] = stripVTControlCharacters(message).split('\n')
  list.push(`${relative(root, resolve(root, file))}: ${title}: ${first}`)
}

/** Every test of a suite of the browser's report, those of suites inside it too. */
function specsOf({ specs = [], suites = [] }) {
  return [...specs, ...suites.flatMap(specsOf)]
}

function ensureChromium() {
  if (process.env.CHROMIUM ? existsSync(process.env.CHROMIUM) : existsSync('/usr/bin/chromium'))
    return
  console.log("Installing Chromium from Debian's packages …")
  const apt = (...args) =>
    spawnSync('apt-get', args, { stdio: ['ignore', 'inherit', 'inherit'] }).status === 0
  if (apt('update') && apt('install', '-y', 'chromium')) return
  console.error('Chromium is missing and could not be installed. Install it, or name one:')
  console.error('  CHROMIUM=/path/to/chromium npm test')
  process.exit(1)
}
