import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../../demo'
import { checkPlan, type Plan } from '../../plan'
import { lotsOf } from '../../recipe'
import { solve } from '../../solver'
import { compileSession } from '../compile'
import type { Session } from '../schema'
import {
  cookingsOf,
  eveningsToCook,
  listSittings,
  longWaits,
  partByEngine,
  partedAnew,
  partingCosts,
  sittingsOf,
  withChanged,
  withFixed,
  withoutSitting,
  withParted,
  withSitting,
  type SittingToCook,
} from './index'
import { partingsOf } from './parting'
import { weekend } from './weekend.fixture'

const held = weekend()
const idOf = (name: string) => held.recipes.find((r) => r.name === name)!.id
const [chicken, loaf, stock] = [
  'Overnight lemon chicken thighs',
  'Slow rye loaf',
  'Bone stock',
].map(idOf)

/** A sitting's plan, which the independent checker has passed. */
function planned({ session, recipes }: SittingToCook) {
  const compiled = compileSession({ session, recipes, kitchen: held.kitchen })
  if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
  const plan = solve(compiled.value.problem, { iterations: 60 })
  expect(checkPlan(compiled.value.problem, plan)).toEqual([])
  expect(plan.activities.length).toBeGreaterThan(0)
  return { ...compiled.value, plan }
}
const sittingOf = (id: string, planOf?: (key: string) => Plan | undefined) =>
  cookingsOf(held, planOf).sittings.find((s) => s.id === id)!
const stepsIn = (sitting: SittingToCook, dish: string) =>
  sitting.recipes.find((r) => r.id === dish)!.steps

