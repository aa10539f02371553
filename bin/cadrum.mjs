#!/usr/bin/env node
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { addDays, format, parseISO } from 'date-fns'
import { loadCore } from './core.mjs'
import { clockOf, listText } from './listText.mjs'
import { planSittings } from './planSittings.mjs'
import { eatText } from './eatText.mjs'
import { shopText } from './shopText.mjs'
import { MOST_THREADS, solveThreads } from './solveThreads.mjs'

/** How long a plan is looked for that comes nearest, in milliseconds, where none keeps everything. */
const LEAST_BAD_MS = 2000
const USAGE = `usage:
  cadrum plan PROBLEM.json [--seconds 5] [--iterations N] [--seed 1] [--threads 1] [--least-bad FILE]
              [--previous PLAN.json] [--out PLAN.json]
  cadrum plan SESSION.json --out FOLDER [--seconds 5] [--iterations N] [--seed 1]
              every sitting and evening of it: session, problem, plan and list, and sittings.json
  cadrum check PROBLEM.json PLAN.json
  cadrum compile SESSION.json [--out PROBLEM.json]
  cadrum session --kitchen FILE|NAME [--batches 1] [--start 2027-03-20T09:00] RECIPE...
              [--sitting 2027-03-19T19:00/90]... [--evening 2027-03-22]... [--eaters 4]
              [--out SESSION.json]    recipes in any form that read takes; other sittings, with the
              minutes there are, and the evenings that it cooks for
  cadrum list SESSION.json PLAN.json [--json]
  cadrum shop SESSION.json [--stock FILE] [--prices FILE] [--json]
              what is to be bought, and what it costs; files are JSON, CSV (item, amount, unit, cost) or
              lines such as 500 g rolled oats, 0.90
  cadrum labels SESSION.json [PLAN.json] [--json]     what is written on every box and bag; with a plan
              it says on which day each is done
  cadrum eat HOUSEHOLD.json [--today 2027-03-20] [--day 2027-03-24]     the evenings to come out of
              what is packed: what there is, when to begin, what to do
  cadrum read FILE [--out RECIPE.json]     text, HTML, JSON-LD, CSV or our own JSON; - is standard input
  cadrum rehearse PROBLEM.json PLAN.json [--runs 1000, 20 where it is planned anew] [--seed 1] [--policy follow|replan|distracted]
              [--noise 1] [--json]    how it goes with people: when they finish, what holds them up
  cadrum formats FOLDER`

const [command, ...rest] = process.argv.slice(2)
const commands = { plan, check, compile, session, list, shop, labels, eat, read, rehearse, formats }
if (!commands[command]) fail(USAGE)
// With several threads it is they who plan: this one compiles little that is worth keeping.
const threaded = rest.some((arg) => arg.startsWith('--threads'))
const core = await loadCore('core/cli.ts', threaded ? 'threads' : command)
async function plan(args) {
  const { files, flags } = parse(args, [
    'seconds',
    'iterations',
    'seed',
    'threads',
    'previous',
    'out',
    'least-bad',
  ])
  if (files.length !== 1) fail(USAGE)
  const input = readJson(files[0])
  if (input?.format === 'cadrum/session-file@1') return ofSession(input, flags)
  const problem = unwrap(core.readProblem(input))
  const options = { clock: () => performance.now(), seed: whole(flags, 'seed', 1, -2147483648) }
  if (flags.iterations !== undefined) options.iterations = whole(flags, 'iterations', 0, 1)
  if (flags.seconds !== undefined || options.iterations === undefined)
    options.seconds = number(flags, 'seconds', 5)
  const threads = whole(flags, 'threads', 1, 1)
  if (threads > MOST_THREADS) fail(`--threads: at most ${MOST_THREADS}`)
  if (threads > 1 && options.iterations !== undefined)
    fail('--threads: only with --seconds; with --iterations the plan is the same every time')
  if (flags.previous !== undefined) {
    if (threads > 1) fail('--previous: only with one thread')
    options.previous = unwrap(core.readPlan(readJson(flags.previous)))
  }
  const result =
    threads > 1 ? await solveThreads(problem, { ...options, threads }) : alone(problem, options)
  const near = ['infeasible', 'unknown'].includes(result.status) ? nearest(problem) : undefined
  // What breaks nothing is a plan, though it came late.
  const plan = near && !near.broken.length ? near.plan : result
  write(plan, flags.out)
  for (const reason of plan.reasons) console.error(reason)
  if (plan.status === 'unknown') console.error('no plan was found in the time there was')
  if (near?.broken.length) tellBroken(problem, near, flags['least-bad'])
  return { optimal: 0, feasible: 0, infeasible: 3, unknown: 4 }[plan.status]
}

