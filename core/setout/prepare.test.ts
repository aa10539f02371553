import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoKitchen, demoRecipes, demoSession } from '../../demo'
import { compileSession, cookingsOf, type Session } from '../session'
import { needsOf } from '../shopping'
import { solve } from '../solver'
import { stockSchema, type Stock } from '../stock'
import { portionsBySitting } from './amounts'
import { prepare } from './prepare'
import { setOutOf } from './setOut'

const held = { kitchen: demoKitchen, recipes: demoRecipes }
const inFreezer = (item: string, amount: number, unit: Stock['unit'] = 'g'): Stock =>
  stockSchema.parse({ id: item.replace(/[^a-z]+/g, '-'), item, amount, unit, place: 'freezer' })

describe('what is wanted in which sitting', () => {
  it('adds up to what is bought, to the gram, whatever the menu and its sittings', () => {
    const recipe = fc.constantFrom(...demoRecipes.filter((r) => !r.base))
    const menu = fc.uniqueArray(fc.record({ recipe, halves: fc.integer({ min: 1, max: 8 }) }), {
      selector: (d) => d.recipe.id,
      minLength: 1,
      maxLength: 5,
    })
    fc.assert(
      fc.property(menu, fc.integer({ min: 0, max: 180 }), (dishes, limit) => {
        const session: Session = {
          ...demoSession,
          parted: undefined,
          sittings: limit < 10 ? undefined : [{ ...demoSession.sittings![0]!, limit }],
          dishes: dishes.map((d) => ({
            recipe: d.recipe.id,
            batches: d.halves / 2,
            on: ['2027-03-22'],
          })),
        }
        const { assignment } = cookingsOf({ session, ...held })
        const portions = portionsBySitting(session, demoRecipes, assignment)
        const needs = needsOf(session, demoRecipes)
        for (const need of needs) {
          const own = portions.filter(
            (p) => p.dish === need.dish && p.ingredient === need.ingredient,
          )
          expect(own.length).toBeGreaterThan(0)
          expect(own.reduce((n, p) => n + p.amount, 0)).toBeCloseTo(need.amount, 6)
        }
        const { list } = prepare({ session, ...held })
        const used = list.lines.reduce((n, l) => n + l.used, 0)
        expect(portions.reduce((n, p) => n + p.amount, 0)).toBeCloseTo(used, 4)
      }),
      { numRuns: 40 },
    )
  })

  it('is when it is got ready: what is cut on Friday is there on Friday', () => {
    const { assignment } = cookingsOf({ session: demoSession, ...held })
    const portions = portionsBySitting(demoSession, demoRecipes, assignment)
    const at = (dish: string, ingredient: string) =>
      portions.filter((p) => p.dish === dish && p.ingredient === ingredient).map((p) => p.sitting)
    expect(at('squash-soup', 'squash')).toEqual(['friday'])
    expect(at('squash-soup', 'lentil')).toEqual(['main'])
  })
})

describe('what is seen to before the cooking', () => {
  it('leaves the freezer in time by its weight, when somebody is up, with its caution', () => {
    const stock = [inFreezer('pork shoulder', 2000), inFreezer('minced turkey', 500)]
    const { ready } = prepare({ session: { ...demoSession, sittings: undefined }, ...held, stock })
    const [pork] = ready.filter((r) => r.kind === 'thaw' && r.words.includes('pork'))
    // 1.8 kg take up to 22 hours in the fridge; Saturday begins at 9.
    expect(pork!.at).toBe('2027-03-19T11:00')
    expect(pork!.words).toMatch(/1\.8 kg pork shoulder, about 22 h, for braised pork/)
    expect(pork!.caution).toMatch(/in the fridge.*two days.*cold water.*cooked at once/s)
    const [turkey] = ready.filter((r) => r.kind === 'thaw' && r.words.includes('turkey'))
    expect(turkey!.at).toBe('2027-03-19T21:00')
    for (const r of ready) {
      const hour = Number(r.at.slice(11, 13))
      expect(hour).toBeGreaterThanOrEqual(7)
      expect(hour).toBeLessThanOrEqual(21)
    }
  })

  it('does not thaw what goes into the pot frozen, nor what is not wanted', () => {
    const stock = [inFreezer('carrots', 1000), inFreezer('lamb shank', 900)]
    const { ready } = prepare({ session: demoSession, ...held, stock })
    expect(ready.filter((r) => r.kind === 'thaw')).toEqual([])
  })

  it('soaks what a recipe takes soaked, dry weight and half a day before', () => {
    const { ready } = prepare({ session: demoSession, ...held })
    const [soak] = ready.filter((r) => r.kind === 'soak')
    expect(soak!.words).toMatch(/^Soak 450 g dried chickpeas/)
    expect(soak!.at).toBe('2027-03-19T21:00')
  })

  it('clears the kitchen before each sitting and counts what must be there', () => {
    const { ready, labels } = prepare({ session: demoSession, ...held })
    expect(ready.filter((r) => r.kind === 'clear').map((r) => [r.for, r.at])).toEqual([
      ['friday', '2027-03-19T19:00'],
      ['main', '2027-03-20T08:30'],
    ])
    expect(ready.find((r) => r.id === 'count-boxes')!.words).toContain(`${labels.length} in all`)
    expect(ready.map((r) => r.at)).toEqual(ready.map((r) => r.at).sort())
  })
})