describe('the sittings of a session', () => {
  it('begin overnight what takes all night, and take it up in the morning', () => {
    const { placed, slots } = cookingsOf(held).assignment!
    const at = (dish: string, does: RegExp) => {
      const step = held.recipes.find((r) => r.id === dish)!.steps.find((s) => does.test(s.do))!
      return slots[placed.get(dish)!.get(step.id)!]!.id
    }
    expect(at(chicken!, /^Marinate/)).toBe('sitting-1')
    expect(at(chicken!, /roast/)).toBe('main')
    expect(at(loaf!, /10 to 14 hours/)).toBe('sitting-1')
    expect(at(loaf!, /^Bake/)).toBe('main')
    expect(at(stock!, /slow cooker/)).toBe('sitting-1')
    expect(at(stock!, /^Strain/)).toBe('main')
  })

  it('are each a problem by itself, whose night counts for nothing', () => {
    const friday = planned(sittingOf('sitting-1'))
    expect(friday.plan.makespan).toBeLessThan(2 * 3600)
    const night = friday.plan.activities.find((a) => a.id === `${stock}.cook`)!
    expect(night.end).toBeGreaterThan(10 * 3600)
    expect(friday.cards[night.id]).toMatchObject({ beyond: true })
    const saturday = planned(sittingOf('main'))
    expect(saturday.plan.makespan).toBeLessThan(6 * 3600)
  })

  it('know from the plan of the evening how much of the night is left', () => {
    const friday = planned(sittingOf('sitting-1'))
    const still = (plan: Plan) => {
      const now = sittingOf('main', (key) => (key === 'session--sitting-1' ? plan : undefined))
      return stepsIn(now, stock!).find((s) => s.since)!.ways[0]!.minutes
    }
    const begun = friday.plan.activities.find((a) => a.id === `${stock}.cook`)!.start / 60
    // From seven in the evening to nine in the morning are fourteen hours, of which twelve are wanted.
    expect(still(friday.plan)[1]).toBe(Math.max(0, Math.round(720 - (840 - begun))))
    const late = {
      ...friday.plan,
      activities: friday.plan.activities.map((a) =>
        a.id === `${stock}.cook` ? { ...a, start: 4 * 3600 } : a,
      ),
    }
    expect(still(late)[1]).toBe(120)
    // What was told while it was cooked goes before any plan.
    const told = new Date('2027-04-30T22:30:00').getTime()
    const { sittings } = cookingsOf(
      held,
      () => friday.plan,
      (key, activity) =>
        key === 'session--sitting-1' && activity === `${stock}.cook` ? told : undefined,
    )
    const main = sittings.find((s) => s.id === 'main')!
    expect(stepsIn(main, stock!).find((s) => s.since)!.ways[0]!.minutes[1]).toBe(90)
    // A stock of last month is another stock.
    const earlier = new Date('2027-04-02T22:30:00').getTime()
    const other = cookingsOf(
      held,
      () => friday.plan,
      () => earlier,
    ).sittings[1]!
    expect(stepsIn(other, stock!)).toEqual(
      stepsIn(
        sittingOf('main', () => friday.plan),
        stock!,
      ),
    )
  })

  it('take raw food up as raw food, with the care that it wants', () => {
    const saturday = planned(sittingOf('main'))
    const fetched = saturday.problem.activities.find((a) => a.label.startsWith('Take the thighs'))!
    expect(fetched.hygiene).toBe('raw')
    const roast = Object.values(saturday.cards).find((c) => /roast/.test(c.text))!
    expect(roast.atEnd).toContain('74 °C')
    // What went into the marinade is not taken a second time.
    expect(roast.uses).toEqual([])
  })

  it('leave nothing half cooked for later, whatever the dish', () => {
    for (const recipe of [...held.recipes, ...demoRecipes]) {
      const lots = lotsOf(recipe)
      for (const [step, { how }] of partingsOf(recipe))
        if (how !== 'on') expect(lots.get(step)!.part, `${recipe.id}.${step}`).toBe(false)
    }
  })

  it('are the session itself where there is only one', () => {
    const { sittings: _, ...one } = held.session
    const { sittings, assignment } = cookingsOf({ ...held, session: one })
    expect(sittings).toHaveLength(1)
    expect(sittings[0]!.session).toBe(one)
    expect(assignment).toBeUndefined()
  })

  it('do each step once and in its order, whatever is cooked and whenever', () => {
    const session = fc.record({
      dishes: fc.subarray(demoSession.dishes, { minLength: 1 }),
      hour: fc.integer({ min: 10, max: 20 }),
      nights: fc.integer({ min: 1, max: 3 }),
      limit: fc.integer({ min: 20, max: 200 }),
      after: fc.boolean(),
    })
    fc.assert(
      fc.property(session, ({ dishes, hour, nights, limit, after }) => {
        const day = String(after ? 20 + nights : 20 - nights).padStart(2, '0')
        const now: Session = {
          ...demoSession,
          dishes: dishes.map(({ fixed: _, ...d }) => d),
          sittings: [{ id: 'other', start: `2027-03-${day}T${hour}:00`, limit, cooks: ['runa'] }],
        }
        const { sittings, assignment, issues } = cookingsOf({
          session: now,
          kitchen: demoKitchen,
          recipes: demoRecipes,
        })
        expect(issues).toEqual([])
        for (const { recipe: id } of dishes) {
          const recipe = demoRecipes.find((r) => r.id === id)!
          const placed = assignment!.placed.get(id)!
          for (const step of recipe.steps) {
            const done = sittings.filter(
              (s) =>
                s.session.dishes.some((d) => d.recipe === id) &&
                s.recipes.find((r) => r.id === id)!.steps.some((x) => x.id === step.id),
            )
            expect(done).toHaveLength(1)
            for (const a of step.after)
              expect(placed.get(a.step)!).toBeLessThanOrEqual(placed.get(step.id)!)
          }
        }
      }),
      { numRuns: 40 },
    )
  })
})

