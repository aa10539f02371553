import { foodOf, measured } from '../food'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import type { Session } from '../session'
import { shopList, totalOf } from './list'
import type { Price } from './prices'

const price = (item: string, amount: number, unit: Price['unit'], cost: number): Price => ({
  id: `${item.replace(/[^a-z]+/g, '-')}-${amount}-${cost}`,
  item,
  amount,
  unit,
  cost,
  day: '2027-03-01',
})
const lineOf = (asked: Parameters<typeof shopList>[0], item: string) =>
  shopList(asked).lines.find((l) => l.item === item)!

describe('one list of everything that is planned', () => {
  const held = { session: demoSession, recipes: demoRecipes }

  it('joins what several dishes want of a thing, by weight and by piece', () => {
    const recipes = demoRecipes.map((r) =>
      r.id === 'squash-soup'
        ? {
            ...r,
            ingredients: [
              ...r.ingredients,
              { id: 'carrot', item: 'large carrots, sliced', amount: 2, unit: 'piece' as const },
            ],
          }
        : r,
    )
    const line = lineOf({ ...held, recipes }, 'carrots')
    // Four dishes take a quarter of the roots: and two batches of soup four carrots of 80 g.
    expect(line.wants.map((w) => w.dish).sort()).toEqual(['roast-roots', 'squash-soup'])
    const roots = line.wants.find((w) => w.dish === 'roast-roots')!
    expect(line.used).toBeCloseTo(roots.amount + 4 * 80)
    expect(line.exact).toBe(false)
    expect(line.wants.find((w) => w.dish === 'squash-soup')!.as).toBe('4 large carrots, sliced')
  })

  it('takes what is in the house off, and says how much of it is taken', () => {
    const stock = [{ id: 'p', item: 'parsnips', amount: 700, unit: 'g' as const }]
    const bare = lineOf(held, 'parsnips')
    const line = lineOf({ ...held, stock }, 'parsnips')
    expect(line.stock).toBe(Math.min(700, bare.used))
    expect(line.bought).toBeLessThan(bare.bought)
    expect(line.from).toEqual([{ id: 'p', item: 'parsnips', amount: line.stock }])
  })

  it('buys whole packs, and says what could use the rest', () => {
    const session: Session = { ...demoSession, dishes: [{ recipe: 'soda-bread', batches: 2 }] }
    const line = lineOf({ ...held, session }, 'buttermilk')
    expect(line.used).toBe(800)
    expect(line.packs.map((p) => [p.count, p.offer.amount])).toEqual([[2, 500]])
    expect(line.left).toBe(200)
    const oats = lineOf(
      { ...held, session: { ...session, dishes: [{ recipe: 'turkey-patties', batches: 1 }] } },
      'rolled oats',
    )
    expect(oats.left).toBe(440)
    expect(oats.leftFor).toEqual(['oat-bars'])
  })

  it('only looks for a little of what every kitchen has, until it is said to be lacking', () => {
    const salt = lineOf(held, 'salt')
    expect(salt.check).toBe(true)
    expect(salt.bought).toBe(0)
    const lacking = lineOf({ ...held, choices: { lacking: [salt.id] } }, 'salt')
    expect(lacking.check).toBe(false)
    expect(lacking.bought).toBeGreaterThanOrEqual(lacking.used)
  })

  it('buys soaked pulses dry, and no water', () => {
    expect(lineOf(held, 'dried chickpeas').used).toBeCloseTo(2 * 500 * 0.45)
    expect(shopList(held).lines.some((l) => /water/.test(l.item))).toBe(false)
  })

  it('takes the next size where one was not to be had', () => {
    const line = lineOf(held, 'butter')
    const [pack] = line.packs
    const next = lineOf(
      { ...held, choices: { notHad: [{ line: line.id, amount: pack!.offer.amount }] } },
      'butter',
    )
    expect(next.bought).toBeGreaterThanOrEqual(next.used)
    expect(next.packs).not.toEqual(line.packs)
  })

  it('asks for what stands in, once the cook has said so', () => {
    const session: Session = {
      ...demoSession,
      dishes: demoSession.dishes.map((d) =>
        d.recipe === 'fish-pie' ? { ...d, swaps: [{ ingredient: 'fish', item: 'salmon' }] } : d,
      ),
    }
    const { lines } = shopList({ ...held, session })
    expect(lines.some((l) => l.item === 'salmon')).toBe(true)
    expect(lines.some((l) => l.item === 'smoked white fish')).toBe(false)
  })

  it('leaves nothing out and gains nothing: bought + stock = used + left, whatever the menu', () => {
    const recipe = fc.constantFrom(...demoRecipes.filter((r) => !r.base))
    const menu = fc.uniqueArray(fc.record({ recipe, halves: fc.integer({ min: 1, max: 12 }) }), {
      selector: (d) => d.recipe.id,
      minLength: 1,
      maxLength: 8,
    })
    const item = fc.constantFrom(
      ...new Set(demoRecipes.flatMap((r) => r.ingredients.map((i) => i.item))),
    )
    const house = fc.array(
      fc.record({ item, amount: fc.double({ min: 0, max: 3000, noNaN: true }) }),
      { maxLength: 12 },
    )
    const paid = fc.array(
      fc.record({
        item,
        amount: fc.integer({ min: 50, max: 2000 }),
        cost: fc.integer({ min: 1, max: 3000 }),
        loose: fc.boolean(),
      }),
      { maxLength: 12 },
    )
    fc.assert(
      fc.property(menu, house, paid, (dishes, there, known) => {
        const session: Session = {
          ...demoSession,
          dishes: dishes.map((d) => ({ recipe: d.recipe.id, batches: d.halves / 2 })),
        }
        const stock = there.map((s) => ({ ...s, unit: 'g' as const }))
        const prices = known.map(({ loose, ...p }, k) => ({
          ...price(p.item, p.amount, 'g', p.cost),
          id: `p-${k}`,
          ...(loose ? { loose: true as const } : {}),
        }))
        const { lines, total } = shopList({ session, recipes: demoRecipes, stock, prices })
        for (const line of lines) {
          expect(line.bought + line.stock).toBeCloseTo(line.used + line.left, 6)
          expect(line.used).toBeCloseTo(
            line.wants.reduce((n, w) => n + w.amount, 0),
            6,
          )
          for (const p of line.packs) expect(p.count).toBeGreaterThan(0)
        }
        // Nothing that is in the house is taken twice.
        for (const s of stock) {
          const own = foodOf(s.item).key
          const all = stock
            .filter((x) => foodOf(x.item).key === own)
            .reduce((n, x) => n + measured(foodOf(x.item), x.amount, x.unit).amount, 0)
          const taken = lines
            .filter((l) => l.id.startsWith(`${own}|`))
            .flatMap((l) => l.from)
            .reduce((n, f) => n + f.amount, 0)
          expect(taken).toBeLessThanOrEqual(all + 1e-6)
        }
        expect(total.least).toBe(lines.reduce((n, l) => n + (l.bought > 0 ? (l.cost ?? 0) : 0), 0))
        if (total.most !== undefined) expect(total.most).toBeGreaterThanOrEqual(total.least)
      }),
      { numRuns: 150 },
    )
  })

  it('wants what belongs to the meal for all who eat it', () => {
    const [soup] = demoRecipes.filter((r) => r.id === 'squash-soup')
    const recipe = {
      ...soup!,
      ingredients: [
        ...soup!.ingredients,
        { id: 'pasta', item: 'macaroni', amount: 300, unit: 'g' as const },
      ],
      steps: [
        ...soup!.steps,
        {
          ...soup!.steps[0]!,
          id: 'serve',
          do: 'To serve, boil the pasta',
          work: 'boil' as const,
          uses: ['pasta'],
          after: [{ step: 'pack' }],
        },
      ],
    }
    const session = (eaters: number): Session => ({
      ...demoSession,
      evenings: [{ day: '2027-03-22', time: 'short', eaters }],
      dishes: [{ recipe: 'squash-soup', batches: 1, on: ['2027-03-22'] }],
    })
    const recipes = demoRecipes.map((r) => (r.id === recipe.id ? recipe : r))
    // One batch serves six: what nobody eats on the evening is eaten some day.
    expect(lineOf({ session: session(3), recipes }, 'macaroni').used).toBe(300)
    expect(lineOf({ session: session(12), recipes }, 'macaroni').used).toBe(600)
  })
})