describe('what is laid out', () => {
  const session: Session = { ...demoSession, sittings: undefined, parted: undefined }
  const compiled = compileSession({ session, ...held })
  if (!compiled.ok) throw new Error('the demo compiles')
  const plan = solve(compiled.value.problem, { iterations: 30 })
  const { portions, labels } = prepare({ session, ...held })
  const laid = setOutOf({
    session,
    ...held,
    portions,
    sitting: 'main',
    labels,
    packedHere: () => true,
    compiled: compiled.value,
    plan,
  })

  it('stands dish by dish in the order of first use by the plan', () => {
    const firsts = laid.map((d) => d.first ?? Infinity)
    expect(firsts).toEqual([...firsts].sort((a, b) => a - b))
    for (const dish of laid) {
      const own = dish.items.map((i) => i.first ?? Infinity)
      expect(own).toEqual([...own].sort((a, b) => a - b))
    }
    expect(laid.flatMap((d) => d.items)).toHaveLength(
      portions.filter((p) => p.sitting === 'main').length,
    )
  })

  it('is measured as the recipe measures, for all that is made', () => {
    const chickpeas = laid.find((d) => d.dish === 'spiced-chickpeas')!
    expect(chickpeas.items.map((i) => `${i.amount} ${i.item}`)).toContain('1 kg soaked chickpeas')
    expect(chickpeas.items.map((i) => `${i.amount} ${i.item}`)).toContain('4 tbsp toasting spices')
    const eggs = laid.find((d) => d.dish === 'beetroot-eggs')!
    expect(eggs.items.find((i) => i.item === 'eggs')!.amount).toBe('12')
  })

  it('names the places that its plan takes, and the boxes that it fills', () => {
    const soup = laid.find((d) => d.dish === 'squash-soup')!
    expect(soup.tools).toContain('Stick blender')
    expect(soup.tools.some((t) => /board/.test(t))).toBe(true)
    expect(soup.packs).toBe(labels.filter((l) => l.dish === 'squash-soup').length)
  })

  it('lays out nothing that another dish leaves, and buys none of it', () => {
    const [pork, soup] = ['braised-pork', 'squash-soup'].map((id) =>
      demoRecipes.find((r) => r.id === id)!,
    )
    const recipes = [
      { ...pork!, leaves: [{ item: 'stock', amount: 1300, unit: 'ml' as const, days: 3 }] },
      soup!,
      ...demoRecipes.filter((r) => r.base),
    ]
    const own: Session = {
      ...session,
      dishes: [
        { recipe: 'braised-pork', batches: 1 },
        { recipe: 'squash-soup', batches: 1 },
      ],
    }
    const { list, ...rest } = prepare({ session: own, kitchen: demoKitchen, recipes })
    const stock = list.lines.find((l) => l.item === 'stock')!
    expect(stock.from).toEqual([{ item: 'stock', amount: 1200, made: 'braised-pork' }])
    expect([stock.used, stock.stock, stock.bought, stock.left]).toEqual([2100, 1200, 1000, 100])
    const dishes = setOutOf({
      session: own,
      kitchen: demoKitchen,
      recipes,
      ...rest,
      sitting: 'main',
      packedHere: () => true,
    })
    const items = dishes.find((d) => d.dish === 'squash-soup')!.items.map((i) => i.item)
    expect(items).toContain('squash')
    expect(items).not.toContain('stock')
  })

  it('measures spices that go in together into one bowl', () => {
    const recipes = demoRecipes.map((r) =>
      r.id === 'spiced-chickpeas'
        ? {
            ...r,
            ingredients: [
              ...r.ingredients,
              { id: 'cumin', item: 'cumin', amount: 1, unit: 'tsp' as const },
            ],
            steps: r.steps.map((s) =>
              s.id === 'toast' ? { ...s, uses: [...s.uses, 'cumin'] } : s,
            ),
          }
        : r,
    )
    const own = prepare({ session, kitchen: demoKitchen, recipes })
    const dishes = setOutOf({
      session,
      kitchen: demoKitchen,
      recipes,
      portions: own.portions,
      sitting: 'main',
      labels: own.labels,
      packedHere: () => true,
    })
    const mixed = dishes.find((d) => d.dish === 'spiced-chickpeas')!.items.filter((i) => i.mix)
    expect(mixed.map((i) => i.item).sort()).toEqual(['cumin', 'toasting spices'])
    expect(new Set(mixed.map((i) => i.mix)).size).toBe(1)
  })
})
