import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { compileSession } from '../session'
import { solve } from '../solver'
import { cookThrough } from './cooked.fixture'
import type { Event } from './events'
import { learnFrom, withLearned } from './learn'
import { recordOf, recordSchema, type CookedRecord } from './record'
import { reportOf, reportTable } from './report'

const compile = (kitchen = demoKitchen) => {
  const reading = compileSession({ session: demoSession, kitchen, recipes: demoRecipes })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
const compiled = compile()
const plan = solve(compiled.problem, { iterations: 40 })
const recorded = (events: Event[]): CookedRecord =>
  recordOf({
    cooking: { session: demoSession.id, startedAt: 0, events, plans: [{ plan }] },
    session: demoSession,
    kitchen: demoKitchen,
    compiled,
    endedAt: 20_000_000,
  })
const cooked = cookThrough(compiled, plan, { seed: 5, mishaps: 0.06, kitchen: demoKitchen })
const record = recorded(cooked.events)

describe('the record of a session', () => {
  it('is read as it was written', () => {
    expect(recordSchema.parse(JSON.parse(JSON.stringify(record)))).toEqual(record)
  })

  it('adds up to the second for everybody', () => {
    const report = reportOf(record)
    expect(report.real).toBeGreaterThan(3600)
    expect(report.planned).toBe(plan.makespan)
    for (const p of report.people) {
      const works = p.works.reduce((sum, w) => sum + w.seconds, 0)
      expect(works + p.paused + p.waiting).toBe(report.real)
      expect(p.waiting).toBeGreaterThanOrEqual(0)
    }
    // Every dish has an end, and the last of them is the end of all but what is put away.
    const ends = report.dishes.filter((d) => d.real !== undefined).map((d) => d.real!)
    expect(ends.length).toBe(report.dishes.length)
    expect(Math.max(...ends)).toBeLessThanOrEqual(report.real)
  })

  it('has no end for a dish that was left before it was done', () => {
    const half = recorded(cooked.events.slice(0, 40))
    const ended = reportOf(half).dishes.filter((d) => d.real !== undefined)
    expect(ended.length).toBeLessThan(reportOf(record).dishes.length)
  })

  it('says what came out otherwise than planned', () => {
    const [dish, other] = record.dishes
    const changed: CookedRecord = {
      ...record,
      cooking: {
        ...record.cooking,
        events: [
          ...record.cooking.events,
          { id: 'x1', at: 60_000, kind: 'given-up', dish: dish!.id, second: 60 },
          { id: 'x2', at: 90_000, kind: 'missing', dish: other!.id, item: 'leeks', instead: '' },
        ],
      },
    }
    expect(reportOf(record).changes).toEqual([])
    expect(reportOf(changed).changes).toEqual([
      { at: 60, kind: 'given-up', dish: dish!.name },
      { at: 90, kind: 'missing', dish: other!.name, food: 'leeks', instead: '' },
    ])
  })

  it('is a table with a line for each thing that was done', () => {
    const [head, ...rows] = reportTable(record).split('\n')
    expect(head).toContain('planned seconds,real seconds')
    expect(rows.length).toBe(reportOf(record).pieces.length)
    expect(rows.some((r) => r.includes(',Runa,'))).toBe(true)
  })
})

/** Records in which everything told was done exactly so much slower or quicker than planned. */
const paced = (factor: (cook: string, work: string) => number, forgotten = 0): CookedRecord => {
  const even = cookThrough(compiled, plan, { seed: 1, noise: 0, kitchen: demoKitchen })
  const works = new Map(Object.entries(compiled.cards).map(([id, c]) => [id, c.work]))
  let n = 0
  return recorded(
    even.events.map((e): Event => {
      if (e.kind !== 'done' || e.activity === undefined) return e
      const real = (e.to - e.from) * factor(e.cook!, works.get(e.activity)!)
      return { ...e, to: Math.round(e.from + (n++ < forgotten ? 40 * real : real)) }
    }),
  )
}

describe('what is learned', () => {
  const slowAtCutting = (_: string, work: string) => (work === 'cut' ? 1.35 : 0.9)

  it('is how each person compares with what was planned, drawn to it while little is known', () => {
    const once = learnFrom([paced(slowAtCutting)])
    const cut = (list: typeof once) => list.find((l) => l.cook === 'runa' && l.work === 'cut')!
    expect(cut(once).factor).toBeGreaterThan(1.1)
    expect(cut(once).factor).toBeLessThan(1.35)
    const five = learnFrom(Array.from({ length: 5 }, () => paced(slowAtCutting)))
    expect(cut(five).factor).toBeGreaterThan(cut(once).factor)
    expect(Math.abs(cut(five).factor - 1.35)).toBeLessThan(0.05)
    // Where everything took alike, single pieces lie close together; where one forgets, not all.
    const between = (records: CookedRecord[]) =>
      withLearned(demoKitchen, learnFrom(records))
        .people.find((p) => p.id === 'runa')!
        .learned!.find((l) => l.work === 'cut')!.between!
    const [low, high] = between([paced(slowAtCutting)])
    expect(high - low).toBeLessThan(10)
    const half = { ...paced(() => 2), id: 'another' }
    const [from, to] = between([paced(() => 1), half])
    expect(to - from).toBeGreaterThan(40)
    expect(cut(five).pieces).toBe(5 * cut(once).pieces)
  })

  it('is not led astray by a forgotten timer', () => {
    const even = learnFrom([paced(slowAtCutting), paced(slowAtCutting)])
    const forgot = learnFrom([paced(slowAtCutting, 4), paced(slowAtCutting)])
    for (const l of forgot) {
      const before = even.find((x) => x.cook === l.cook && x.work === l.work)!
      expect(Math.abs(l.factor / before.factor - 1)).toBeLessThan(0.12)
    }
  })

  it('counts no pause, and forgets what no session in the logbook teaches any more', () => {
    const even = paced(() => 1)
    const [long] = even.cooking.events
      .filter((e) => e.kind === 'done' && e.to - e.from >= 300)
      .toReversed()
    if (long?.kind !== 'done') throw new Error('nothing long was done')
    const { from } = long
    const middle = (from + long.to) / 2
    const paused = {
      ...even,
      cooking: {
        ...even.cooking,
        events: [
          ...even.cooking.events.map((e) => (e === long ? { ...e, to: e.to + 900 } : e)),
          { id: 'p', at: middle * 1000, kind: 'paused' as const },
          { id: 'r', at: (middle + 900) * 1000, kind: 'resumed' as const },
        ],
      },
    }
    const real = (r: CookedRecord) => reportOf(r).pieces.find((p) => p.event === long.id)!.real
    expect(real(paused)).toBe(real(even))
    const taught = withLearned(demoKitchen, learnFrom([even]))
    expect(taught.people.some((p) => p.learned?.length)).toBe(true)
    expect(withLearned(taught, [])).toEqual(demoKitchen)
  })

  it('goes into the next plan, and not where it is refused', () => {
    const learned = learnFrom(Array.from({ length: 6 }, () => paced(slowAtCutting)))
    const kitchen = withLearned(demoKitchen, learned)
    const cuts = (of: ReturnType<typeof compile>) =>
      of.problem.activities
        .filter((a) => of.cards[a.id]!.work === 'cut')
        .reduce((sum, a) => sum + a.modes[0]!.phases[0]!.seconds[0], 0)
    expect(cuts(compile(kitchen)) / cuts(compiled)).toBeCloseTo(1.33, 1)
    const refused = {
      ...kitchen,
      people: kitchen.people.map((p) => ({
        ...p,
        ...(p.learned ? { learned: p.learned.map((l) => ({ ...l, refused: true as const })) } : {}),
      })),
    }
    expect(cuts(compile(refused))).toBe(cuts(compiled))
    expect(withLearned(refused, learned).people).toEqual(refused.people)
  })

  it('does not count twice what a plan knew already', () => {
    const kitchen = withLearned(demoKitchen, learnFrom([paced(slowAtCutting)]))
    const known = compile(kitchen)
    const card = Object.values(known.cards).find((c) => c.work === 'cut')!
    expect(card.learned).toBeGreaterThan(1.05)
    const next = paced(() => 1)
    const told = {
      ...next,
      steps: next.steps.map((s) => ({ ...s, learned: known.cards[s.activity]?.learned ?? 1 })),
    }
    const cut = learnFrom([told, told, told, told]).find((l) => l.work === 'cut')!
    // The plan was right with what it had learned: that stays, as far as it has been seen so often.
    expect(cut.factor).toBeGreaterThan(1 + (card.learned! - 1) * 0.7)
  })
})
