import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { homeSession } from '../../../bench/sessions'
import { checkPlan } from '../../plan'
import type { Problem } from '../../problem'
import { bakery, type Bake } from '../portfolio/bakery.fixture'
import { ovenSequencingBound } from '../bounds/ovenSequencingBound'
import { goodOrders } from './ovenSequencingHeuristics'
import { OvenSequencingSearch } from './ovenSequencingSearch'
import { OvenSequencing } from './ovenSequencing'
import { lowerBound } from '../bounds/lowerBound'
import { buildModel } from '../model/buildModel'
import { firstTrials } from './firstTrials'
import { emptyEncoding } from '../sgs/encoding'
import { below, seeded } from '../structures/random'
import { headsAndTails } from '../model/headsAndTails'
import { shortest } from '../portfolio/shortest.fixture'
import { solve } from '../portfolio/solve'

const hot = (seconds: number, low: number, more: Partial<Bake> = {}): Bake => ({
  seconds,
  celsius: [low, low + 10],
  ...more,
})

function sequenceOf(problem: Problem): OvenSequencing {
  const model = buildModel(problem)
  const taken = new Uint8Array(model.activities.length)
  for (const a of model.activities) taken[a.index] = a.choice < 0 ? 1 : 0
  return new OvenSequencing(model, (a) => taken[a.index] === 1, headsAndTails(model, taken))
}

/** The least length in this order in one oven, for any two bakes at a time. */
function leastIn(sequence: OvenSequencing, order: number[]): number {
  sequence.clear()
  return order.reduce((length, b) => {
    const oven = sequence.bakes[b]!.stations[0]!
    const at = sequence.earliest(b, oven)
    sequence.place(b, oven, at)
    return Math.max(length, at + sequence.bakes[b]!.tail)
  }, 0)
}

function permutations(n: number): number[][] {
  if (n === 0) return [[]]
  return permutations(n - 1).flatMap((p) =>
    Array.from({ length: n }, (_, k) => [...p.slice(0, k), n - 1, ...p.slice(k)]),
  )
}

/** Bakes that differ in all that counts, in one oven or two. */
function randomBakery(seed: number): Problem {
  const random = seeded(seed)
  const bakes = Array.from({ length: 2 + below(random, 4) }, () =>
    hot(60 * (1 + below(random, 10)), 150 + 10 * below(random, 6), {
      amount: [0.5, 1, 1.5, 2][below(random, 4)]!,
      method: random() < 0.8 ? 'bake' : 'grill',
      load: 30 * below(random, 3),
    }),
  )
  return bakery(bakes, [[2], [2, 2], [3]][below(random, 3)]!, below(random, 3))
}

describe('a sequence of bakes', () => {
  it('heats up, and changes temperature from heat to heat', () => {
    const sequence = sequenceOf(bakery([hot(600, 200), hot(500, 160)], [2], 2))
    // 180 degrees of two seconds each, and 30 between 200 and 170.
    expect(sequence.lengthOf([0, 1])).toBe(360 + 600 + 60 + 500)
    expect([...sequence.times]).toEqual([360, 1020])
    expect(leastIn(sequence, [0, 1])).toBe(360 + 600 + 60 + 500)
    // It begins as soon as there are 160 degrees, so 40 are left.
    expect(sequence.lengthOf([1, 0])).toBe(280 + 500 + 80 + 600)
  })

  it('has go together what fits and agrees, whatever the parts of an oven', () => {
    const both = (a: number, b: number, capacity: number) =>
      sequenceOf(
        bakery([hot(600, 200, { amount: a }), hot(500, 205, { amount: b })], [capacity]),
      ).lengthOf([0, 1])
    expect(both(1, 1, 2)).toBe(600)
    expect(both(0.5, 0.5, 1)).toBe(600)
    expect(both(0.75, 0.5, 1)).toBe(1100)
    expect(both(1 / 3, 2 / 3, 1)).toBe(600)
    expect(both(100, 100, 200)).toBe(600)
  })

  it('bakes at the heat that it has, and may be shorter at another', () => {
    const sequence = sequenceOf(bakery([hot(600, 150), hot(600, 155)], [2], 1))
    // At 150 the second does not join in; had the first waited for 155, it would.
    expect(sequence.lengthOf([0, 1])).toBe(130 + 600 + 5 + 600)
    expect(leastIn(sequence, [0, 1])).toBe(135 + 600)
  })

  it('loads while the temperature changes', () => {
    const bakes = [hot(600, 200, { load: 60 }), hot(500, 160, { load: 90 })]
    expect(sequenceOf(bakery(bakes, [3], 2)).lengthOf([0, 1])).toBe(360 + 600 + 60 + 500)
  })

  it('takes back what was put, as if it had not been', () => {
    const sequence = sequenceOf(bakery([hot(600, 200), hot(500, 160), hot(400, 180)], [1, 1], 1))
    const oven = sequence.bakes[0]!.stations[0]!
    sequence.clear()
    sequence.place(0, oven, sequence.earliest(0, oven))
    const before = [1, 2].map((b) => sequence.earliest(b, oven))
    sequence.place(1, oven, sequence.earliest(1, oven))
    expect(sequence.earliest(2, oven)).toBeGreaterThan(before[1]!)
    sequence.takeBack()
    expect([1, 2].map((b) => sequence.earliest(b, oven))).toEqual(before)
  })

  it('is never longer than a plan with its bakes in that order', () => {
    let bound = 0
    for (let seed = 1; seed <= 8; seed++) {
      const problem = seed % 2 ? homeSession(6, seed) : homeSession(9, seed)
      const plan = solve(problem, { iterations: 30, seed })
      expect(checkPlan(problem, plan)).toEqual([])
      const sequence = sequenceOf(problem)
      const began = new Map(plan.activities.map((run) => [run.id, run.start]))
      const at = (b: number) => began.get(problem.activities[sequence.bakes[b]!.activity]!.id)!
      const order = [...sequence.bakes.keys()].sort((a, b) => at(a) - at(b))
      expect(leastIn(sequence, order)).toBeLessThanOrEqual(plan.makespan)
      expect(leastIn(sequence, order)).toBeLessThanOrEqual(sequence.lengthOf(order))
      if (leastIn(sequence, order) > 0.95 * plan.makespan) bound++
    }
    // Ovens hold some of them up.
    expect(bound).toBeGreaterThan(1)
  })
})

