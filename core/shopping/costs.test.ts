import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import type { Session } from '../session'
import { CATALOGUE } from '../../server/devices/shop'
import { dishCosts } from './costs'
import { shopList } from './list'

const prices = CATALOGUE.map((p, k) => ({ ...p, id: `p-${k}`, day: '2027-03-01' }))

describe('what each dish costs', () => {
  it('is, with what is left of packs and without what is in the house, what the list costs', () => {
    const recipe = fc.constantFrom(...demoRecipes.filter((r) => !r.base))
    const menu = fc.uniqueArray(fc.record({ recipe, halves: fc.integer({ min: 1, max: 8 }) }), {
      selector: (d) => d.recipe.id,
      minLength: 1,
    })
    fc.assert(
      fc.property(menu, (dishes) => {
        const session: Session = {
          ...demoSession,
          dishes: dishes.map((d) => ({ recipe: d.recipe.id, batches: d.halves / 2 })),
        }
        const { lines, total } = shopList({ session, recipes: demoRecipes, prices })
        const costs = dishCosts(lines, session, demoRecipes)
        const left = lines.reduce((n, l) => n + (l.rate ?? 0) * l.left, 0)
        const looked = lines.reduce((n, l) => n + (l.rate ?? 0) * l.stock, 0)
        const all = costs.reduce((n, c) => n + c.cost, 0)
        // A coin for each dish that was rounded, and bases that are rounded up to a quarter batch.
        expect(Math.abs(all + left - looked - total.least)).toBeLessThanOrEqual(
          costs.length + 0.01 * total.least,
        )
      }),
      { numRuns: 60 },
    )
  })

  it('counts what is in the house as much as what is bought', () => {
    const session: Session = { ...demoSession, dishes: [{ recipe: 'fish-pie', batches: 1 }] }
    const cost = (stock: Parameters<typeof shopList>[0]['stock'] = []) =>
      dishCosts(
        shopList({ session, recipes: demoRecipes, prices, stock }).lines,
        session,
        demoRecipes,
      )[0]!.cost
    const bare = cost()
    const fish = cost([{ item: 'smoked white fish', amount: 600, unit: 'g' }])
    expect(fish).toBe(bare)
    expect(bare).toBeGreaterThan(900)
  })
})
