import { describe, expect, it } from 'vitest'
import type { Plan } from '../plan'
import { betterPlan, type KeptPlan } from './index'

const kept = (makespan: number, bound: number, change: Partial<KeptPlan> = {}): KeptPlan => ({
  session: 's',
  problem: 'p',
  boundBy: `bound ${bound}`,
  oneByOne: 999,
  ...change,
  plan: {
    format: 'cadrum/plan@1',
    problem: 'x',
    status: 'feasible',
    makespan,
    bound,
    seed: 1,
    elapsedMs: 0,
    choices: {},
    activities: [{ id: 'a', mode: 'm', start: 0, end: makespan, stations: [], phases: [] }],
    holds: [],
    chores: [],
    heats: [],
    reasons: [],
    ...change.plan,
  } as Plan,
})
const nothing = kept(0, 50, { plan: { ...kept(0, 50).plan, status: 'unknown', activities: [] } })

describe('betterPlan', () => {
  it('keeps the shorter plan of a problem, whichever came first', () => {
    expect(betterPlan(kept(100, 50), kept(120, 50)).plan.makespan).toBe(100)
    expect(betterPlan(kept(120, 50), kept(100, 50)).plan.makespan).toBe(100)
  })

  it('never loses a plan to a search that found none', () => {
    expect(betterPlan(kept(100, 50), nothing).plan.activities).toHaveLength(1)
  })

  it('takes the better bound of both, and calls it optimal where they meet', () => {
    expect(betterPlan(kept(100, 50), kept(120, 70))).toMatchObject({
      boundBy: 'bound 70',
      plan: { makespan: 100, bound: 70, status: 'feasible' },
    })
    expect(betterPlan(kept(100, 50), kept(120, 100)).plan.status).toBe('optimal')
    expect(betterPlan(kept(100, 90), kept(95, 60)).plan).toMatchObject({ makespan: 95, bound: 90 })
  })

  it('keeps the one that is better in what comes after, and of equals the one that was there', () => {
    const [calm, busy] = [
      kept(100, 50, { values: [100, 90, 5] }),
      kept(100, 50, { values: [100, 90, 20] }),
    ]
    expect(betterPlan(calm, busy)).toEqual(calm)
    expect(betterPlan(busy, calm)).toEqual(calm)
    const proven = kept(100, 100, { plan: { ...kept(100, 100).plan, status: 'optimal' } })
    expect(betterPlan(proven, kept(100, 50)).plan.status).toBe('optimal')
    expect(betterPlan(kept(100, 50), proven).plan).toMatchObject({ status: 'optimal', bound: 100 })
    expect(betterPlan(calm, { ...calm })).toEqual(calm)
  })

  it('knows what dish after dish takes, whichever of the two does', () => {
    const [without, known] = [kept(100, 50, { oneByOne: null }), kept(100, 50, { oneByOne: 300 })]
    expect(betterPlan(without, known).oneByOne).toBe(300)
    expect(betterPlan(known, without).oneByOne).toBe(300)
  })

  it('takes what is longer by no more than it may be, and fewer changes of dish, or steadier', () => {
    const calm = (makespan: number, changes: number, change: Partial<KeptPlan> = {}) =>
      kept(makespan, 50, {
        values: [makespan, changes],
        free: 10,
        ...change,
        plan: { shortest: 100, ...change.plan } as Plan,
      })
    expect(betterPlan(calm(100, 9), calm(110, 5)).plan.makespan).toBe(110)
    expect(betterPlan(calm(110, 5), calm(100, 9)).plan.makespan).toBe(110)
    expect(betterPlan(calm(100, 9), calm(111, 5)).plan.makespan).toBe(100)
    // A shorter one that turns up leaves less room for the others.
    const shorter = calm(95, 9, { plan: { shortest: 95 } as Plan, strict: [95, 9] })
    expect(betterPlan(calm(110, 5), shorter).plan.makespan).toBe(95)
    expect(betterPlan(calm(104, 5), shorter)).toMatchObject({
      strict: [95, 9],
      plan: { makespan: 104, shortest: 95 },
    })
    const steady = (eighty: number) => ({ steady: { eighty, otherwise: 130, of: 3 } })
    const steadier = calm(108, 7, steady(120))
    expect(betterPlan(steadier, calm(104, 5, steady(125)))).toMatchObject(steady(120))
    expect(betterPlan(calm(104, 5), steadier)).toMatchObject(steady(120))
    expect(betterPlan(steadier, shorter).plan.makespan).toBe(95)
  })

  it('gives way to a plan of another problem', () => {
    const other = kept(200, 50, { problem: 'q' })
    expect(betterPlan(kept(100, 50), other)).toBe(other)
    expect(betterPlan(undefined, other)).toBe(other)
  })
})