describe('the least length', () => {
  it('is that of the best order in one oven', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
        const problem = randomBakery(seed)
        if (problem.stations.length > 1) return
        const sequence = sequenceOf(problem)
        const least = Math.min(
          ...permutations(sequence.bakes.length).map((order) => leastIn(sequence, order)),
        )
        const upper = Math.ceil(sequence.lengthOf(goodOrders(sequence, seeded(seed))[0]!))
        expect(ovenSequencingBound(sequence, 0, upper)).toBe(Math.ceil(least))
        expect(ovenSequencingBound(sequence, 0, upper + 500)).toBe(Math.ceil(least))
      }),
      { numRuns: 150 },
    )
  })

  it('is met where ovens are all there is, and never above the best plan', () => {
    let met = 0
    let proven = 0
    for (let seed = 1; seed <= 60; seed++) {
      const problem = randomBakery(seed)
      const plan = solve(problem, { iterations: 300, seed })
      const bound = lowerBound(buildModel(problem))!
      expect(bound.value).toBeLessThanOrEqual(plan.makespan)
      if (plan.status !== 'optimal') continue
      proven++
      if (bound.value === plan.makespan) met++
    }
    expect(proven).toBeGreaterThan(40)
    expect(met).toBeGreaterThan(0.6 * proven)
  })

  it('says less where there are too many orders, and nothing that is not so', () => {
    const random = seeded(3)
    const bakes = Array.from({ length: 16 }, () =>
      hot(60 * (3 + below(random, 30)), 150 + 5 * below(random, 20)),
    )
    const sequence = sequenceOf(bakery(bakes, [1], 3))
    const upper = Math.ceil(sequence.lengthOf(goodOrders(sequence, seeded(1))[0]!))
    const least = ovenSequencingBound(sequence, 0, upper)
    const work = bakes.reduce((sum, b) => sum + b.seconds, 0)
    expect(least).toBeGreaterThan(work)
    expect(least).toBeLessThanOrEqual(upper)
    const many = Array.from({ length: 30 }, (_, k) => hot(600, 150 + 2 * k))
    expect(ovenSequencingBound(sequenceOf(bakery(many, [1], 3)), 77, 1e6)).toBe(77)
  })
})

describe('orders of the bakes', () => {
  it('lead nearer to the least length than as many rules, where ovens hold a session up', () => {
    let better = 0
    let worse = 0
    // Of any six sessions half may go either way.
    for (let seed = 1; seed <= 18; seed++) {
      const problem = homeSession(9, seed)
      const model = buildModel(problem)
      const around = solve(problem, { iterations: 14, seed })
      expect(checkPlan(problem, around)).toEqual([])
      const trials = firstTrials(model.activities.length, false).slice(0, 14)
      const rules = shortest(model, emptyEncoding(model).option, trials)
      if (around.makespan < rules) better++
      if (around.makespan > rules) worse++
    }
    expect(better).toBeGreaterThan(1.5 * worse)
  })

  it('are changed from whatever did best, until told otherwise', () => {
    const model = buildModel(homeSession(9, 2))
    const option = new Int32Array(model.choices.length)
    const encoding = emptyEncoding(model)
    const search = new OvenSequencingSearch(model, seeded(1), option)
    // Nothing has come out yet: what it begins with is all there is.
    let count = 0
    while (search.next(encoding)) count++
    expect(count).toBeGreaterThan(3)
    expect(count).toBeLessThanOrEqual(20)
    const other = new OvenSequencingSearch(model, seeded(1), option)
    other.next(encoding)
    other.tell(1e6)
    for (let k = 0; k < 60; k++) expect(other.next(encoding)).toBe(true)
  })

  it('are not tried where less than two things bake', () => {
    const model = buildModel(bakery([hot(600, 180)]))
    expect(
      new OvenSequencingSearch(model, seeded(1), new Int32Array(0)).next(emptyEncoding(model)),
    ).toBe(false)
  })
})