describe('the least that all sittings take', () => {
  it('is no more than plans of the engine take, however the dishes are parted', () => {
    const parts = fc.record({
      dishes: fc.subarray(demoSession.dishes, { minLength: 2, maxLength: 4 }),
      limit: fc.integer({ min: 20, max: 120 }),
      hands: fc.constantFrom<string[][]>(['runa'], ['runa', 'teo']),
    })
    fc.assert(
      fc.property(parts, ({ dishes, limit, hands }) => {
        const session: Session = {
          ...demoSession,
          cooks: hands,
          calm: 0,
          dishes: dishes.map(({ fixed: _, ...d }) => d),
          sittings: [{ id: 'other', start: '2027-03-19T19:00', limit, cooks: hands }],
        }
        const held = { session, kitchen: demoKitchen, recipes: demoRecipes }
        const { sittings, assignment } = cookingsOf(held)
        const minutes = sittings.map((s) => {
          const compiled = compileSession({ ...s, kitchen: demoKitchen })
          if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
          return solve(compiled.value.problem, { iterations: 40 }).makespan / 60
        })
        expect(assignment!.bound).toBeGreaterThan(0)
        expect(assignment!.bound).toBeLessThanOrEqual(minutes.reduce((a, b) => a + b, 0) + 0.1)
      }),
      { numRuns: 12 },
    )
  })

  it('is neared by trying other ways with the engine, which keeps what is fixed', async () => {
    const session: Session = {
      ...demoSession,
      limit: 60,
      dishes: demoSession.dishes.filter((d) =>
        ['squash-soup', 'oat-bars', 'bean-bake'].includes(d.recipe),
      ),
    }
    const heard: number[] = []
    const found = await partByEngine(
      { session, kitchen: demoKitchen, recipes: demoRecipes },
      (done) => heard.push(done) < 30,
    )
    expect(found.tried).toBeGreaterThan(0)
    expect(found.session.parted!['squash-soup']!.cut).toBe('friday')
    const sum = (lengths: ReadonlyMap<string, number>) =>
      [...lengths.values()].reduce((a, b) => a + b, 0)
    expect(sum(found.before)).toBeGreaterThan(0)
    if (!found.better) expect(found.after).toBe(found.before)
    // Stopped at once it leaves everything as it was.
    const none = await partByEngine(
      { session, kitchen: demoKitchen, recipes: demoRecipes },
      () => false,
    )
    expect(none).toMatchObject({ tried: 0, better: false })
  }, 60_000)
})

