import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { instructions } from '../guide'
import { breachText, checkPlan, relaxed, type Plan } from '../plan'
import { solve } from '../solver'
import { compileSession, type CompiledSession } from '../session'
import { problemOf } from '../testing/problemOf'
import { turningsOf } from './acts'
import { startAnew } from './anew'
import { problemLeft } from './asked'
import { compiledNow, sessionNow } from './compiled'
import type { Event } from './events'
import { missingIn } from './missing'
import { doneOf, turnsOf } from './queue'
import { givenUp } from './givenUp'
import { standingAt, type Running } from './standing'
import { notBegun, soonerWithout } from './without'

const begun = { session: demoSession, kitchen: demoKitchen, recipes: demoRecipes }
const demo = compileSession(begun)
if (!demo.ok) throw new Error(JSON.stringify(demo.issues))
const compiled = demo.value
const plan = solve(compiled.problem, { iterations: 60 })
const running = (events: Event[], made: CompiledSession = compiled, by: Plan = plan): Running => ({
  problem: made.problem,
  plan: by,
  lines: instructions(by, made, demoKitchen),
  events,
  links: made.links,
})
let n = 0
const event = (e: object, at = 0): Event => ({ id: `e${n++}`, at: at * 1000, ...e }) as Event
/** A plan of what is left, with every rule kept but for what was broken before. */
function anew(run: Running, now: number): Plan {
  const stand = standingAt(run, now)
  const asked = problemLeft(run, stand)
  const search = startAnew(asked, stand.plan, { iterations: 20 })
  while (search.advance(0));
  const found = search.best()!
  expect(checkPlan(relaxed(asked, found.broken), found.plan).map(breachText)).toEqual([])
  return found.plan
}

describe('a dish that is given up', () => {
  const dish = compiled.dishes.find((d) => !d.base)!.id
  const gone = event({ kind: 'given-up', dish, second: 0 })

  it('wants nobody any more, and the rest is planned without it', () => {
    const run = running([gone])
    const open = turnsOf(run, standingAt(run, 1)).filter((t) => !t.over)
    expect(open.some((t) => t.line.dish === dish)).toBe(false)
    expect(open.length).toBeGreaterThan(20)
    const after = anew(run, 1)
    const own = after.activities.filter((a) => compiled.cards[a.id]?.dish === dish)
    expect(own).toEqual([])
  })

  it('takes along what was only made for it, and nothing that others want', () => {
    const problem = problemOf({
      cooks: [{ id: 'ana' }],
      stations: [],
      activities: ['base', 'pie', 'soup'].map((id) => ({
        id,
        dish: id,
        label: id,
        modes: [{ id: 'm', phases: [{ seconds: [60, 60], hands: {} }] }],
      })),
    })
    const links = ['pie', 'soup'].map((to) => ({ from: 'base', to }))
    const up = (dish: string, second: number) => event({ kind: 'given-up', dish, second })
    expect([...givenUp({ problem, links, events: [up('pie', 5)] }).keys()]).toEqual(['pie'])
    expect(givenUp({ problem, links, events: [up('pie', 5), up('soup', 9)] }).get('base')).toBe(9)
  })

  it('is offered where it gains something, soonest first, and only what has not begun', async () => {
    const run = running([])
    const stand = standingAt(run, 0)
    const open = notBegun(run, stand)
    expect(open.length).toBe(compiled.dishes.filter((d) => !d.base).length)
    const found = await soonerWithout(run, stand, open.slice(0, 4))
    const times = found.map((f) => f.finish)
    expect(times).toEqual([...times].sort((a, b) => a - b))
    expect(times.every((t) => t < plan.makespan)).toBe(true)
    const first = turnsOf(run, stand).find((t) => open.includes(t.line.dish ?? ''))!
    const told = running([event(doneOf(first, { now: first, since: 0 }, 'runa', 600), 600)])
    const after = notBegun(told, standingAt(told, 601))
    expect(after).toEqual(open.filter((d) => d !== first.line.dish))
  })
})