/** Every sitting and evening of a session, each planned by itself, into a folder. */
function ofSession(input, flags) {
  if (flags.out === undefined) fail('--out: a folder for the plans of the sittings')
  for (const name of ['threads', 'previous', 'least-bad'])
    if (flags[name] !== undefined) fail(`--${name}: only with a problem`)
  const seed = whole(flags, 'seed', 1, -2147483648)
  const limits =
    flags.iterations === undefined
      ? { seconds: number(flags, 'seconds', 5) }
      : { iterations: whole(flags, 'iterations', 0, 1) }
  return planSittings(
    core,
    unwrap(core.readSessionFile(input)),
    flags.out,
    { seed, ...limits },
    fail,
  )
}

/** The plan that comes nearest to keeping everything, if any turns up. */
function nearest(problem) {
  const until = performance.now() + LEAST_BAD_MS
  return core.leastBad(problem, { expired: () => performance.now() > until })
}

/** Says what that plan breaks, and writes it if asked. */
function tellBroken(problem, found, out) {
  console.error('the plan that comes nearest breaks:')
  for (const words of core.brokenWords(problem, found.broken, (s) => `${s} s`))
    console.error(`  ${words}`)
  if (out !== undefined) write(found, out)
}

function alone(problem, options) {
  const run = core.startSolving(problem, options)
  while (run.advance(Infinity));
  const stability = run.stability()
  if (stability)
    console.error(
      `as planned before: ${stability.kept} s; this plan changes ${stability.changes} steps of it`,
    )
  return run.plan()
}

function check(args) {
  const { files } = parse(args, [])
  if (files.length !== 2) fail(USAGE)
  const problem = unwrap(core.readProblem(readJson(files[0])))
  const given = unwrap(core.readPlan(readJson(files[1])))
  const breaches = core.checkPlan(problem, given)
  for (const breach of breaches) console.log(core.breachText(breach))
  return breaches.length ? 1 : 0
}

function compile(args) {
  const { files, flags } = parse(args, ['out'])
  if (files.length !== 1) fail(USAGE)
  const compiled = unwrap(core.compileSession(unwrap(core.readSessionFile(readJson(files[0])))))
  write(compiled.problem, flags.out)
  return 0
}

function read(args) {
  const { files, flags } = parse(args, ['out'])
  if (files.length !== 1) fail(USAGE)
  const text = readText(files[0])
  const found = unwrap(core.readRecipes(text))
  // Of several recipes in one file each is judged by its steps alone.
  const recipes = found.map((f) => core.withCautions(f, found.length === 1 ? text : undefined))
  write(recipes.length === 1 ? recipes[0] : recipes, flags.out)
  return 0
}

function session(args) {
  const { files, flags } = parse(
    args,
    ['kitchen', 'batches', 'start', 'out', 'eaters'],
    [],
    ['sitting', 'evening'],
  )
  if (!files.length || flags.kitchen === undefined) fail(USAGE)
  const named = core.namedKitchens()
  const kitchen =
    named[flags.kitchen] ??
    (existsSync(flags.kitchen)
      ? unwrap(core.readKitchen(readJson(flags.kitchen)))
      : fail(
          `--kitchen: there is no file and no kitchen "${flags.kitchen}"; allowed: a kitchen file, or ${Object.keys(named).join(', ')}`,
        ))
  const recipes = core.recipesFrom(
    files.flatMap((file) => unwrap(core.readRecipes(readText(file)))),
  )
  const batches = number(flags, 'batches', 1)
  const start = flags.start ?? tomorrow()
  const sittings = (flags.sitting ?? []).map((text) => {
    const [begins, minutes] = text.split('/')
    return { start: begins, ...(minutes === undefined ? {} : { limit: Number(minutes) }) }
  })
  const evenings = flags.evening ?? []
  const eaters = whole(flags, 'eaters', kitchen.people.length, 0)
  write(
    unwrap(core.sessionFrom({ kitchen, recipes, batches, start, sittings, evenings, eaters })),
    flags.out,
  )
  return 0
}

/** Quantiles that are printed, and how many steps and waits. */
const SHARES = [0.1, 0.5, 0.8, 0.9, 0.95]
const MOST_TOLD = 10
/** A run that is planned anew on the way takes seconds, one in the plan's order a thousandth of that. */
const RUNS = { follow: 1000, distracted: 1000, replan: 20 }
const MOST_RUNS = { follow: 100_000, distracted: 100_000, replan: 1000 }