describe('what it costs', () => {
  const session: Session = { ...demoSession, dishes: [{ recipe: 'oat-bars', batches: 1 }] }
  const held = { session, recipes: demoRecipes }
  const prices = [
    price('rolled oats', 500, 'g', 90),
    price('rolled oats', 1, 'kg', 150),
    price('butter', 250, 'g', 220),
    price('honey', 340, 'g', 300),
  ]

  it('is the cheapest way to come to the amount', () => {
    const line = lineOf({ ...held, prices }, 'rolled oats')
    expect(line.cost).toBe(90)
    const two = { ...session, dishes: [{ recipe: 'oat-bars', batches: 2 }] }
    expect(lineOf({ ...held, session: two, prices }, 'rolled oats').cost).toBe(150)
  })

  it('is a range, or a least, where a price is not known', () => {
    const { total, lines } = shopList({ ...held, prices })
    expect(total.unknown).toEqual(lines.filter((l) => l.item === 'dates').map((l) => l.id))
    // Dates are no dearer by the gram than honey, which is dear for baking.
    const dates = lines.find((l) => l.item === 'dates')!
    expect(total.most).toBe(total.least + Math.round(dates.bought * (300 / 340)))
    expect(shopList(held).total).toMatchObject({ least: 0, most: undefined })
    expect(totalOf([])).toEqual({ least: 0, most: 0, unknown: [] })
  })

  it('goes by the latest price of a size', () => {
    const later = { ...price('butter', 250, 'g', 260), day: '2027-03-10' }
    expect(lineOf({ ...held, prices: [later, ...prices] }, 'butter').cost).toBe(260)
  })
})
