import { describe, expect, it } from 'vitest'
import { kitchenSchema, newStation, READY_KITCHENS, KINDS } from '../kitchen'
import { breachText, checkPlan } from '../plan'
import { plannable, readRecipeText, recipeSchema, type Recipe } from '../recipe'
import { CORPUS } from '../recipe/text/corpus.fixture'
import { MORE } from '../recipe/text/corpusMore.fixture'
import { solve } from '../solver'
import { compileSession } from './index'

const kitchens = READY_KITCHENS.map((k) => kitchenSchema.parse(k.kitchen))
const everything = kitchenSchema.parse({
  ...READY_KITCHENS[2]!.kitchen,
  stations: [
    ...READY_KITCHENS[2]!.kitchen.stations,
    ...Object.keys(KINDS).map((k) => newStation(k, READY_KITCHENS[2]!.kitchen.stations)),
  ],
})
const recipes: Recipe[] = [...CORPUS, ...MORE].map(({ text }, i) =>
  recipeSchema.parse(plannable(readRecipeText(text), `dish-${i}`, 'Aa')),
)
const session = (ids: string[]) => ({
  format: 'cadrum/session@1' as const,
  id: 'own',
  name: 'Own',
  kitchen: 'my-kitchen',
  cooks: ['me'],
  start: '2027-03-20T09:00',
  dishes: ids.map((recipe) => ({ recipe, batches: 1 })),
})

describe('a cook’s own recipes in a ready kitchen', () => {
  it('plan, every one of them, and the checker finds nothing', () => {
    for (const recipe of recipes) {
      const reading = compileSession({
        session: session([recipe.id]),
        kitchen: everything,
        recipes,
      })
      if (!reading.ok) throw new Error(`${recipe.name}: ${JSON.stringify(reading.issues)}`)
      const plan = solve(reading.value.problem, { iterations: 30 })
      expect([recipe.name, plan.status, plan.reasons]).not.toContain('infeasible')
      expect(plan.activities.length).toBeGreaterThan(0)
      expect(checkPlan(reading.value.problem, plan).map(breachText)).toEqual([])
    }
  })

  it('plan where the dish itself keeps browned meat waiting longer than is usual', () => {
    const shanks = recipeSchema.parse(
      plannable(
        readRecipeText(
          'Lamb shanks\nServes 4\n\nIngredients\n4 lamb shanks\n2 onions\n500 ml red wine\n\nMethod\nBrown the lamb in a heavy casserole for 10 minutes. Lift it out. Soften the onions in the same pot for 15 minutes. Add the wine and simmer for 15 minutes. Return the lamb and braise in the oven at 150 °C for 3 hours.',
        ),
        'shanks',
        'Sh',
      ),
    )
    const reading = compileSession({
      session: session(['shanks']),
      kitchen: everything,
      recipes: [shanks],
    })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const plan = solve(reading.value.problem, { iterations: 30 })
    expect(plan.status).not.toBe('infeasible')
    const at = (verb: string) => plan.activities.find((a) => a.id.includes(verb))!
    expect(at('braise').start - at('brown').end).toBeGreaterThanOrEqual(30 * 60)
  })

  it('cook a whole bird in a pot that holds it', () => {
    const soup = recipeSchema.parse(
      plannable(
        readRecipeText(
          'Chicken broth\nServes 6\n\nIngredients\n1 whole chicken (about 1.6kg)\n2 carrots\n\nMethod\nPut the chicken and carrots in a pot, cover with water and simmer for 2 hours.',
        ),
        'broth',
        'Br',
      ),
    )
    const small = kitchenSchema.parse(READY_KITCHENS.find((k) => /small/i.test(k.title))!.kitchen)
    const reading = compileSession({ session: session(['broth']), kitchen: small, recipes: [soup] })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const plan = solve(reading.value.problem, { iterations: 30 })
    const pots = plan.holds.map((h) => small.stations.find((s) => s.id === h.station)!)
    expect(pots.filter((s) => s.kind === 'pot').map((s) => s.size)).toEqual([5])
  })

  it('plan together, six at a time', () => {
    const reading = compileSession({
      session: session(recipes.slice(0, 6).map((r) => r.id)),
      kitchen: everything,
      recipes,
    })
    if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
    const plan = solve(reading.value.problem, { iterations: 60 })
    expect(checkPlan(reading.value.problem, plan).map(breachText)).toEqual([])
  })

  it('say what the kitchen lacks, and so does what is out of use today', () => {
    const fryer = recipes.find((r) =>
      r.steps.some((s) => s.ways[0]!.on.some((o) => o.kind === 'air-fryer')),
    )!
    const lacking = compileSession({ session: session([fryer.id]), kitchen: kitchens[1]!, recipes })
    expect(lacking.ok).toBe(false)
    if (!lacking.ok) expect(lacking.issues[0]!.message).toContain('air fryer')
    const stew = recipes[0]!
    const broken = {
      ...everything,
      stations: everything.stations.map((s) => ({ ...s, outOfUse: s.kind === 'oven' })),
    }
    const reading = compileSession({ session: session([stew.id]), kitchen: broken, recipes })
    expect(reading.ok).toBe(false)
    if (!reading.ok) expect(reading.issues[0]!.message).toContain('oven')
  })
})
