import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { checkPlan, type ActivityRun, type Plan } from '../plan'
import { solve } from '../solver'
import { compileSession } from './compile'
import { withChanged } from './sittings'
import { MAIN, sessionSchema, type Session } from './schema'
import { wishSchema, type Wish } from './wishes'

const compiledWith = (wishes: Wish[], change: Partial<Session> = {}) => {
  const session = sessionSchema.parse({ ...demoSession, ...change, wishes })
  const reading = compileSession({ session, kitchen: demoKitchen, recipes: demoRecipes })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
const base = compiledWith([])
const plan = solve(base.problem, { iterations: 60 })
const planWith = (...wishes: Wish[]): Plan => {
  const { problem, idle } = compiledWith(wishes)
  expect(idle).toEqual([])
  const found = solve(problem, { iterations: 60, previous: plan })
  expect(found.activities.length).toBeGreaterThan(0)
  expect(checkPlan(problem, found)).toEqual([])
  // What the cook wants makes nothing possible that was not.
  if (!wishes.some((w) => w.kind === 'takes' || w.kind === 'elsewhere'))
    expect(checkPlan(base.problem, found)).toEqual([])
  return found
}
const runOf = (p: Plan, id: string): ActivityRun => p.activities.find((r) => r.id === id)!
const clock = (seconds: number) => {
  const began = Number(demoSession.start.slice(11, 13)) * 60 + Number(demoSession.start.slice(14))
  const at = began + Math.ceil(seconds / 60)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${demoSession.start.slice(0, 10)}T${two(Math.floor(at / 60))}:${two(at % 60)}`
}
/** Steps of somebody's hands with the largest part of the session before them. */
const hands = base.problem.activities.filter(
  (a) => a.modes[0]!.phases[0]!.hands && !a.aside && (runOf(plan, a.id)?.start ?? 0) > 600,
)

describe('what the cook wants', () => {
  it('is kept: no sooner, before another, together, by whom', () => {
    const [a, b] = [hands[0]!, hands.find((h) => h.dish !== hands[0]!.dish)!]
    const later = runOf(plan, a.id).start + 900
    const at = planWith({ kind: 'at', step: a.id, from: clock(later) })
    expect(runOf(at, a.id).start).toBeGreaterThanOrEqual(later)
    const [first, second] = [a, b].sort((x, y) => runOf(plan, y.id).start - runOf(plan, x.id).start)
    const before = planWith({ kind: 'before', step: first!.id, other: second!.id })
    expect(runOf(before, first!.id).end).toBeLessThanOrEqual(runOf(before, second!.id).start)
    const together = planWith({ kind: 'together', step: a.id, other: b.id })
    expect(runOf(together, a.id).start).toBe(runOf(together, b.id).start)
    const other = runOf(plan, a.id).phases[0]!.cook === 'runa' ? 'teo' : 'runa'
    const by = planWith({ kind: 'by', step: a.id, cook: other })
    expect(runOf(by, a.id).phases[0]!.cook).toBe(other)
  })

  it('is kept: anywhere but here, for so long, hands and places free', () => {
    const used = plan.activities.find((r) => r.stations.length && r.start > 1200)!
    const elsewhere = planWith({ kind: 'elsewhere', step: used.id, place: used.stations[0]! })
    expect(runOf(elsewhere, used.id).stations).not.toContain(used.stations[0])
    const [step] = hands
    const takes = planWith({ kind: 'takes', step: step!.id, minutes: 23 })
    const run = runOf(takes, step!.id)
    expect(run.end - run.start).toBeGreaterThanOrEqual(23 * 60)
    const free = planWith({ kind: 'free', cook: 'runa', from: clock(3600), until: clock(4500) })
    const hers = free.activities.flatMap((r) => r.phases.filter((p) => p.cook === 'runa'))
    for (const p of hers) expect(p.to <= 3600 || p.from >= 4500).toBe(true)
    const oven = plan.heats[0]!.station
    const closed = planWith({ kind: 'closed', place: oven, from: clock(0), until: clock(1800) })
    for (const r of closed.activities)
      if (r.stations.includes(oven)) expect(r.start).toBeGreaterThanOrEqual(1800)
  })

  it('makes nothing shorter than its recipe says, and lets nothing stand about for longer', () => {
    for (const a of base.problem.activities) {
      const work = base.cards[a.id]?.work
      if (!work) continue
      const least = (p: typeof base.problem) =>
        p.activities
          .find((x) => x.id === a.id)!
          .modes.map((m) => m.phases.reduce((n, ph) => n + ph.seconds[0], 0))
      const short = compiledWith([{ kind: 'takes', step: a.id, minutes: 0.5 }])
      for (const [k, seconds] of least(short.problem).entries())
        expect(seconds).toBe(least(base.problem)[k])
      const long = compiledWith([{ kind: 'takes', step: a.id, minutes: 600 }])
      if (['cool', 'rest', 'chill'].includes(work)) {
        expect(long.problem).toEqual(base.problem)
        expect(long.idle).toHaveLength(1)
      } else if (work === 'bake')
        expect(Math.min(...least(long.problem))).toBeGreaterThanOrEqual(36_000)
    }
  })

  it('is kept: this dish before any other, but for those that it is made of', () => {
    const dish = base.dishes.find((d) => d.id === 'fish-pie')!
    const first = planWith({ kind: 'first', dish: dish.id })
    const ends = (id: string) =>
      Math.max(
        ...first.activities.flatMap((r) => {
          const a = base.problem.activities.find((x) => x.id === r.id)!
          return a.dish === id && !a.aside ? [r.end] : []
        }),
      )
    for (const other of base.dishes)
      if (!other.base && other.id !== dish.id)
        expect(ends(other.id)).toBeGreaterThanOrEqual(ends(dish.id))
  })

  it('of what is not there waits, and changes nothing', () => {
    const gone: Wish[] = [
      { kind: 'at', step: 'nobody knows', from: clock(0) },
      { kind: 'by', step: hands[0]!.id, cook: 'nobody' },
      { kind: 'way', step: hands[0]!.id, way: 'no way' },
      { kind: 'elsewhere', step: hands[0]!.id, place: 'nowhere' },
      { kind: 'first', dish: 'no dish' },
      { kind: 'before', step: hands[0]!.id, other: hands[0]!.id },
    ]
    const { problem, idle } = compiledWith(gone)
    expect(idle).toEqual(gone)
    expect(problem).toEqual(base.problem)
  })

  it('goes with the day of the session', () => {
    const wish: Wish = { kind: 'free', cook: 'runa', from: clock(0), until: clock(900) }
    const session = { ...demoSession, wishes: [wish] }
    const moved = withChanged(session, MAIN, session, (s) => ({ ...s, start: '2027-03-27T09:00' }))
    expect(moved.wishes![0]).toMatchObject({ from: clock(0).replace('-20T', '-27T') })
  })

  it('is written down as it was meant, whatever it is', () => {
    const known = fc.constantFrom(...base.problem.activities.map((a) => a.id))
    const when = fc.integer({ min: 0, max: 200 }).map((m) => clock(m * 60))
    const wish = fc.oneof(
      fc.record({ kind: fc.constant('at' as const), step: known, from: when }),
      fc.record({ kind: fc.constant('before' as const), step: known, other: known }),
      fc.record({
        kind: fc.constant('free' as const),
        cook: fc.constantFrom('runa', 'teo'),
        from: when,
        until: when,
      }),
      fc.record({
        kind: fc.constant('closed' as const),
        place: fc.constantFrom(...demoKitchen.stations.map((s) => s.id)),
        from: when,
        until: when,
      }),
      fc.record({
        kind: fc.constant('takes' as const),
        step: known,
        minutes: fc.integer({ min: 1, max: 60 }),
      }),
    )
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 5 }), (wishes) => {
        expect(wishes.map((w) => wishSchema.parse(w))).toEqual(wishes)
        const { problem } = compiledWith(wishes)
        for (const { unavailable } of [...problem.cooks, ...problem.stations])
          for (const [k, [from, to]] of unavailable.entries()) {
            expect(from).toBeLessThan(to)
            if (k) expect(from).toBeGreaterThan(unavailable[k - 1]![1])
          }
      }),
      { numRuns: 30 },
    )
  })
})
