import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { weekend } from '../core/session/sittings/weekend.fixture'
import { packed } from '../core/packing/packs.fixture'
import { demoHousehold, demoKitchen, demoRecipes, demoSession } from '../demo'

const folder = mkdtempSync(join(tmpdir(), 'cadrum-'))
const example = (name: string) =>
  new URL(`../core/plan/check/example/${name}.json`, import.meta.url).pathname
const run = (...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [new URL('./cadrum.mjs', import.meta.url).pathname, ...args],
    { encoding: 'utf8' },
  )
  return { status, stdout, stderr }
}
const file = (name: string, value: unknown) => {
  const path = join(folder, name)
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value))
  return path
}

/** The demo household with so many of its dishes, as a session file. */
const sessionFile = (dishes: number) => ({
  format: 'cadrum/session-file@1',
  session: { ...demoSession, dishes: demoSession.dishes.slice(-dishes) },
  kitchen: demoKitchen,
  recipes: demoRecipes,
})

describe('the command line', () => {
  it('plans every sitting and evening of a session into a folder, each checked by itself', () => {
    const out = join(folder, 'weekend')
    const made = run('plan', file('weekend.json', weekend()), '--iterations', '60', '--out', out)
    expect(made.stderr).toBe('')
    expect(made.status).toBe(0)
    const read = (name: string) => JSON.parse(readFileSync(join(out, name), 'utf8'))
    const all = read('sittings.json') as {
      sittings: { id: string; kind: string; minutes: number; files: string }[]
      minutes: number
      least: number
    }
    expect(all.sittings.slice(0, 2).map((s) => [s.id, s.kind])).toEqual([
      ['sitting-1', 'cooking'],
      ['main', 'cooking'],
    ])
    expect(all.sittings.slice(2).every((s) => s.kind === 'evening')).toBe(true)
    expect(all.least).toBeGreaterThan(0)
    expect(all.least).toBeLessThanOrEqual(all.minutes)
    for (const { files } of all.sittings) {
      const [problem, plan] = ['problem', 'plan'].map((x) => join(out, `${files}.${x}.json`))
      expect(run('check', problem!, plan!)).toMatchObject({ status: 0, stdout: '' })
      // The list is that of the session file beside it.
      const list = run('list', join(out, `${files}.session.json`), plan!)
      expect(list.stdout.trim()).toBe(readFileSync(join(out, `${files}.list.txt`), 'utf8').trim())
    }
    expect(readFileSync(join(out, '01-sitting-1.list.txt'), 'utf8')).toContain(
      'it goes on by itself until Saturday 9:00',
    )
    expect(run('plan', join(folder, 'weekend.json')).stderr).toContain('--out: a folder')
  }, 60_000)

  it('makes a session of several sittings, or says what is wrong with one', () => {
    const recipe = file(
      'soup.txt',
      'Soup\nServes 4\n\n600 g carrots\n\nDice the carrots. Simmer for 20 minutes.',
    )
    const make = (...more: string[]) =>
      run(
        'session',
        '--kitchen',
        'one-oven-four-burners',
        recipe,
        '--start',
        '2027-05-01T09:00',
        ...more,
      )
    const made = make(
      '--sitting',
      '2027-04-30T19:00/90',
      '--evening',
      '2027-05-02',
      '--eaters',
      '4',
    )
    const { session } = JSON.parse(made.stdout) as { session: Record<string, unknown> }
    expect(session.sittings).toMatchObject([{ start: '2027-04-30T19:00', limit: 90 }])
    expect(session.evenings).toMatchObject([{ day: '2027-05-02', eaters: 4 }])
    expect(session.dishes).toMatchObject([{ on: ['2027-05-02'] }])
    expect(make('--sitting', 'yesterday')).toMatchObject({ status: 2 })
    expect(make('--sitting', 'yesterday').stderr).toContain('session.sittings[0].start')
  })

  it('says what is to be bought, what it costs, and what is written on the boxes', () => {
    const session = file('to-buy.json', sessionFile(2))
    const stock = file('stock.txt', '6 eggs\n')
    const prices = file('prices.csv', 'item,amount,unit,price\neggs,6,piece,2.10\n')
    const bought = run('shop', session, '--stock', stock, '--prices', prices)
    expect(bought.stderr).toBe('')
    expect(bought.stdout).toMatch(/Milk, cheese and eggs\n- 2 × 500 ml buttermilk\n- 6 eggs\n/)
    expect(bought.stdout).toMatch(/total: at least 2\.10\nno price is known of: .*buttermilk/)
    const { lines } = JSON.parse(run('shop', session, '--stock', stock, '--json').stdout) as {
      lines: { item: string; used: number; stock: number; bought: number; left: number }[]
    }
    for (const l of lines) expect(l.bought + l.stock).toBeCloseTo(l.used + l.left, 3)
    expect(lines.find((l) => l.item === 'eggs')).toMatchObject({ used: 12, stock: 6, bought: 6 })
    const labels = run('labels', session)
    expect(labels.stdout).toMatch(/Soda bread\n8 portions · freezer\ncooked Sat 20 Mar 2027/)
    const wrong = run('shop', session, '--prices', file('prices.txt', '500 g oats\n'))
    expect(wrong.status).toBe(2)
    expect(wrong.stderr).toContain('prices[1].cost: "" is no price; allowed:')
  })

  it('tells the evenings out of what is packed', () => {
    const household = {
      ...demoHousehold(),
      packs: ['2027-03-22', '2027-03-23'].map((on) =>
        packed('squash-soup', 3, { id: `soup-${on}`, name: 'Squash soup', place: 'freezer', on }),
      ),
    }
    const from = file('household.json', household)
    const told = run('eat', from, '--today', '2027-03-20')
    expect(told.stderr).toBe('')
    expect(told.stdout).toMatch(/2027-03-22, 3 eat: .*soup × 3\n {2}18:\d\d {2}/)
    expect(told.stdout).toMatch(/Out of the freezer into the fridge for tomorrow: Squash/)
    expect(told.stdout).toMatch(/2027-03-24, 3 eat: nothing; 3 go short/)
    const day = run('eat', from, '--today', '2027-03-20', '--day', '2027-03-23')
    expect(day.stdout.match(/ eat: /g)).toHaveLength(1)
    expect(run('eat', from, '--day', 'soon').stderr).toContain('"soon" is no day; allowed:')
    expect(run('eat', file('bare.json', demoHousehold())).stderr).toContain('nothing is packed')
  })

  it('keeps to an earlier plan, and says what that costs', () => {
    const out = join(folder, 'earlier.json')
    run('plan', example('problem'), '--iterations', '50', '--out', out)
    const again = run('plan', example('problem'), '--iterations', '20', '--previous', out)
    const { makespan } = JSON.parse(readFileSync(out, 'utf8')) as { makespan: number }
    expect(again.status).toBe(0)
    expect(again.stderr).toBe(`as planned before: ${makespan} s; this plan changes 0 steps of it\n`)
    expect(run('plan', example('problem'), '--previous', example('problem')).status).toBe(2)
  })

  it('plans, and its own check passes', () => {
    const out = join(folder, 'plan.json')
    expect(run('plan', example('problem'), '--iterations', '50', '--out', out)).toEqual({
      status: 0,
      stdout: '',
      stderr: '',
    })
    expect(run('check', example('problem'), out)).toEqual({ status: 0, stdout: '', stderr: '' })
    const again = JSON.parse(run('plan', example('problem'), '--iterations=50').stdout) as object
    expect(again).toEqual(JSON.parse(readFileSync(out, 'utf8')))
  })

  it('plans the same whatever is left of what the compiler made before, and keeps it anew', () => {
    const problem = join(folder, 'seven.json')
    expect(
      run('compile', file('seven.session.json', sessionFile(7)), '--out', problem).status,
    ).toBe(0)
    const plan = () => run('plan', problem, '--iterations', '20')
    const first = plan()
    const cache = new URL('../node_modules/.cache/cadrum/', import.meta.url).pathname
    const kept = readdirSync(cache)
      .filter((f) => f.endsWith('.cjs'))
      .map((f) => join(cache, `${f}.plan`))
    for (const path of kept) writeFileSync(path, 'no code')
    expect(plan()).toEqual(first)
    expect(first.status).toBe(0)
    run('plan', problem, '--seconds', '2')
    expect(Math.max(...kept.map((path) => statSync(path).size))).toBeGreaterThan(100_000)
  })

  it('plans on two threads that share what they find, and the check passes', () => {
    const problem = join(folder, 'problem.json')
    expect(run('compile', file('session.json', sessionFile(3)), '--out', problem).status).toBe(0)
    const out = join(folder, 'shared.json')
    const planned = run('plan', problem, '--seconds', '4', '--threads', '2', '--out', out)
    expect(planned.stderr).toBe('')
    expect(planned.status).toBe(0)
    expect(run('check', problem, out).status).toBe(0)
    const refused = run('plan', problem, '--iterations', '9', '--threads', '2')
    expect([refused.status, refused.stderr]).toEqual([2, expect.stringContaining('--threads')])
  })

  it('reads a recipe text, with each step’s minutes, heat, equipment, work and doubts', () => {
    const text = 'Pie\n\n500 g leeks\n\nSlice the leeks. Bake at 350F for 30-35 minutes.'
    const read = JSON.parse(run('read', file('pie.txt', text)).stdout) as { steps: object[] }
    expect(read.steps).toMatchObject([
      { work: 'cut', equipment: ['board'], hygiene: 'produce', celsius: null },
      { work: 'bake', minutes: [30, 35], celsius: 177, equipment: ['oven', 'tray'] },
    ])
    const known = JSON.parse(run('read', file('own.json', demoRecipes[0]!)).stdout) as {
      steps: object[]
    }
    expect(known.steps).toHaveLength(demoRecipes[0]!.steps.length)
    expect(run('read', file('empty.txt', '')).status).toBe(2)
  })

  it('names each breach on a line and exits with 1', () => {
    const plan = JSON.parse(readFileSync(example('plan'), 'utf8')) as { chores: unknown[] }
    plan.chores = []
    const checked = run('check', example('problem'), file('bad.json', plan))
    expect(checked.status).toBe(1)
    expect(checked.stdout.trim().split('\n')).toHaveLength(1)
    expect(checked.stdout).toMatch(/^rule 6: loaf-pack/)
  })

  it('exits with 2 for unusable input, a line each with path, what and allowed', () => {
    const broken = run(
      'plan',
      file('broken.json', { format: 'cadrum/problem@1', name: 'x', colour: 1 }),
    )
    expect(broken.status).toBe(2)
    for (const line of broken.stderr.trim().split('\n'))
      expect(line).toMatch(/^\w+: .+; allowed: .+/)
    expect(run('plan', file('text.json', 'not json')).status).toBe(2)
    expect(run('plan', join(folder, 'nothing.json')).status).toBe(2)
    expect(run('plan').status).toBe(2)
    expect(run('plan', example('problem'), '--speed', '9').status).toBe(2)
    expect(run('plan', example('problem'), '--seconds', 'soon').status).toBe(2)
    expect(run('dance').status).toBe(2)
  })

  it('exits with 3 where it is infeasible, with the reasons', () => {
    const problem = JSON.parse(readFileSync(example('problem'), 'utf8')) as { deadline: number }
    problem.deadline = 1000
    const refused = run('plan', file('tight.json', problem), '--seconds', '1')
    expect(refused.status).toBe(3)
    expect(refused.stderr).toMatch(/deadline/)
  })

  it('says what would break where no plan turns up, and never ends in silence', () => {
    const pan = file(
      'pan.txt',
      'Hash\nServes 4\n\n1 kg beef mince\n500 g cabbage\n2 tbsp oil\n\nHeat the oil in a big pot, fry the cabbage for 4 minutes and then fry it for 22 minutes. Brown the mince in a separate frying pan in 3 batches, 8 minutes a batch, then add it to the cabbage and fry for 2 minutes.',
    )
    const made = run('session', '--kitchen', 'one-oven-four-burners', pan)
    const problem = run('compile', file('pan.json', JSON.parse(made.stdout)))
    const planned = run('plan', file('hash.json', JSON.parse(problem.stdout)), '--seconds', '1')
    expect([3, 4]).toContain(planned.status)
    expect(planned.stderr).toMatch(
      /comes nearest breaks:\n {2}"hash\.[a-z0-9-]+" comes \d+ s too long after/,
    )
  })

  it('makes a session of a recipe, beginning at nine tomorrow where nothing else is said', () => {
    const recipe = file(
      'soup.txt',
      'Soup\nServes 2\n\n500 g leeks\n\nSlice the leeks. Simmer for 20 minutes.',
    )
    const made = run('session', '--kitchen', 'one-oven-four-burners', recipe)
    expect([made.status, made.stderr]).toEqual([0, ''])
    const { session } = JSON.parse(made.stdout) as { session: { start: string } }
    expect(session.start).toMatch(/^\d{4}-\d\d-\d\dT09:00$/)
  })

  it('rehearses a plan, in words and for other programs, and says what it cannot follow', () => {
    const plan = join(folder, 'followed.json')
    run('plan', example('problem'), '--iterations', '50', '--out', plan)
    const { makespan } = JSON.parse(readFileSync(plan, 'utf8')) as { makespan: number }
    const still = run('rehearse', example('problem'), plan, '--runs', '3', '--noise', '0', '--json')
    expect([still.status, still.stderr]).toEqual([0, ''])
    const told = JSON.parse(still.stdout) as { quantiles: Record<string, number> }
    expect(Object.values(told.quantiles)).toEqual([1, 2, 3, 4, 5].map(() => makespan))
    const words = run('rehearse', example('problem'), plan, '--runs', '50')
    expect(words.stdout).toMatch(
      /^planned \d+ s; 50 runs, follow\n10 % of runs are finished by \d+ s/,
    )
    const later = file('later.json', {
      ...(JSON.parse(readFileSync(plan, 'utf8')) as object),
      makespan: makespan + 1,
    })
    for (const [args, said] of [
      [[plan, '--policy', 'dance'], 'allowed: follow, replan, distracted'],
      [[plan, '--runs', '0'], 'a whole number from 1 up'],
      [[plan, '--runs', '2000', '--policy', 'replan'], 'at most 1000 with the policy replan'],
      [[later], 'only a plan that keeps them can be followed'],
    ] as const) {
      const refused = run('rehearse', example('problem'), ...args)
      expect([refused.status, refused.stderr.includes(said)]).toEqual([2, true])
    }
  })

  it('compiles a session file into a problem', () => {
    const session = file('session.json', {
      format: 'cadrum/session-file@1',
      session: demoSession,
      kitchen: demoKitchen,
      recipes: demoRecipes,
    })
    const out = join(folder, 'problem.json')
    expect(run('compile', session, '--out', out).status).toBe(0)
    expect(JSON.parse(readFileSync(out, 'utf8'))).toMatchObject({ format: 'cadrum/problem@1' })
  })
})