function rehearse(args) {
  const { files, flags } = parse(args, ['runs', 'seed', 'policy', 'noise'], ['json'])
  if (files.length !== 2) fail(USAGE)
  const problem = unwrap(core.readProblem(readJson(files[0])))
  const given = unwrap(core.readPlan(readJson(files[1])))
  const policy = flags.policy ?? 'follow'
  if (!core.POLICIES.includes(policy))
    fail(`--policy: "${policy}" is none; allowed: ${core.POLICIES.join(', ')}`)
  const breaches = core.checkPlan(problem, given)
  if (breaches.length) {
    for (const breach of breaches) console.error(core.breachText(breach))
    fail('the plan breaks rules of the problem, and only a plan that keeps them can be followed')
  }
  if (!given.activities.length) fail('there is nothing in the plan to rehearse')
  const noise = number(flags, 'noise', 1)
  if (noise > 5) fail('--noise: at most 5')
  const runs = whole(flags, 'runs', RUNS[policy], 1)
  if (runs > MOST_RUNS[policy])
    fail(`--runs: at most ${MOST_RUNS[policy]} with the policy ${policy}`)
  const found = core.rehearse(problem, given, {
    runs,
    seed: whole(flags, 'seed', 1, -2147483648),
    policy,
    noise,
  })
  const quantiles = Object.fromEntries(SHARES.map((q) => [q, core.quantile(found.finishes, q)]))
  if (flags.json) return print({ ...found, quantiles })
  const share = (x) => `${Math.round(100 * x)} %`
  console.log(`planned ${found.planned} s; ${found.runs} runs, ${policy}`)
  for (const q of SHARES) console.log(`${share(q)} of runs are finished by ${quantiles[q]} s`)
  if (found.replans > 0)
    console.log(
      `planned anew ${found.replans.toFixed(1)} times a run, in vain ${found.stuck.toFixed(1)} times`,
    )
  console.log(`waits that are too long: ${found.brokenPerHundred.toFixed(0)} in a hundred runs`)
  for (const { between, share: of, seconds } of found.waits.slice(0, MOST_TOLD))
    console.log(`  ${between.join(' to ')}: in ${share(of)} of runs, by ${Math.round(seconds)} s`)
  console.log('what makes it late, in seconds on average:')
  for (const { activity, seconds, share: of } of found.late.slice(0, MOST_TOLD))
    console.log(`  ${activity}: ${Math.round(seconds)} s, in ${share(of)} of runs`)
  return 0
}

function print(value) {
  console.log(JSON.stringify(value, null, 2))
  return 0
}

/** Nine in the morning of the next day. */
const tomorrow = () => format(addDays(new Date(), 1), "yyyy-MM-dd'T'09:00")

/** Fields of a line as it is printed for other programs. */
const TOLD = [
  'at',
  'until',
  'cook',
  'kind',
  'dish',
  'step',
  'text',
  'amounts',
  'places',
  'celsius',
  'caution',
]

function list(args) {
  const { files, flags } = parse(args, [], ['json'])
  if (files.length !== 2) fail(USAGE)
  const held = unwrap(core.readSessionFile(readJson(files[0])))
  const compiled = unwrap(core.compileSession(held))
  const given = unwrap(core.readPlan(readJson(files[1])))
  const breaches = core.checkPlan(compiled.problem, given)
  if (breaches.length)
    fail(`${files[1]}: is not a plan for this session: ${core.breachText(breaches[0])}`)
  const clock = clockOf(held.session)
  const lines = core.instructions(given, compiled, held.kitchen, { clock })
  if (flags.json) {
    for (const l of lines)
      console.log(JSON.stringify(Object.fromEntries(TOLD.map((field) => [field, l[field]]))))
    return 0
  }
  for (const line of listText(core, held, compiled, lines, clock)) console.log(line)
  return 0
}

function shop(args) {
  const { files, flags } = parse(args, ['stock', 'prices'], ['json'])
  if (files.length !== 1) fail(USAGE)
  const held = unwrap(core.readSessionFile(readJson(files[0])))
  const stock =
    flags.stock === undefined ? [] : core.stockOf(unwrap(core.readInHouse(readText(flags.stock))))
  const prices = flags.prices === undefined ? [] : unwrap(core.readPrices(readText(flags.prices)))
  const { list, costs, ready } = core.prepare({ ...held, stock, prices })
  if (flags.json) {
    print({ lines: core.listAsRows(list), total: list.total, costs, ready })
    return 0
  }
  console.log(core.listAsText(list).trimEnd())
  for (const line of shopText(list, costs, ready, held.recipes)) console.log(line)
  return 0
}

