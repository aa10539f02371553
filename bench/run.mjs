// Measures the engine on the benchmark's problems: npm run bench -- [seconds] [name pattern].
// With --without STRATEGY (several times, if need be) it says what leaving that out costs, and what each
// strategy contributed where none is left out; nothing is written then.
// Prints a table beside the previous results, and means against the shortest plans that any run has
// found (bench/results/best.json); writes both. Each problem has a process of its own, as from the
// command line: no figure gains by what ran before it, but for what the compiler has kept of an
// earlier one (see bin/core.mjs). `again` is how a process fares that has planned before, as the
// application's planners have.
import { fork } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { loadCore } from '../bin/core.mjs'

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { without: { type: 'string', multiple: true, default: [] } },
})
const { without } = values
const seconds = Number(positionals[0] ?? 30)
if (!(seconds > 0)) stop(`"${positionals[0]}" is no number of seconds above 0.`)
const pattern = new RegExp(process.send ? '' : (positionals[1] ?? ''))
const file = new URL('./results/latest.json', import.meta.url)
const previous = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : { rows: [] }
const { problems, measure, difference, bestOf, gapOf, summary, STRATEGIES } = await loadCore(
  'bench/bench.ts',
  process.send ? 'measure' : 'list',
)
for (const name of without)
  if (!STRATEGIES.includes(name))
    stop(`There is no strategy "${name}". There are: ${STRATEGIES.join(', ')}.`)
if (process.send) {
  const [name, make] = problems().find(([n]) => n === positionals[1])
  const row = without.length
    ? difference(name, make(), seconds, without)
    : measure(name, make(), seconds)
  process.send({ ...row, memoryMB: Math.round(process.resourceUsage().maxRSS / 1000) })
  process.exit()
}
const alone = (name) =>
  new Promise((resolve, reject) => {
    const own = without.flatMap((w) => ['--without', w])
    const child = fork(new URL(import.meta.url), [String(seconds), name, ...own])
    child.on('message', resolve)
    child.on('exit', (code) => reject(new Error(`${name}: the process ended with ${code}`)))
  })

if (without.length) {
  await compare()
  process.exit()
}

const columns = [
  'problem',
  'steps',
  'first ms',
  '1 s',
  '5 s',
  '10 s',
  '30 s',
  'bound',
  'gap % 5 s',
  '10 s',
  '30 s',
  'proven s',
  'idle s',
  'again first ms',
  'again 1 s',
  're-plan ms',
  'MB',
  'before',
]
heading(columns)
const rows = []
for (const [name] of problems().filter(([n]) => pattern.test(n))) {
  const row = await alone(name)
  rows.push(row)
  const before = previous.rows.find((r) => r.name === name)
  const gap = (s) => (s in row.at ? gapOf(row, s).toFixed(1) : '–')
  const cells = [
    name,
    row.activities,
    row.firstMs,
    ...[1, 5, 10, 30].map((s) => row.at[s] ?? '–'),
    row.bound,
    ...[5, 10, 30].map(gap),
    row.provenS ?? '–',
    row.idleS,
    row.again.firstMs,
    row.again.after1S,
    row.replanMs ?? '–',
    row.memoryMB,
    before ? `${before.makespan}, bound ${before.bound}` : '–',
  ]
  console.log(`| ${cells.join(' | ')} |`)
}
const kept = previous.rows.filter((r) => !rows.some((n) => n.name === r.name))
writeFileSync(file, JSON.stringify({ seconds, rows: [...rows, ...kept] }, null, 1) + '\n')
const bestFile = new URL('./results/best.json', import.meta.url)
const best = bestOf(existsSync(bestFile) ? JSON.parse(readFileSync(bestFile, 'utf8')) : {}, rows)
writeFileSync(bestFile, JSON.stringify(best, null, 1) + '\n')
const percents = (of) => Object.entries(of).map(([s, x]) => `${x.toFixed(1)} after ${s} s`)
for (const { name, sessions, above, gap, proven } of summary(rows, best))
  console.log(
    `${name} (${sessions}): % above the best known: ${percents(above).join(', ')}; ` +
      `above what is proven: ${percents(gap).join(', ')}; proven: ${proven}`,
  )

/** Every problem with all strategies and without those, in a process of its own. */
async function compare() {
  const worse = []
  const sum = new Map()
  heading([
    'problem',
    'steps',
    'all',
    'bound',
    `without ${without.join(', ')}`,
    'bound',
    'longer %',
  ])
  for (const [name] of problems().filter(([n]) => pattern.test(n))) {
    const row = await alone(name)
    const longer = 100 * (row.without[0] / row.all[0] - 1)
    worse.push(longer)
    console.log(
      `| ${[name, row.activities, ...row.all, ...row.without, longer.toFixed(1)].join(' | ')} |`,
    )
    for (const [strategy, { steps, better, gained, raised }] of row.contributions) {
      const all = sum.get(strategy) ?? [0, 0, 0, 0]
      sum.set(
        strategy,
        [steps, better, gained, raised].map((x, k) => x + all[k]),
      )
    }
  }
  const mean = worse.reduce((total, x) => total + x, 0) / Math.max(1, worse.length)
  console.log(`Without ${without.join(', ')}: ${mean.toFixed(2)} % longer on average.\n`)
  heading(['strategy', 'steps', 'better plans', 'seconds gained', 'bound raised'])
  for (const [strategy, all] of sum) console.log(`| ${[strategy, ...all].join(' | ')} |`)
}

function heading(columns) {
  console.log(`| ${columns.join(' | ')} |`)
  console.log(`|${columns.map(() => ' --- |').join('')}`)
}

function stop(message) {
  console.error(message)
  process.exit(2)
}