describe('what the cook says of it', () => {
  const step = (dish: string, does: RegExp) =>
    held.recipes.find((r) => r.id === dish)!.steps.find((s) => does.test(s.do))!.id
  const slaw = idOf('Winter slaw')
  const parted = withParted(held.session, held.kitchen, held.recipes)

  it('is kept: a step stays in the sitting that it is fixed to', () => {
    const cut = step(slaw, /^Shred/)
    const now = withFixed(parted, slaw, cut, 'sitting-1')
    const { assignment, issues } = cookingsOf({ ...held, session: now })
    expect(issues).toEqual([])
    expect(assignment!.slots[assignment!.placed.get(slaw)!.get(cut)!]!.id).toBe('sitting-1')
    const freed = withFixed(now, slaw, cut, undefined)
    expect(freed.dishes.find((d) => d.recipe === slaw)!.fixed).toBeUndefined()
  })

  it('is refused in words where it cannot be', () => {
    const now = withFixed(parted, chicken!, step(chicken!, /roast/), 'sitting-1')
    const { issues } = cookingsOf({ ...held, session: now })
    expect(issues).toHaveLength(1)
    expect(issues[0]!.message).toMatch(/Overnight lemon chicken thighs: .*roast.* cannot be done/)
  })

  it('has its cost, in minutes of all sittings together', () => {
    const costs = partingCosts({ ...held, session: parted }, chicken!, ['sitting-1', 'main'])
    const marinade = costs.get(step(chicken!, /^Marinate/))!
    expect(marinade.get('sitting-1')).toBeCloseTo(0)
    // Eight hours of waiting in the morning.
    expect(marinade.get('main')!).toBeGreaterThan(300)
    expect(costs.get(step(chicken!, /roast/))!.has('sitting-1')).toBe(false)
  })

  it('changes nothing else: a dish that moves to another evening moves alone', () => {
    const moved: Session = {
      ...parted,
      dishes: parted.dishes.map((d) =>
        d.recipe === idOf('Bean chilli') ? { ...d, on: ['2027-05-02'] } : d,
      ),
    }
    expect(withParted(moved, held.kitchen, held.recipes).parted).toEqual(parted.parted)
    const others = (session: Session) =>
      cookingsOf({ ...held, session }).sittings.map((s) => JSON.stringify(s.recipes))
    expect(others(moved)).toEqual(others(parted))
  })

  it('adds and takes away sittings, and parts all anew for them', () => {
    const sitting = { start: '2027-04-29T20:00', cooks: ['me'], limit: 60 }
    const more = withSitting(parted, sitting)
    expect(more.sittings!.map((s) => s.id)).toEqual(['sitting-1', 'sitting-2'])
    expect(more.parted).toBeUndefined()
    const fixed = withFixed(more, slaw, step(slaw, /^Shred/), 'sitting-2')
    const less = withoutSitting(fixed, 'sitting-2')
    expect(less.sittings).toHaveLength(1)
    expect(less.dishes.find((d) => d.recipe === slaw)!.fixed).toBeUndefined()
    expect(withoutSitting(less, 'sitting-1').sittings).toBeUndefined()
    expect(partedAnew(parted).parted).toBeUndefined()
  })

  it('changes one sitting, or an evening, through the session that it is', () => {
    const own = sittingOf('sitting-1').session
    const later = withChanged(parted, 'sitting-1', own, (s) => ({
      ...s,
      start: '2027-04-30T20:00',
      limit: 90,
    }))
    expect(later.start).toBe(held.session.start)
    expect(later.sittings![0]).toMatchObject({ start: '2027-04-30T20:00', limit: 90 })
    const nextWeek = withChanged(parted, 'main', held.session, (s) => ({
      ...s,
      start: '2027-05-08T10:00',
    }))
    expect(nextWeek.sittings![0]!.start).toBe('2027-05-07T19:00')
    const [first] = eveningsToCook(held)
    const eaten = withChanged(held.session, first!.id, first!.session, (s) => ({
      ...s,
      ready: '2027-05-01T19:15',
    }))
    expect(eaten.evenings!.find((e) => e.day === first!.id)!.at).toBe('19:15')
  })
})

