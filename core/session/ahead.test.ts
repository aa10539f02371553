import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { breachText, checkPlan } from '../plan'
import { recipeSchema, type Recipe } from '../recipe'
import { solve } from '../solver'
import { aheadOf, upTo, withoutDone } from './ahead'
import { compileSession } from './compile'
import type { Session } from './schema'

const byId = (id: string) => demoRecipes.find((r) => r.id === id)!
const compiled = (dishes: Session['dishes'], recipes: Recipe[] = demoRecipes) => {
  const reading = compileSession({
    session: { ...demoSession, evenings: undefined, dishes },
    kitchen: demoKitchen,
    recipes,
  })
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}
const sound = (dishes: Session['dishes'], recipes?: Recipe[]) => {
  const { problem } = compiled(dishes, recipes)
  const plan = solve(problem, { iterations: 30 })
  expect(plan.activities.length).toBeGreaterThan(0)
  expect(checkPlan(problem, plan).map(breachText)).toEqual([])
  return plan
}

describe('what was done on an earlier day', () => {
  it('is left out with all that leads to it, and the session is shorter', () => {
    const pie = byId('fish-pie')
    const [leeks] = aheadOf(pie)
    expect(leeks).toMatchObject({ do: 'Wash and slice the leeks', ahead: { days: 2 } })
    const whole = sound([{ recipe: 'fish-pie', batches: 1 }])
    const rest = sound([{ recipe: 'fish-pie', batches: 1, done: [leeks!.id] }])
    expect(rest.activities.map((a) => a.id)).not.toContain(`fish-pie.${leeks!.id}`)
    expect(rest.makespan).toBeLessThanOrEqual(whole.makespan)
    const mashed = pie.steps.find((s) => s.do.includes('mash'))!
    expect([...upTo(pie, [mashed.id])].length).toBe(3)
  })

  it('leaves a session that plans, whatever was done', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...demoRecipes.filter((r) => !r.base)),
        fc.array(fc.nat(12), { maxLength: 3 }),
        (recipe, picks) => {
          const done = picks.map((p) => recipe.steps[p % recipe.steps.length]!.id)
          const steps = recipe.steps.map((s) => ({ ...s, ahead: { days: 1 } }))
          const recipes = demoRecipes.map((r) => (r === recipe ? { ...r, steps } : r))
          sound([{ recipe: recipe.id, batches: 1, done }], recipes)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('is never everything, and what is not in the recipe does not matter', () => {
    const bread = byId('soda-bread')
    const ready = { ...bread, steps: bread.steps.map((s) => ({ ...s, ahead: { days: 1 } })) }
    expect(withoutDone(ready, [bread.steps.at(-1)!.id])).toBe(ready)
    expect(withoutDone(ready, [bread.steps[0]!.id]).steps).toHaveLength(bread.steps.length - 1)
    // It was ticked while the recipe still said so.
    expect(withoutDone(bread, [bread.steps[0]!.id])).toBe(bread)
    expect(withoutDone(bread, ['nothing'])).toBe(bread)
  })
})

describe('a dish split into kinds', () => {
  const patties = recipeSchema.parse({
    ...byId('turkey-patties'),
    variants: {
      step: byId('turkey-patties').steps.find((s) => s.work === 'shape')!.id,
      kinds: [
        { name: 'mild', share: 0.25 },
        { name: 'smoky', share: 0.75 },
      ],
    },
  })

  it('is done kind by kind where it is split and where it is packed, and nowhere else', () => {
    const recipes = demoRecipes.map((r) => (r.id === patties.id ? patties : r))
    const { cards } = compiled([{ recipe: patties.id, batches: 1 }], recipes)
    const split = Object.values(cards).filter((c) => c.text.endsWith(': mild (25 %)'))
    expect(split.map((c) => c.work).sort()).toEqual(['pack', 'shape'])
    expect(Object.values(cards).filter((c) => c.text.endsWith(': smoky (75 %)'))).toHaveLength(2)
    const { problem } = compiled([{ recipe: patties.id, batches: 1 }], recipes)
    const seconds = (n: number) =>
      problem.activities.find((a) => a.id === `turkey-patties.shape.${n}`)!.modes[0]!.phases[0]!
        .seconds[0]
    expect(seconds(2)).toBe(3 * seconds(1))
    sound([{ recipe: patties.id, batches: 1 }], recipes)
  })
})

describe('what stands apart', () => {
  /** A dish of one step on an outdoor grill, as far away as `walk` minutes. */
  const outside = (work: 'grill' | 'fry', walk: number | undefined) => {
    const dish = recipeSchema.parse({
      ...byId('soda-bread'),
      id: 'skewers',
      keeps: [],
      steps: [
        {
          id: 'grill',
          do: 'Grill the skewers',
          work,
          ways: [{ id: 'out', minutes: [10, 10, 12], on: [{ kind: 'outdoor-grill' }] }],
        },
      ],
    })
    const station = {
      id: 'out',
      name: 'Outdoor grill',
      zone: 'appliance' as const,
      kind: 'outdoor-grill',
      capacity: 1,
      tags: [],
      outOfUse: false,
      ...(walk === undefined ? {} : { walk }),
    }
    const reading = compileSession({
      session: { ...demoSession, evenings: undefined, dishes: [{ recipe: 'skewers', batches: 1 }] },
      kitchen: { ...demoKitchen, stations: [...demoKitchen.stations, station] },
      recipes: [...demoRecipes, dish],
    })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { problem } = reading.value
    const plan = solve(problem, { iterations: 10 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    const { phases } = problem.activities.find((a) => a.id === 'skewers.grill')!.modes[0]!
    return { problem, phases, makespan: plan.makespan }
  }

  it('costs a walk there and back each time somebody sees to it', () => {
    const length = (walk: number | undefined) => outside('fry', walk).makespan
    expect(length(2) - length(undefined)).toBe(2 * 2 * 60)
  })

  it('has whoever minds it stay there, with eyes for nothing else', () => {
    const watchOf = ({ phases }: ReturnType<typeof outside>) => phases.find((p) => p.watch)!.watch!
    expect(watchOf(outside('grill', undefined))).toBe(50)
    const far = outside('grill', 2)
    const least = Math.min(...far.problem.cooks.map((c) => c.attention))
    expect(watchOf(far)).toBe(least)
    expect(least).toBeGreaterThan(50)
  })
})

describe('a kept pot without stated litres', () => {
  const stew = (grams: number): Recipe =>
    recipeSchema.parse({
      ...byId('squash-soup'),
      id: 'stew',
      ingredients: [
        { id: 'veg', item: 'carrots', amount: grams, unit: 'g' },
        { id: 'stock', item: 'stock', amount: 1, unit: 'l' },
      ],
      keeps: [{ id: 'pot', vessel: { kind: 'pot' }, from: 'cook', to: 'cook' }],
      routes: [],
      steps: [
        {
          id: 'cook',
          do: 'Simmer the carrots in the stock',
          work: 'simmer',
          ways: [{ id: 'hob', minutes: [20, 25, 30], on: [{ kind: 'burner' }] }],
          uses: ['veg', 'stock'],
        },
      ],
    })
  const compile = (grams: number, batches: number) =>
    compileSession({
      session: { ...demoSession, evenings: undefined, dishes: [{ recipe: 'stew', batches }] },
      kitchen: demoKitchen,
      recipes: [...demoRecipes, stew(grams)],
    })

  it('holds all that goes in, with room to boil, or the cook hears of it before', () => {
    const small = compile(500, 1)
    // 1.5 l of food, three quarters full.
    expect(small.ok && small.value.problem.holds[0]!.need.minSize).toBe(2)
    const large = compile(3000, 2)
    expect(large.ok).toBe(false)
    if (!large.ok) {
      expect(large.issues[0]!.path).toBe('dishes.stew.batches')
      expect(large.issues[0]!.message).toContain('10.6 litres')
    }
  })
})
