import { describe, expect, it } from 'vitest'
import { demoKitchen } from '../../demo'
import { kitchenSchema } from '../kitchen'
import { breachText, checkPlan } from '../plan'
import type { Recipe } from '../recipe'
import { recipeTold } from '../recipe/told.fixture'
import { solve } from '../solver'
import { compileSession } from './compile'
import type { Session } from './schema'
import { withSharedPrep } from './sharedPrep'

const recipeOf = (id: string, mark: string, text: string) => recipeTold(text, id, mark)
const SOUP = recipeOf(
  'soup',
  'Cs',
  'Carrot soup\nServes 4\n\n600 g carrots\n1 l stock\n\nDice the carrots. Put them in a large saucepan with the stock and simmer for 20 minutes. Blend until smooth.',
)
const STEW = recipeOf(
  'stew',
  'Bs',
  'Bean stew\nServes 4\n\n2 large carrots\n400 g cooked beans\n\nDice the carrots. Fry them gently in a pot for 8 minutes. Add the beans and simmer for 25 minutes.',
)
const SALAD = recipeOf(
  'salad',
  'Sl',
  'Carrot salad\nServes 4\n\n300 g carrots\n2 tbsp oil\n\nGrate the carrots. Mix them with the oil in a bowl.',
)
const rice = (id: string, mark: string, minutes: number, grams: number) =>
  recipeOf(
    id,
    mark,
    `Rice ${id}\nServes 4\n\n${grams} g long grain rice\n2 eggs\n\nBoil the rice in a pot for ${minutes} minutes. Stir the eggs in and fry in a frying pan for 5 minutes.`,
  )
const kitchen = kitchenSchema.parse(demoKitchen)
const session = (dishes: [string, number][], apart?: string[]): Session => ({
  format: 'cadrum/session@1',
  id: 's',
  name: 'Shared',
  kitchen: kitchen.id,
  cooks: ['runa', 'teo'],
  start: '2027-03-20T09:00',
  dishes: dishes.map(([recipe, batches]) => ({ recipe, batches })),
  ...(apart ? { apart } : {}),
})
const both = session([
  ['soup', 1],
  ['stew', 2],
  ['salad', 1],
])
const all = [SOUP, STEW, SALAD]

describe('what dishes share', () => {
  it('is the same cut of the same food, with each dish its amount', () => {
    const { shared } = withSharedPrep(both, all, kitchen)
    expect(shared).toHaveLength(1)
    expect(shared[0]!.name).toBe('Diced carrots')
    expect(shared[0]!.parts.map((p) => [p.dish, p.line])).toEqual([
      ['soup', '600 g carrots'],
      ['stew', '4 large carrots'],
    ])
  })

  it('is cut once, in less time than for each apart and more than for the longest', () => {
    const minutes = (r: Recipe, b: number) => r.steps[0]!.ways[0]!.minutes[1] * b
    const { recipes, shared } = withSharedPrep(both, all, kitchen)
    const base = recipes.find((r) => r.id === shared[0]!.id)!
    const sum = minutes(SOUP, 1) + minutes(STEW, 2)
    const once = base.steps[0]!.ways[0]!.minutes[1]
    expect(once).toBeLessThan(sum)
    expect(once).toBeGreaterThanOrEqual(Math.max(minutes(SOUP, 1), minutes(STEW, 2)))
    expect(base.steps[0]!.do).toBe('Dice the carrots, for Carrot soup and Bean stew')
    expect(recipes.find((r) => r.id === 'soup')!.steps.some((s) => s.work === 'cut')).toBe(false)
    expect(recipes.find((r) => r.id === 'salad')).toBe(SALAD)
  })

  it('stays apart where the cook wants it so, and is still named', () => {
    const [found] = withSharedPrep(both, all, kitchen).shared
    const apart = withSharedPrep({ ...both, apart: [found!.id] }, all, kitchen)
    expect(apart.recipes).toEqual(all)
    expect(apart.shared[0]!.apart).toBe(true)
  })

  it('makes a plan that keeps all rules, with every dish waiting for its part', () => {
    const reading = compileSession({ session: both, kitchen, recipes: all })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { problem, cards, dishes, shared } = reading.value
    const plan = solve(problem, { iterations: 40 })
    expect(checkPlan(problem, plan).map(breachText)).toEqual([])
    expect(dishes.map((d) => d.id)).toContain(shared[0]!.id)
    const cuts = plan.activities.filter((a) => a.id.startsWith(shared[0]!.id))
    const done = Math.max(...cuts.map((a) => a.end))
    for (const dish of ['soup', 'stew']) {
      const first = plan.activities.filter((a) => cards[a.id]!.dish === dish)
      expect(Math.min(...first.map((a) => a.start))).toBeGreaterThanOrEqual(done)
    }
    // A third of it in each of three pieces.
    expect(cards[cuts[0]!.id]!.uses).toEqual([
      '200 g carrots, for Carrot soup',
      '1½ large carrots, for Bean stew',
    ])
  })

  it('gives each dish its amount once, though several steps wait for it', () => {
    const twice = { ...STEW, steps: STEW.steps.map((s) => ({ ...s })) }
    twice.steps.at(-1)!.after = [{ step: 'dice' }, ...twice.steps.at(-1)!.after]
    const reading = compileSession({ session: both, kitchen, recipes: [SOUP, twice, SALAD] })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const { cards, dishes, shared } = reading.value
    expect(dishes.find((d) => d.id === shared[0]!.id)!.batches).toBe(1)
    expect(Object.values(cards).find((c) => c.dish === shared[0]!.id)!.uses[0]).toBe(
      '200 g carrots, for Carrot soup',
    )
  })

  it('is also one pot of the same grain, as large as both need', () => {
    const pair = [rice('one', 'Ro', 14, 300), rice('two', 'Rt', 14, 200)]
    const { recipes, shared } = withSharedPrep(
      session([
        ['one', 1],
        ['two', 1],
      ]),
      pair,
      kitchen,
    )
    expect(shared.map((s) => s.name)).toEqual(['Cooked long grain rice'])
    const way = recipes.find((r) => r.id === shared[0]!.id)!.steps[0]!.ways[0]!
    // 500 g with 950 ml of water, in a pot filled to three quarters.
    expect(way.on.find((n) => n.kind === 'pot')!.minSize).toBeCloseTo(1.45 / 0.75, 1)
    expect(way.minutes[1]).toBeLessThan(2 * 14)
  })

  it.each([
    ['times differ', [rice('one', 'Ro', 14, 300), rice('two', 'Rt', 30, 200)], 1],
    ['no pot holds both', [rice('one', 'Ro', 14, 900), rice('two', 'Rt', 14, 900)], 3],
  ] as [string, Recipe[], number][])('is not one pot where %s', (_, pair, batches) => {
    const wanted = session([
      ['one', batches],
      ['two', batches],
    ])
    expect(withSharedPrep(wanted, pair, kitchen).shared).toEqual([])
  })
})