describe('one more dish', () => {
  const { recipe } = demoSession.dishes.find((d) =>
    demoRecipes.find((r) => r.id === d.recipe)!.steps.some((s) => s.takes.length),
  )!
  const more = event({ kind: 'extra', dish: 'extra-1', recipe, batches: 1 })

  it('is a dish of its own, with bases of its own, and changes no other', () => {
    const reading = compiledNow(begun, [more])
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const now = reading.value
    const known = new Map(now.problem.activities.map((a) => [a.id, a]))
    for (const a of compiled.problem.activities) expect(known.get(a.id)).toEqual(a)
    const added = now.dishes.filter((d) => !compiled.dishes.some((o) => o.id === d.id))
    expect(added[0]!.name).toContain('for it')
    expect(added.at(-1)!.name).toContain('once more')
    expect(new Set(now.dishes.map((d) => d.mark)).size).toBe(now.dishes.length)
    expect(sessionNow(begun, []).session.dishes).toEqual(demoSession.dishes)
  })

  it('is planned into what is under way', () => {
    const reading = compiledNow(begun, [more])
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const after = anew(running([more], reading.value), 600)
    const made = new Set(after.activities.map((a) => a.id))
    const steps = reading.value.problem.activities.filter((a) => a.dish === 'extra-1')
    expect(steps.length).toBeGreaterThan(2)
    // Ways that are not taken are not made.
    expect(steps.filter((a) => made.has(a.id)).length).toBeGreaterThan(steps.length / 2)
  })
})

describe('a slow cooker', () => {
  const problem = problemOf({
    cooks: [{ id: 'ana' }],
    stations: [{ id: 'slow', kind: 'slow-cooker' }],
    activities: [
      {
        id: 'braise',
        label: 'braise',
        modes: [
          ['low', 28800],
          ['high', 14400],
        ].map(([id, seconds]) => ({
          id: id as string,
          needs: [{ kind: 'slow-cooker' }],
          phases: [{ seconds: [seconds as number, (seconds as number) + 600] as [number, number] }],
        })),
      },
    ],
    pins: [{ activity: 'braise', mode: 'low' }],
  })
  const slow = solve(problem, { iterations: 10 })
  const run = (events: Event[]): Running => ({ problem, plan: slow, lines: [], events, links: [] })

  it('that is turned from low to high is done with what is left in the time of high', () => {
    const stand = standingAt(run([]), 14400)
    const [way, ...more] = turningsOf({ problem, plan: stand.plan }, 'braise', 14400)
    // Half of it is done: half of the four hours of high is left.
    expect([way, more]).toEqual([
      { activity: 'braise', phase: 0, mode: 'high', until: 14400 + 7200 },
      [],
    ])
    const turned = run([event({ kind: 'turned', second: 14400, ...way! }, 14400)])
    const after = standingAt(turned, 14401)
    expect(after.finish).toBe(21600)
    const asked = { ...problemLeft(turned, after), pins: [] }
    const search = startAnew(asked, after.plan, { iterations: 5 })
    while (search.advance(0));
    expect(search.best()!.plan.activities[0]).toMatchObject({ mode: 'high', end: 21600 })
  })
})

it('what is to go on for longer is planned for so long', () => {
  const alone = plan.activities.find((a) => {
    const mode = compiled.problem.activities.find((x) => x.id === a.id)!.modes[0]!
    return a.phases.length === 1 && !mode.phases[0]!.hands && a.end - a.start > 600
  })!
  const [now, until] = [alone.start + 60, alone.end + 900]
  const run = running([event({ kind: 'more', activity: alone.id, phase: 0, until })])
  expect(anew(run, now).activities.find((a) => a.id === alone.id)!.end).toBeGreaterThanOrEqual(
    until,
  )
})

it('what is missing is known by its food, in the lines of its dish only', () => {
  const line = { dish: 'pie', amounts: ['400 g leeks', '200 ml double cream'] }
  const gone = event({ kind: 'missing', dish: 'pie', item: 'double cream', instead: 'milk' })
  expect([...missingIn(line, [gone])]).toEqual([[1, 'milk']])
  expect(missingIn({ ...line, dish: 'soup' }, [gone]).size).toBe(0)
})
