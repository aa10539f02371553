import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { breachText, checkPlan, type Plan } from '../plan'
import { compileSession, type CompiledSession } from '../session'
import { solve } from '../solver'
import { instructions, placesOf, type Instruction } from './index'
import { cookingArbitrary, type Cooking } from './random.fixture'

interface Cooked extends Cooking {
  compiled: CompiledSession
  plan: Plan
  lines: Instruction[]
}

function cooked(cooking: Cooking): Cooked | undefined {
  const reading = compileSession(cooking)
  if (!reading.ok) return undefined
  const compiled = reading.value
  const plan = solve(compiled.problem, { iterations: 30 })
  if (!plan.activities.length) return undefined
  return { ...cooking, compiled, plan, lines: instructions(plan, compiled, cooking.kitchen) }
}

const CASES = fc
  .sample(cookingArbitrary, { numRuns: 160, seed: 7 })
  .map(cooked)
  .filter((c) => c !== undefined)

/** Holds for every random session that has a plan. */
const always = (holds: (c: Cooked) => void) => CASES.forEach(holds)

const real = ({ plan, compiled }: Cooked) =>
  plan.activities.filter((a) => !compiled.cards[a.id]!.marker)

describe('every plan of a random session', () => {
  it('is there for most of them', () => {
    expect(CASES.length).toBeGreaterThan(100)
  })

  it('keeps the rules, and washes nothing that nothing asks for', () => {
    always(({ compiled, plan }) => {
      expect(checkPlan(compiled.problem, plan).map(breachText)).toEqual([])
      for (const c of plan.chores) expect(c.to).toBeGreaterThan(c.from)
    })
  })

  it('leaves nothing on the heat for longer than a moment with nothing to do to it', () => {
    let told = 0
    always(({ compiled, plan, lines }) => {
      const starts = new Map(plan.activities.map((a) => [a.id, a.start]))
      for (const line of lines.filter((l) => l.text.startsWith('It stays on the heat'))) {
        const next = compiled.links.filter((l) => l.from === line.activity).map((l) => l.to)
        const soonest = Math.min(...next.map((id) => starts.get(id) ?? Infinity))
        expect(soonest - line.at).toBeLessThanOrEqual(300)
        told++
      }
    })
    expect(told).toBeGreaterThan(0)
  })

  it('sets an oven before anything is put into it for that heat', () => {
    let told = 0
    always(({ plan, lines }) => {
      for (const set of lines.filter((l) => l.kind === 'oven' && l.celsius !== undefined)) {
        const [station] = set.places
        const segment = plan.heats.find((h) => h.station === station && h.from >= set.at)!
        for (const run of plan.activities) {
          const bakes = run.phases.some((p) => p.from >= segment.from && p.to <= segment.to)
          if (!bakes || !run.stations.includes(station!)) continue
          expect(run.start).toBeGreaterThanOrEqual(set.at)
          told++
        }
      }
    })
    expect(told).toBeGreaterThan(20)
  })

  it('keeps a vessel from the step that fills it until it is emptied', () => {
    always(({ compiled, plan }) => {
      const runs = new Map(plan.activities.map((a) => [a.id, a]))
      for (const hold of plan.holds) {
        const { activities, takers } = compiled.kept[hold.id] ?? { activities: [], takers: [] }
        for (const id of activities) {
          const run = runs.get(id)
          if (!run) continue
          expect(hold.from).toBeLessThanOrEqual(run.start)
          expect(hold.to).toBeGreaterThanOrEqual(run.end)
        }
        // Whatever takes the food out has begun to by the time the vessel is free.
        for (const id of takers) {
          const run = runs.get(id)
          if (run) expect(hold.to).toBeGreaterThanOrEqual(run.phases[0]!.from)
        }
        for (const c of plan.chores)
          if (c.station === hold.station) expect(c.to <= hold.from || hold.to <= c.from).toBe(true)
      }
    })
  })

  it('lets no food stand for longer than it may', () => {
    always(({ compiled, plan }) => {
      const runs = new Map(plan.activities.map((a) => [a.id, a]))
      for (const { from, to, most } of compiled.links) {
        const [a, b] = [runs.get(from), runs.get(to)]
        if (a && b && most !== undefined) expect(b.start - a.end).toBeLessThanOrEqual(most)
      }
    })
  })

  it('gives raw food and its work only to who may do both', () => {
    always(({ compiled, plan, kitchen }) => {
      for (const run of plan.activities) {
        const activity = compiled.problem.activities.find((a) => a.id === run.id)!
        const phase = activity.modes[0]!.phases[0]!
        if (activity.hygiene !== 'raw' || !phase.hands) continue
        const cook = kitchen.people.find((p) => p.id === run.phases[0]!.cook)!
        expect(cook.skills).toContain('raw')
      }
    })
  })

  it('tells every step once as begun and, where it goes on by itself, once as ended', () => {
    always((c) => {
      for (const run of real(c)) {
        const own = c.lines.filter((l) => l.activity === run.id)
        const begun = own.filter(
          (l) => ['do', 'start', 'cold'].includes(l.kind) && !l.key.startsWith('cold '),
        )
        expect(begun.filter((l) => l.at === run.start)).toHaveLength(1)
        expect(begun).toHaveLength(1 + c.compiled.cards[run.id]!.later.length)
        const ended = own.filter(
          (l) => ['end', 'out'].includes(l.kind) && !l.key.startsWith('done '),
        )
        expect(ended).toHaveLength(begun[0]!.kind === 'do' ? 0 : 1)
        for (const l of ended) expect(l.until).toBe(run.end)
      }
      expect(new Set(c.lines.map((l) => l.key)).size).toBe(c.lines.length)
    })
  })

  it('tells who does it and where, everything in the order of its time', () => {
    always((c) => {
      const places = placesOf(c.plan, c.compiled)
      c.lines.forEach((l, i) => {
        if (i) expect(l.at).toBeGreaterThanOrEqual(c.lines[i - 1]!.at)
        expect(c.session.cooks).toContain(l.cook)
        expect(l.text).not.toMatch(/undefined|NaN|\[object/)
        expect(l.until).toBeGreaterThanOrEqual(l.at)
        if (l.activity && l.kind === 'start')
          for (const p of places.get(l.activity)!) expect(l.places).toContain(p)
      })
    })
  })

  it('sends nobody away for long with raw food on their hands', () => {
    let washed = 0
    always(({ compiled, plan, lines }) => {
      const touches = plan.activities.flatMap((a) =>
        a.phases
          .filter((p) => p.cook && p.to > p.from)
          .map((p) => ({ ...p, raw: compiled.cards[a.id]!.hygiene === 'raw' })),
      )
      for (const t of touches.filter((x) => x.raw)) {
        const next = Math.min(
          ...touches.filter((x) => x.cook === t.cook && x.from >= t.to).map((x) => x.from),
        )
        // A last one is washed off too, however late: there is nothing that it could wait for.
        if (next - t.to < 600) continue
        const wash = lines.find(
          (l) => l.kind === 'wash-hands' && l.cook === t.cook && l.at >= t.to && l.at < next,
        )
        const hands = compiled.problem.activities.some(
          (a) => a.hygiene === 'raw' && a.modes.some((m) => m.phases.some((p) => p.hands)),
        )
        if (hands && wash) washed++
        else if (hands) throw new Error(`nobody is told to wash their hands after ${t.to}`)
      }
    })
    expect(washed).toBeGreaterThan(0)
  })

  it('never has one cook do two things with their hands at once', () => {
    always((c) => {
      for (const cook of c.session.cooks) {
        const own = c.lines.filter((l) => l.cook === cook && l.free > l.at)
        own.sort((a, b) => a.at - b.at)
        own.forEach((l, i) => {
          if (i) expect(l.at).toBeGreaterThanOrEqual(own[i - 1]!.free)
        })
      }
    })
  })

  it('sets every oven in time and turns it off, and says where each dish goes', () => {
    always((c) => {
      for (const heat of c.plan.heats) {
        const set = c.lines.filter((l) => l.kind === 'oven' && l.places[0] === heat.station)
        expect(set.some((l) => l.at <= heat.from && l.celsius !== undefined)).toBe(true)
        expect(set.some((l) => /off$/.test(l.text))).toBe(true)
      }
      for (const dish of c.compiled.dishes.filter((d) => !d.base))
        expect(
          c.lines.filter((l) => l.key === `cold ${dish.id}` || l.key === `done ${dish.id}`),
        ).toHaveLength(1)
    })
  })
})