describe('the evenings of a session', () => {
  const evenings = eveningsToCook({
    session: demoSession,
    kitchen: demoKitchen,
    recipes: demoRecipes,
  })

  it('have a plan that is on the table when they eat', () => {
    for (const { session, recipes } of evenings) {
      const compiled = compileSession({ session, recipes, kitchen: demoKitchen })
      if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
      const plan = solve(compiled.value.problem, { iterations: 60 })
      expect(checkPlan(compiled.value.problem, plan)).toEqual([])
      const from = Number(session.start.slice(11, 13)) * 60 + Number(session.start.slice(14))
      const late = 18 * 60 + 30 - (from + plan.makespan / 60)
      expect(late).toBeGreaterThanOrEqual(0)
      expect(late).toBeLessThan(10)
    }
  })

  it('take out of the freezer the night before what is eaten from it, but nothing made that day', () => {
    const thawed = (day: string) =>
      evenings
        .find((e) => e.id === day)
        ?.recipes.filter((r) => r.steps.some((s) => s.id === 'thaw'))
        .map((r) => r.id) ?? []
    expect(thawed('2027-03-22')).toEqual(['fish-pie'])
    expect(thawed('2027-03-20')).toEqual([])
    for (const dish of demoSession.dishes)
      for (const day of dish.on ?? []) {
        const recipe = demoRecipes.find((r) => r.id === dish.recipe)!
        if ((dish.to ?? recipe.store?.place) !== 'freezer') continue
        const before = `2027-03-${String(Number(day.slice(8)) - 1).padStart(2, '0')}`
        if (before > '2027-03-20') expect(thawed(before)).toContain(dish.recipe)
      }
  })

  it('are there for the thawing alone, where nobody eats from the session that day', () => {
    const onTuesday = held.session.dishes.map((d) =>
      d.recipe === idOf('Bean chilli') ? { ...d, on: ['2027-05-04'] } : d,
    )
    const session = { ...held.session, dishes: onTuesday }
    const days = eveningsToCook({ ...held, session }).map((e) => e.id)
    expect(session.evenings!.map((e) => e.day)).not.toContain('2027-05-03')
    expect(days).toContain('2027-05-03')
  })

  it('take what was made hours before out of the cold, and never from the bench', () => {
    const recipe = {
      ...held.recipes.find((r) => r.id === idOf('Lentil soup'))!,
      store: undefined,
    }
    const of = (start: string, change: Partial<Session['dishes'][number]> = {}) => {
      const session: Session = {
        ...held.session,
        start,
        sittings: undefined,
        dishes: [{ recipe: recipe.id, batches: 1, to: 'tonight', on: ['2027-05-01'], ...change }],
      }
      const all = { session, kitchen: held.kitchen, recipes: [recipe] }
      const compiled = compileSession(all)
      if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
      const steps = eveningsToCook(all)[0]!.recipes[0]!.steps.map((s) => s.id)
      return { to: compiled.value.dishes[0]!.to, steps }
    }
    expect(of('2027-05-01T08:00')).toEqual({ to: 'fridge', steps: ['reheat', 'dish-up'] })
    expect(of('2027-05-01T16:30')).toEqual({ to: 'tonight', steps: ['take-out'] })
    expect(of('2027-05-01T08:00', { ready: '2027-05-01T18:30' }).to).toBe('tonight')
  })

  it('keep what is eaten the day after out of the freezer, and say so', () => {
    const compiled = compileSession({
      session: demoSession,
      kitchen: demoKitchen,
      recipes: demoRecipes,
    })
    if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
    const of = (id: string) => compiled.value.dishes.find((d) => d.id === id)!
    expect(of('turkey-patties')).toMatchObject({ to: 'freezer', staysOut: 'Saturday' })
    expect(of('fish-pie').staysOut).toBeUndefined()
    const saturday = evenings.find((e) => e.id === '2027-03-20')!
    const patties = saturday.recipes.find((r) => r.id === 'turkey-patties')!
    expect(patties.steps[0]!.do).toMatch(/from the fridge: /)
  })

  it('are not there where nobody eats anything', () => {
    const session: Session = {
      ...demoSession,
      dishes: demoSession.dishes.map((d) => ({ ...d, on: (d.on ?? []).slice(0, 1) })),
    }
    const listed = listSittings({ session, recipes: demoRecipes }, undefined)
    for (const { id, kind } of listed)
      if (kind === 'evening')
        expect(
          eveningsToCook({ session, kitchen: demoKitchen, recipes: demoRecipes }).map((e) => e.id),
        ).toContain(id)
    expect(listed.map((l) => l.id)).not.toContain('2027-03-31')
  })

  it('are as late as the family eats', () => {
    const session: Session = {
      ...demoSession,
      evenings: demoSession.evenings!.map((e) => ({ ...e, at: '20:15', eaters: 2 })),
    }
    const later = eveningsToCook({ session, kitchen: demoKitchen, recipes: demoRecipes })
    expect(later[0]!.session.ready).toBe('2027-03-20T20:15')
    expect(later[0]!.recipes[0]!.steps.at(-1)!.do).toMatch(/, for 2$/)
  })

  it('stand in one list with the sittings, by time', () => {
    const listed = listSittings(held, cookingsOf(held).assignment)
    expect(listed.map((s) => s.start)).toEqual(listed.map((s) => s.start).sort())
    expect(listed.slice(0, 2).map((s) => s.id)).toEqual(['sitting-1', 'main'])
    expect(
      sittingsOf(held)
        .sittings.map((s) => s.id)
        .sort(),
    ).toEqual(listed.map((s) => s.id).sort())
  })
})

