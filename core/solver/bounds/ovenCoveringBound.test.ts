import { describe, expect, it } from 'vitest'
import { everyFeature } from '../../../bench/everyFeature'
import { bakery, type Bake } from '../portfolio/bakery.fixture'
import { lowerBound } from './lowerBound'
import { buildModel } from '../model/buildModel'
import { ovenCoveringBound } from './ovenCoveringBound'
import { solve } from '../portfolio/solve'

function loadOf(...args: Parameters<typeof bakery>): number {
  const model = buildModel(bakery(...args))
  const group = model.stations.map((s) => s.index)
  return ovenCoveringBound(model, group, () => ({ head: 0, tail: 0 }))
}
const hot = (seconds: number, low: number, more: Partial<Bake> = {}): Bake => ({
  seconds,
  celsius: [low, low + 10],
  ...more,
})

describe('ovenLoad', () => {
  it('counts what goes in together once, and what is too much one after another', () => {
    expect(loadOf([hot(600, 180), hot(600, 185)])).toBe(600)
    expect(loadOf([hot(600, 180), hot(600, 180), hot(600, 180)])).toBe(900)
    expect(loadOf([hot(600, 180, { amount: 2 }), hot(600, 185)])).toBe(1200)
  })

  it('keeps apart what wants other temperatures or another method', () => {
    expect(loadOf([hot(600, 160), hot(600, 200)])).toBe(1200)
    expect(loadOf([hot(600, 180), hot(600, 180, { method: 'grill' })])).toBe(1200)
    // Two and two go together.
    expect(loadOf([hot(600, 160), hot(500, 200), hot(400, 200), hot(300, 160)])).toBe(1100)
  })

  it('adds the changes of temperature, but not where loading goes on meanwhile', () => {
    // From 20 to 160, and on to 200: 180 degrees of two seconds each.
    expect(loadOf([hot(600, 160), hot(600, 200)], [2], 2)).toBe(1200 + 360)
    const loaded = [
      hot(600, 160, { load: 100, amount: 2 }),
      hot(600, 200, { load: 100, amount: 2 }),
    ]
    expect(loadOf(loaded, [2], 2)).toBe(1200 + 360)
    expect(loadOf(loaded, [2], 0)).toBe(1400)
  })

  it('shares the work between several ovens, each for what fits', () => {
    expect(loadOf([hot(600, 160), hot(600, 200)], [1, 1])).toBe(600)
    const four = [160, 180, 200, 220].map((low) => hot(600, low))
    expect(loadOf(four, [2, 1])).toBe(1200)
    // Nothing of this fits into the small one, whose time counts nevertheless, but less.
    const large = four.map((bake) => ({ ...bake, amount: 2 }))
    expect(loadOf(large, [2, 1])).toBe(1600)
    expect(lowerBound(buildModel(bakery(large, [2, 1])))!.value).toBe(2400)
  })

  it('is met by a plan where the ovens are all that counts, and never above one', () => {
    const bakes = [hot(600, 160), hot(500, 200), hot(400, 200), hot(300, 160), hot(700, 180)]
    const plan = solve(bakery(bakes, [2], 2), { iterations: 400 })
    expect(plan.makespan).toBe(loadOf(bakes, [2], 2))
    for (let seed = 1; seed <= 6; seed++) {
      const problem = everyFeature(4, seed)
      const { value } = lowerBound(buildModel(problem))!
      expect(solve(problem, { iterations: 150 }).makespan).toBeGreaterThanOrEqual(value)
    }
  })
})
