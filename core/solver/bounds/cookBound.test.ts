import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkPlan } from '../../plan'
import type { ProblemInput } from '../../problem'
import { problemOf } from '../../testing/problemOf'
import { lowerBound } from './lowerBound'
import { buildModel } from '../model/buildModel'
import { energyBound } from './energyBound'
import { solve } from '../portfolio/solve'

/** One way to do a dish: minutes of hands, and what is dirty afterwards. */
interface Way {
  minutes: number
  kind?: 'pot' | 'pan'
  contents?: string
}

/** Dishes that are each done in one of several ways, in so many pots and pans that are washed in a minute. */
function kitchen(dishes: Way[][], { pots = 1, pans = 1, cooks = 1 } = {}) {
  const several = (kind: string, count: number) =>
    Array.from({ length: count }, (_, i) => ({ id: `${kind}${i}`, kind, wash: { seconds: 60 } }))
  const input: Partial<ProblemInput> = {
    cooks: Array.from({ length: cooks }, (_, i) => ({ id: `cook${i}` })),
    stations: [...several('pot', pots), ...several('pan', pans)],
    activities: dishes.flatMap((ways, d) =>
      ways.map(({ minutes, kind, contents }, w) => ({
        id: `d${d}w${w}`,
        label: `Dish ${d}, way ${w}`,
        modes: [
          {
            id: 'only',
            needs: kind ? [{ kind, ...(contents ? { contents } : {}) }] : [],
            phases: [{ seconds: [60 * minutes, 60 * minutes] as [number, number], hands: {} }],
          },
        ],
      })),
    ),
    choices: dishes.map((ways, d) => ({
      id: `d${d}`,
      options: ways.map((_, w) => ({ id: `w${w}`, activities: [`d${d}w${w}`] })),
    })),
  }
  return problemOf(input)
}
const boundOf = (...args: Parameters<typeof kitchen>) => lowerBound(buildModel(kitchen(...args)))!

describe('the hands work that no plan gets round', () => {
  const either: Way[] = [{ minutes: 10, kind: 'pot' }, { minutes: 10.5 }]

  it('has washes that only one way of doing a dish asks for', () => {
    // One goes into the pot, and all others are done half a minute longer without it.
    const bound = boundOf([either, either, either, either])
    expect(bound).toMatchObject({ value: 600 + 3 * 630, kind: 'hands', because: ['cook0'] })
    const plan = solve(kitchen([either, either, either, either]), { iterations: 500 })
    expect(plan).toMatchObject({ status: 'optimal', makespan: bound.value })
  })

  it('spares as many washes as there are pots, and those between equal contents', () => {
    expect(boundOf([either, either, either], { pots: 2 }).value).toBe(2 * 600 + 630)
    const leek: Way[] = [{ minutes: 10, kind: 'pot', contents: 'leek' }, { minutes: 12 }]
    expect(boundOf([leek, leek, leek]).value).toBe(3 * 600)
    const pea: Way[] = [{ minutes: 10, kind: 'pot', contents: 'pea' }, { minutes: 12 }]
    const both: Way[] = [{ minutes: 10, kind: 'pot', contents: 'bean' }]
    // Two that have one to themselves: the third may go with either.
    expect(boundOf([leek, pea, both]).value).toBe(3 * 600 + 2 * 60)
  })

  it('shares them between two who wash', () => {
    const pot: Way[] = [
      { minutes: 10, kind: 'pot' },
      { minutes: 10, kind: 'pan' },
    ]
    expect(boundOf([pot, pot, pot, pot], { cooks: 2 }).value).toBe((4 * 600 + 2 * 60) / 2)
  })

  it('is never above the shortest plan', () => {
    const way = fc.record({
      minutes: fc.integer({ min: 1, max: 6 }),
      kind: fc.constantFrom(undefined, 'pot' as const, 'pan' as const),
      contents: fc.constantFrom(undefined, 'leek', 'pea'),
    })
    const dishes = fc.array(fc.array(way, { minLength: 1, maxLength: 3 }), {
      minLength: 2,
      maxLength: 5,
    })
    const sizes = fc.record({
      pots: fc.integer({ min: 1, max: 2 }),
      pans: fc.integer({ min: 1, max: 2 }),
      cooks: fc.integer({ min: 1, max: 2 }),
    })
    let proven = 0
    fc.assert(
      fc.property(dishes, sizes, (list, size) => {
        const problem = kitchen(
          list.map((ways) => ways.map((w) => JSON.parse(JSON.stringify(w)) as Way)),
          size,
        )
        const plan = solve(problem, { iterations: 300 })
        expect(checkPlan(problem, plan)).toEqual([])
        if (plan.status === 'optimal') proven++
        expect(lowerBound(buildModel(problem))!.value).toBeLessThanOrEqual(plan.makespan)
      }),
      { numRuns: 80 },
    )
    expect(proven).toBeGreaterThan(60)
  })
})

describe('packed', () => {
  const room = (from: number, to: number) => Math.max(0, to - from)
  const work = (seconds: number, head = 0, tail = 0) => ({ seconds, head, tail })

  it('takes off what is spared, from whatever lies between a head and a tail', () => {
    expect(energyBound([work(50), work(30)], room)).toBe(80)
    expect(energyBound([work(50), work(30)], room, 20)).toBe(60)
    // Before the one with a tail there is room for as much as that begins later.
    expect(energyBound([work(50, 10, 40), work(30)], room)).toBe(100)
    expect(energyBound([work(50, 10, 40), work(30)], room, 20)).toBe(80)
  })
})