function labels(args) {
  const { files, flags } = parse(args, [], ['json'])
  if (files.length < 1 || files.length > 2) fail(USAGE)
  const held = unwrap(core.readSessionFile(readJson(files[0])))
  const given = files[1] === undefined ? undefined : unwrap(core.readPlan(readJson(files[1])))
  const dishes = new Set(held.recipes.map((r) => r.id))
  if (given?.activities.length && !given.activities.some((a) => dishes.has(a.id.split('.')[0])))
    fail(`${files[1]}: is not a plan for this session: nothing in it is of its dishes`)
  const planOf = (key) => (key === held.session.id ? given : undefined)
  const { labels: made } = core.prepare({ ...held, planOf })
  if (flags.json) return print(made)
  const day = (iso) => format(parseISO(iso), 'EEE d MMM yyyy')
  console.log(made.map((l) => core.labelLines(l, day).join('\n')).join('\n\n'))
  return 0
}

function eat(args) {
  const { files, flags } = parse(args, ['today', 'day'])
  if (files.length !== 1) fail(USAGE)
  const house = unwrap(core.readHousehold(readText(files[0])))
  const today = flags.today ?? format(new Date(), 'yyyy-MM-dd')
  for (const [flag, value] of Object.entries({ today, day: flags.day ?? today }))
    if (!/^\d{4}-\d\d-\d\d$/.test(value) || Number.isNaN(Date.parse(value)))
      fail(`--${flag}: "${value}" is no day; allowed: a day such as 2027-03-20`)
  const recipes = new Map(house.recipes.map((r) => [r.id, r]))
  const made = house.sessions.find((s) => house.packs.some((p) => p.session === s.id))
  const kitchen = house.kitchens.find((k) => k.id === made?.kitchen) ?? house.kitchens[0]
  if (!kitchen) fail(`${files[0]}: there is no kitchen in it`)
  if (!house.packs.length) fail(`${files[0]}: nothing is packed in it`)
  const around = {
    today,
    sessions: house.sessions,
    roleOf: (dish) => (recipes.has(dish) ? core.roleIn(recipes.get(dish)) : 'meal'),
  }
  const clock = (session, seconds) =>
    format(new Date(parseISO(session.start).getTime() + seconds * 1000), 'H:mm')
  for (const line of eatText(core, { house, around, recipes, kitchen, clock, day: flags.day }))
    console.log(line)
  return 0
}

function formats(args) {
  const { files } = parse(args, [])
  if (files.length !== 1) fail(USAGE)
  for (const [name, schema] of Object.entries(core.jsonSchemas()))
    writeFileSync(`${files[0]}/${name}.schema.json`, JSON.stringify(schema, null, 2) + '\n')
  return 0
}

function parse(args, allowed, switches = [], several = []) {
  const of =
    (type, multiple = false) =>
    (name) => [name, { type, multiple }]
  try {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: Object.fromEntries([
        ...allowed.map(of('string')),
        ...switches.map(of('boolean')),
        ...several.map(of('string', true)),
      ]),
    })
    return { files: positionals, flags: values }
  } catch (error) {
    return fail(`${error.message}\n${USAGE}`)
  }
}

function number(flags, name, otherwise) {
  if (flags[name] === undefined) return otherwise
  const value = Number(flags[name])
  if (!Number.isFinite(value) || value < 0) fail(`--${name}: a number from 0 up`)
  return value
}

function whole(flags, name, otherwise, least) {
  const value = flags[name] === undefined ? otherwise : Number(flags[name])
  if (!Number.isSafeInteger(value) || (flags[name] !== undefined && value < least))
    fail(`--${name}: a whole number from ${least} up`)
  return value
}

function readText(file) {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch (error) {
    return fail(`${file}: cannot be read (${error.code ?? error.message}); allowed: a file of text`)
  }
}

function readJson(file) {
  const content = readText(file)
  try {
    return JSON.parse(content)
  } catch (error) {
    fail(`${file}: is not JSON: ${error.message}; allowed: a JSON file`)
  }
}

function unwrap(reading) {
  if (reading.ok) return reading.value
  fail(reading.issues.map((i) => `${i.path}: ${i.message}; allowed: ${i.allowed}`).join('\n'))
}

function write(value, out) {
  const content = JSON.stringify(value, null, 2)
  if (out === undefined) console.log(content)
  else writeFileSync(out, content + '\n')
}

function fail(message) {
  console.error(message)
  process.exit(2)
}

try {
  process.exitCode = await commands[command](rest)
} catch (error) {
  // A fault of ours, in words: a stack helps nobody at the stove.
  console.error(`cadrum ${command} failed, which is a fault of ours: ${error.message}`)
  process.exitCode = 5
}