describe('times that are fixed', () => {
  const of = (change: Partial<Session>) => {
    const { sittings: _, evenings: __, ...one } = held.session
    const compiled = compileSession({ ...held, session: { ...one, ...change } })
    if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues))
    return compiled.value.problem
  }
  const chilli = idOf('Bean chilli')
  const dishes = [{ recipe: chilli, batches: 1 }]

  it('have a dish ready by then, and begun no sooner', () => {
    const problem = of({
      dishes: [{ ...dishes[0]!, ready: '2027-05-01T11:00', notBefore: '2027-05-01T09:45' }],
    })
    const plan = solve(problem, { iterations: 60 })
    expect(checkPlan(problem, plan)).toEqual([])
    const own = plan.activities.filter((a) => a.id.startsWith(chilli))
    expect(Math.max(...own.map((a) => a.end))).toBeLessThanOrEqual(7200)
    expect(Math.min(...own.map((a) => a.start))).toBeGreaterThanOrEqual(2700)
  })

  it('are refused where they are over before anybody begins', () => {
    const { sittings: _, evenings: __, ...one } = held.session
    const issues = (change: Partial<Session>) => {
      const compiled = compileSession({ ...held, session: { ...one, ...change } })
      return compiled.ok ? [] : compiled.issues.map((i) => i.path)
    }
    expect(issues({ ready: '2027-05-01T08:00' })).toEqual(['ready'])
    expect(issues({ dishes: [{ ...dishes[0]!, ready: '2027-05-01T09:00' }] })).toEqual([
      'dishes[0].ready',
    ])
  })

  it('have everything ready by then, or prove that it cannot be', () => {
    expect(solve(of({ dishes, ready: '2027-05-01T11:00' }), { iterations: 60 }).status).not.toBe(
      'infeasible',
    )
    expect(solve(of({ dishes, ready: '2027-05-01T09:30' }), { iterations: 60 }).status).toBe(
      'infeasible',
    )
  })
})

describe('what goes on for hours in one sitting', () => {
  const { sittings: _, ...one } = held.session

  it('is named, with when another sitting would go on with it', () => {
    const waits = longWaits(one, held.kitchen, held.recipes, undefined)
    expect(waits.map((w) => w.dish)).toEqual([loaf, stock, chicken])
    expect(waits[1]).toMatchObject({ step: 'cook', minutes: 720, then: '2027-05-01T21:30' })
    // With an evening before it there is nothing to wait for any more.
    const { assignment } = cookingsOf(held)
    expect(longWaits(held.session, held.kitchen, held.recipes, assignment)).toEqual([])
  })

  it('is over in a sitting of the same evening, where it is taken up', () => {
    const pork = demoRecipes.find((r) => r.id === 'braised-pork')!
    const slow = {
      ...pork,
      routes: [],
      steps: pork.steps
        .filter((s) => s.id !== 'press')
        .map((s) => ({ ...s, after: s.after.filter((a) => a.step !== 'press') }))
        .map((s) =>
          s.id === 'braise'
            ? {
                ...s,
                work: 'slow' as const,
                ways: [
                  {
                    id: 'low',
                    minutes: [480, 540, 600] as [number, number, number],
                    on: [{ kind: 'slow-cooker' }],
                  },
                ],
              }
            : s,
        ),
    }
    const recipes = demoRecipes.map((r) => (r.id === pork.id ? slow : r))
    const session: Session = {
      ...demoSession,
      dishes: [{ recipe: pork.id, batches: 1 }],
      sittings: [{ id: 'later', start: '2027-03-20T19:00', limit: 60, cooks: ['runa'] }],
    }
    const { sittings } = cookingsOf({ session, kitchen: demoKitchen, recipes })
    expect(sittings.map((s) => s.id)).toEqual(['main', 'later'])
    const compiled = sittings.map((s) => compileSession({ ...s, kitchen: demoKitchen }))
    const lengths = compiled.map((c) => {
      if (!c.ok) throw new Error(JSON.stringify(c.issues))
      return solve(c.value.problem, { iterations: 40 }).makespan / 60
    })
    expect(lengths[0]).toBeLessThan(90)
    // An hour of it is left, at most, when they come back to it.
    expect(lengths[1]).toBeLessThan(180)
  })
})
