import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import type { Recipe } from '../recipe'
import { bulkWays, takenOf, withBulk } from './bulk'

const ROOM = { freezer: 60, fridge: 12 }
const stew = (id: string, grams: number, serves: number, litres: number): Recipe => ({
  ...demoRecipes.find((r) => r.id === 'braised-pork')!,
  id,
  name: id,
  serves,
  ingredients: [{ id: 'pork', item: 'pork shoulder', amount: grams, unit: 'g' }],
  store: { place: 'freezer', litres, days: 90 },
})
const recipes = [stew('braise', 900, 6, 2.2), stew('pie', 600, 4, 1.5), stew('ragu', 500, 5, 1.6)]

describe('what a whole piece could become', () => {
  it('adds up to the last gram, and uses all of it where dishes can', () => {
    const [best] = bulkWays('pork shoulder', 4000, 'g', recipes, ROOM)
    expect(best!.left).toBe(0)
    expect(best!.dishes.reduce((n, d) => n + d.amount, 0)).toBe(4000)
    expect(best!.dishes.length).toBe(3)
    const session = withBulk({ ...demoSession, dishes: [] }, best!)
    expect(takenOf('pork shoulder', 'g', session, recipes)).toBe(4000)
  })

  it('says what is left, whatever there is of it, of room, hands and appetite', () => {
    const asked = fc.record({
      amount: fc.integer({ min: 100, max: 9000 }),
      freezer: fc.integer({ min: 1, max: 30 }),
      hands: fc.option(fc.integer({ min: 10, max: 200 }), { nil: undefined }),
      most: fc.integer({ min: 1, max: 4 }),
    })
    fc.assert(
      fc.property(asked, ({ amount, freezer, hands, most }) => {
        const limits = { freezer, fridge: 0, most, ...(hands === undefined ? {} : { hands }) }
        for (const way of bulkWays('pork shoulder', amount, 'g', recipes, limits)) {
          const taken = way.dishes.reduce((n, d) => n + d.amount, 0)
          expect(taken + way.left).toBeCloseTo(amount, 6)
          expect(way.left).toBeGreaterThanOrEqual(0)
          expect(way.freezer).toBeLessThanOrEqual(freezer + 1e-6)
          if (hands !== undefined) expect(way.hands).toBeLessThanOrEqual(hands + 1e-6)
          for (const d of way.dishes) expect(d.batches).toBeLessThanOrEqual(most)
          const servings = way.dishes.reduce(
            (n, d) => n + d.batches * recipes.find((r) => r.id === d.recipe)!.serves,
            0,
          )
          expect(way.servings).toBeCloseTo(servings, 6)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('has nothing to say of what no dish takes', () => {
    expect(bulkWays('whole goat', 8000, 'g', recipes, ROOM)).toEqual([])
  })

  it('takes the demo’s own dishes as they are', () => {
    const [best] = bulkWays('minced turkey', 2800, 'g', demoRecipes, ROOM)
    expect(best).toMatchObject({ left: 0, servings: 16 })
    expect(best!.dishes).toEqual([{ recipe: 'turkey-patties', batches: 4, amount: 2800 }])
  })
})
