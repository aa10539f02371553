import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { recipeTold } from '../recipe/told.fixture'
import { withStatedHeats } from './statedHeats'

const bake = (name: string, celsius: number) =>
  recipeTold(
    `${name}\nServes 4\n\n500 g flour\n\nPut the flour in an oven dish. Bake at ${celsius}C for 20 minutes.`,
    name.toLowerCase(),
    name.slice(0, 2),
  )
const rangesOf = (...celsius: number[]) =>
  withStatedHeats(celsius.map((c, k) => bake(`Dish${k}`, c))).map(
    (r) => r.steps.find((s) => s.work === 'bake')!.ways[0]!.heat!.celsius,
  )

describe('the heat of a bake', () => {
  it('is the one that its text states, where nothing else is in the oven', () => {
    expect(rangesOf(200)).toEqual([[200, 200]])
  })
  it('is the same of two at one heat, and of two that cannot share an oven', () => {
    expect(rangesOf(200, 200)).toEqual([
      [200, 200],
      [200, 200],
    ])
    expect(rangesOf(160, 220)).toEqual([
      [160, 160],
      [220, 220],
    ])
  })
  it('goes a little up or down where two dishes then share the oven', () => {
    expect(rangesOf(190, 200, 150)).toEqual([
      [185, 195],
      [195, 205],
      [150, 150],
    ])
  })
  it('always holds what is stated, and never lets go of a heat that two can share', () => {
    const heat = fc.integer({ min: 14, max: 23 }).map((n) => n * 10)
    fc.assert(
      fc.property(fc.array(heat, { minLength: 1, maxLength: 4 }), (stated) => {
        const ranges = rangesOf(...stated)
        for (const [k, [low, high]] of ranges.entries()) {
          expect(low).toBeLessThanOrEqual(stated[k]!)
          expect(high).toBeGreaterThanOrEqual(stated[k]!)
          for (const [o, other] of stated.entries())
            if (Math.abs(other - stated[k]!) <= 10)
              expect(Math.max(low, ranges[o]![0])).toBeLessThanOrEqual(
                Math.min(high, ranges[o]![1]),
              )
        }
      }),
      { numRuns: 30 },
    )
  })
})
