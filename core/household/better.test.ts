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

  it('gives way to a plan of another problem', () => {
    const other = kept(200, 50, { problem: 'q' })
    expect(betterPlan(kept(100, 50), other)).toBe(other)
    expect(betterPlan(undefined, other)).toBe(other)
  })
})
