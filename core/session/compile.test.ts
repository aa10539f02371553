import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { breachText, checkPlan } from '../plan'
import { solve } from '../solver'
import { compileSession, oneByOne, type Session } from './index'

const compiled = (change: Partial<Session> = {}) =>
  compileSession({
    session: { ...demoSession, ...change },
    kitchen: demoKitchen,
    recipes: demoRecipes,
  })
function problemOf(change: Partial<Session> = {}) {
  const reading = compiled(change)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
const alone = (recipe: string, batches: number) => ({ dishes: [{ recipe, batches }] })
const handsOf = (c: ReturnType<typeof problemOf>, step: string) =>
  c.problem.activities
    .filter((a) => c.cards[a.id]!.step === step)
    .map((a) => a.modes[0]!.phases[0]!.seconds[0])

describe('compileSession, on the demo session', () => {
  it('exercises every feature of the contract with two cooks and sixty activities or more', () => {
    const { problem } = problemOf()
    expect(problem.activities.length).toBeGreaterThanOrEqual(60)
    expect(problem.cooks).toHaveLength(2)
    expect(problem.choices.length).toBeGreaterThan(0)
    expect(problem.activities.some((a) => a.modes.length > 1)).toBe(true)
    expect(problem.relations.some((r) => (r.max ?? 0) > 0)).toBe(true)
    expect(new Set(problem.activities.map((a) => a.hygiene))).toContain('raw')
    const heats = problem.activities.flatMap((a) =>
      a.modes.flatMap((m) => m.phases.flatMap((p) => (p.heat ? [p.heat.celsius] : []))),
    )
    const apart = heats.some((a) => heats.some((b) => a[0] > b[1]))
    expect(apart, 'two temperatures that exclude each other').toBe(true)
  })

  it('gets a plan that the checker passes, for thirty seeds', () => {
    const { problem } = problemOf()
    for (let seed = 1; seed <= 30; seed++) {
      const plan = solve(problem, { iterations: 12, seed })
      expect(plan.status, `seed ${seed}`).toBe('feasible')
      expect(checkPlan(problem, plan).map(breachText), `seed ${seed}`).toEqual([])
    }
  })

  it('is longer dish after dish than the planned session', () => {
    const { problem } = problemOf()
    const plan = solve(problem, { iterations: 60 })
    expect(oneByOne(problem, 10)).toBeGreaterThan(plan.makespan)
  })
})

describe('compileSession', () => {
  it('browns in panfuls of the largest pan, evenly, in a pan that takes them', () => {
    // 24 pieces a batch; a 30 cm pan takes floor(14 * (30/28)^2) = 16: one and a half panfuls.
    const one = problemOf(alone('braised-pork', 1))
    const brown = one.problem.activities.filter((a) => one.cards[a.id]!.step === 'brown')
    expect(brown).toHaveLength(2)
    // 12 pieces each also fit a 26 cm pan, which takes floor(14 * (26/28)^2) = 12.
    expect(brown[0]!.modes[0]!.needs.find((n) => n.kind === 'frying-pan')!.minSize).toBe(26)
    expect(handsOf(problemOf(alone('braised-pork', 2)), 'brown')).toHaveLength(3)
  })

  it('blends with whichever blender the kitchen has', () => {
    const kitchenWith = (kinds: string[]) => ({
      ...demoKitchen,
      stations: [
        ...demoKitchen.stations.filter((s) => s.kind !== 'blender'),
        ...kinds.map((kind) => ({ ...demoKitchen.stations[0]!, id: kind, name: kind, kind })),
      ],
    })
    const soup = demoRecipes.find((r) =>
      r.steps.some((s) => s.ways.every((w) => w.on.some((o) => o.kind === 'blender'))),
    )!
    const session = { ...demoSession, ...alone(soup.id, 1) }
    const of = (kinds: string[]) =>
      compileSession({ session, kitchen: kitchenWith(kinds), recipes: demoRecipes })
    expect(of(['stick-blender']).ok).toBe(true)
    expect(of(['blender']).ok).toBe(true)
    const without = of([])
    expect(without.ok).toBe(false)
    if (!without.ok) expect(without.issues[0]!.message).toContain('wants a blender')
  })

  it('cooks in a pot what wants a rice cooker that is not there, and says so', () => {
    const rice = demoRecipes.find((r) => r.steps.some((s) => s.work === 'simmer'))!
    const step = rice.steps.find((s) => s.work === 'simmer')!
    const recipe = {
      ...rice,
      steps: rice.steps.map((s) =>
        s === step ? { ...s, ways: [{ ...s.ways[0]!, on: [{ kind: 'rice-cooker' }] }] } : s,
      ),
    }
    const reading = compileSession({
      session: { ...demoSession, ...alone(rice.id, 1) },
      kitchen: demoKitchen,
      recipes: demoRecipes.map((r) => (r === rice ? recipe : r)),
    })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { problem, cards } = reading.value
    const own = problem.activities.filter((a) => cards[a.id]!.step === step.id)
    expect(own.length).toBeGreaterThan(0)
    for (const a of own) expect(cards[a.id]!.text).toContain('for want of a rice cooker')
    const plan = solve(problem, { iterations: 30 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    expect(plan.activities.length).toBeGreaterThan(0)
  })

  it('scales cutting with the batches, in pieces of a few minutes, and an oven not at all', () => {
    const sum = (list: number[]) => list.reduce((a, b) => a + b, 0)
    const one = handsOf(problemOf(alone('squash-soup', 1)), 'cut')
    const two = handsOf(problemOf(alone('squash-soup', 2)), 'cut')
    expect(sum(two)).toBeGreaterThan(sum(one))
    expect(Math.max(...two)).toBeLessThanOrEqual(360 * 1.3)
    const bake = (batches: number) => {
      const c = problemOf(alone('fish-pie', batches))
      return c.problem.activities.find((a) => a.id.startsWith('fish-pie.bake'))!.modes[0]!.phases[1]
    }
    expect(bake(1)).toEqual(bake(2))
  })

  it('splits what the oven cannot hold at once into loads', () => {
    const c = problemOf({ dishes: [{ recipe: 'oat-bars', batches: 3 }] })
    const loads = c.problem.activities.filter((a) => c.cards[a.id]!.step === 'bake')
    expect(loads).toHaveLength(2)
    expect(c.cards[loads[0]!.id]!.text).toMatch(/load 1 of 2/)
  })

  it('makes a shared base once, for all the dishes that take of it', () => {
    const c = problemOf({
      dishes: [
        { recipe: 'squash-soup', batches: 2 },
        { recipe: 'bean-bake', batches: 1 },
      ],
    })
    expect(c.dishes.find((d) => d.id === 'soft-onions')).toMatchObject({
      batches: 0.75,
      base: true,
    })
    const takers = c.problem.relations
      .filter((r) => r.from === 'soft-onions.divide' && !r.to.startsWith('soft-onions.'))
      .map((r) => r.to)
    expect(takers.sort()).toEqual(['bean-bake.build', 'squash-soup.simmer'])
    // What stands out of the cold for two hours at most, or is cooled and put there.
    const limits = c.problem.relations.filter((r) => r.from === 'soft-onions.warm')
    expect(limits.map((r) => r.max)).toEqual([7200, 7200])
    expect(c.problem.choices.find((x) => x.id === 'soft-onions.keeping')!.options).toHaveLength(2)
  })

  it('gives amounts for the batches of this session', () => {
    const c = problemOf(alone('squash-soup', 2))
    expect(c.cards['squash-soup.simmer']!.uses).toEqual(['400 g red lentils', '2.4 l stock'])
  })

  const wrong: [string, Partial<Session>, RegExp][] = [
    ['no dish', { dishes: [] }, /no dish is chosen/],
    ['no cook', { cooks: [] }, /nobody cooks/],
    ['a stranger', { cooks: ['zoe'] }, /"zoe" is nobody of this kitchen.*runa \| teo \| ivo/],
    ['an unknown recipe', alone('moon-cheese', 1), /no recipe "moon-cheese"/],
    [
      'a pot too small',
      alone('squash-soup', 4),
      /pot of 10.4 litres, the largest holds 9.*up to 3 batches/,
    ],
    [
      'a fridge too full',
      alone('bean-bake', 6),
      /fridge has 12 litres free, this session fills 14.4/,
    ],
  ]
  it.each(wrong)('says what to mend: %s', (_, change, words) => {
    const reading = compiled(change)
    expect(reading.ok).toBe(false)
    if (!reading.ok)
      expect(reading.issues.map((i) => `${i.message}; ${i.allowed}`).join('\n')).toMatch(words)
  })

  it('lets a helper with simple hands only pack and stir', () => {
    const c = problemOf({ cooks: ['runa', 'teo', 'ivo'] })
    const plan = solve(c.problem, { iterations: 30 })
    expect(checkPlan(c.problem, plan).map(breachText)).toEqual([])
    const his = plan.activities.filter((a) =>
      a.phases.some((p, k) => {
        const spec = c.problem.activities
          .find((x) => x.id === a.id)!
          .modes.find((m) => m.id === a.mode)!
        return p.cook === 'ivo' && spec.phases[k]!.hands
      }),
    )
    for (const a of his) expect(c.cards[a.id]!.work).toMatch(/pack|mix|assemble|measure/)
  })
})
