import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { kitchenSchema, USUAL_RULES, type HouseRules, type Kitchen, type Person } from '../kitchen'
import { breachText, checkPlan } from '../plan'
import { lawOf } from '../recipe'
import { solve } from '../solver'
import { compileSession } from './compile'
import { standingOf } from './houseRules'
import { absences, paceFor } from './people'

const session = { ...demoSession, dishes: demoSession.dishes.slice(0, 4) }
const kitchenWith = (rules: Partial<HouseRules>): Kitchen => ({
  ...demoKitchen,
  rules: { ...USUAL_RULES, ...rules },
})
function compiled(kitchen: Kitchen, of = session) {
  const reading = compileSession({ session: of, kitchen, recipes: demoRecipes })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
function planned(kitchen: Kitchen, of = session) {
  const c = compiled(kitchen, of)
  const plan = solve(c.problem, { iterations: 30 })
  expect(checkPlan(c.problem, plan).map(breachText)).toEqual([])
  expect(plan.activities.length).toBeGreaterThan(0)
  return { ...c, plan }
}
const works = (c: ReturnType<typeof planned>, test: (work: string) => boolean) =>
  c.plan.activities.filter((a) => test(c.cards[a.id]!.work))
const waitsForNothing = (c: ReturnType<typeof planned>, id: string) => {
  const card = c.cards[id]!
  const step = demoRecipes.find((r) => r.id === card.dish)?.steps.find((s) => s.id === card.step)
  return step !== undefined && !step.after.length && !step.takes.length
}

describe('the rules of the house', () => {
  it('cut everything first: nothing cooks before the last free cut is done', () => {
    const c = planned(kitchenWith({ cutting: 'first' }))
    const cuts = works(c, (w) => w === 'cut').filter((a) => waitsForNothing(c, a.id))
    const cooking = works(c, (w) => lawOf(w as 'cut').attend !== 'hands')
    expect(cuts.length).toBeGreaterThan(1)
    expect(Math.min(...cooking.map((a) => a.start))).toBeGreaterThanOrEqual(
      Math.max(...cuts.map((a) => a.end)),
    )
    // The usual rules do not.
    const usual = planned(demoKitchen)
    const first = Math.min(
      ...works(usual, (w) => lawOf(w as 'cut').attend !== 'hands').map((a) => a.start),
    )
    expect(first).toBeLessThan(Math.max(...works(usual, (w) => w === 'cut').map((a) => a.end)))
  })

  it('cut just before: what is cut is used within a quarter of an hour', () => {
    const c = planned(kitchenWith({ cutting: 'just-before' }))
    const at = new Map(c.plan.activities.map((a) => [a.id, a]))
    let seen = 0
    for (const r of c.problem.relations) {
      const [from, to] = [at.get(r.from), at.get(r.to)]
      if (!from || !to || r.max !== 900 || c.cards[r.from]!.work !== 'cut') continue
      seen++
      expect(to.start - from.end).toBeLessThanOrEqual(900)
    }
    expect(seen).toBeGreaterThan(0)
  })

  it('raw last: no free cut of anything else after raw food was handled', () => {
    const c = planned(kitchenWith({ raw: 'last' }))
    const raw = works(c, (w) => w === 'season' || w === 'shape')
    expect(raw.length).toBeGreaterThan(0)
    const cuts = works(c, (w) => w === 'cut').filter((a) => waitsForNothing(c, a.id))
    for (const a of cuts) expect(a.end).toBeLessThanOrEqual(Math.min(...raw.map((r) => r.start)))
  })

  it('pans at the end: none is washed, and too few of them are named', () => {
    const kitchen = kitchenWith({ pans: 'next-clean' })
    const reading = compileSession({ session: demoSession, kitchen, recipes: demoRecipes })
    expect(reading.ok).toBe(false)
    if (!reading.ok)
      expect(reading.issues.map((i) => i.message).join()).toMatch(
        /pans are left until the end, and \d dishes want a (?:pot|frying pan)/,
      )
    const few = { ...demoSession, dishes: [{ recipe: 'squash-soup', batches: 1 }] }
    const c = compiled(kitchen, few)
    const plan = solve(c.problem, { iterations: 30 })
    expect(checkPlan(c.problem, plan).map(breachText)).toEqual([])
    const pans = new Set(kitchen.stations.filter((s) => s.zone === 'vessel').map((s) => s.id))
    expect(plan.activities.length).toBeGreaterThan(0)
    expect(plan.chores.filter((x) => pans.has(x.station))).toEqual([])
  })

  it('a hot kitchen: a shared base stands an hour, not two', () => {
    const longest = (kitchen: Kitchen) =>
      Math.max(
        ...compiled(kitchen).problem.relations.flatMap((r) =>
          r.from.startsWith('soft-onions.') && r.to.startsWith('braised') ? [r.max ?? 0] : [],
        ),
      )
    expect([longest(demoKitchen), longest(kitchenWith({ hot: true }))]).toEqual([7200, 3600])
  })
})

describe('a strict house', () => {
  const strict = kitchenSchema.parse({
    ...demoKitchen,
    rules: { ...USUAL_RULES, cautions: 'strict' },
  })

  it('washes hands for a minute after raw food and lets nothing cooked stand beyond an hour', () => {
    const { problem } = compiled(strict)
    expect(problem.hygiene.raw).toMatchObject({ produce: 60, ready: 60, neutral: 60 })
    expect(problem.hygiene.produce).toEqual(compiled(demoKitchen).problem.hygiene.produce)
    expect(standingOf(strict.rules!)).toBe(3600)
    expect(standingOf(USUAL_RULES)).toBe(7200)
    // Pork and soup both want the only pot that is large enough, an hour from when the onions are soft.
    const dishes = session.dishes.filter((d) => d.recipe !== 'squash-soup')
    expect(planned(strict, { ...session, dishes }).plan.activities.length).toBeGreaterThan(0)
  })
})

describe('people', () => {
  const runa = demoKitchen.people[0]!
  it('are away by the clock, on each day of the session', () => {
    const person: Person = {
      ...runa,
      from: '08:00',
      until: '18:00',
      away: [
        { from: '12:00', to: '13:00' },
        { from: '12:30', to: '14:00' },
      ],
    }
    const h = 3600
    expect(absences(person, '2027-03-20T09:00').slice(0, 3)).toEqual([
      [3 * h, 5 * h],
      [9 * h, 23 * h],
      [27 * h, 29 * h],
    ])
    expect(absences(runa, '2027-03-20T09:00')).toEqual([])
  })

  it('do nothing while they are away', () => {
    const kitchen = kitchenSchema.parse({
      ...demoKitchen,
      people: demoKitchen.people.map((p) =>
        p.id === 'runa' ? { ...p, away: [{ from: '09:30', to: '10:30' }] } : p,
      ),
    })
    const c = planned(kitchen)
    const busy = c.plan.activities.flatMap((a) => a.phases.filter((p) => p.cook === 'runa'))
    expect(busy.length).toBeGreaterThan(0)
    for (const p of busy) expect(p.to <= 1800 || p.from >= 5400).toBe(true)
  })

  it('at half the pace take twice as long for hands work, and the oven does not', () => {
    const slow = { ...demoKitchen, people: demoKitchen.people.map((p) => ({ ...p, pace: 200 })) }
    const seconds = (kitchen: Kitchen, id: string) => {
      const a = compiled(kitchen).problem.activities.find((x) => x.id === id)!
      return a.modes[0]!.phases.map((p) => p.seconds[0])
    }
    const mine = compiled(demoKitchen)
    const mix = mine.problem.activities.find((a) => mine.cards[a.id]!.work === 'assemble')!.id
    const bake = mine.problem.activities.find((a) => mine.cards[a.id]!.work === 'bake')!.id
    expect(seconds(slow, mix)).toEqual(seconds(demoKitchen, mix).map((s) => 2 * s))
    expect(seconds(slow, bake)).toEqual(seconds(demoKitchen, bake))
  })

  it('count with the mean pace of those who have the skill', () => {
    const of = (pace: number, skills: Person['skills']): Person => ({ ...runa, pace, skills })
    const cooks = [of(100, ['knife', 'simple']), of(140, ['knife']), of(300, ['simple'])]
    expect(paceFor(cooks, ['knife'])).toBeCloseTo(1.2)
    expect(paceFor(cooks, ['knife', 'simple'])).toBeCloseTo(1)
    expect(paceFor(cooks, ['raw'])).toBe(1)
  })
})
