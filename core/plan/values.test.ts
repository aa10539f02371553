import { describe, expect, it } from 'vitest'
import type { Problem } from '../problem'
import { problemOf } from '../testing/problemOf'
import { checkPlan, comparePlans, objectiveValue, switches, type Plan } from './index'

const stay = (cook: string, from: number, minutes: number, dish?: string) => ({
  cook,
  from: from * 60,
  to: (from + minutes) * 60,
  dish,
})

describe('switches', () => {
  it('counts for each cook how often two stays in a row are at different dishes', () => {
    const work = [
      stay('ana', 0, 5, 'soup'),
      stay('ana', 10, 5, 'pie'),
      stay('ana', 5, 5, 'soup'),
      stay('ana', 20, 5, 'soup'),
      stay('bo', 0, 5, 'pie'),
      stay('bo', 5, 5, 'pie'),
    ]
    expect(switches(work)).toBe(2)
  })

  it('passes over what is brief, two minutes included', () => {
    const between = (minutes: number) => [
      stay('ana', 0, 5, 'soup'),
      stay('ana', 5, minutes, 'pie'),
      stay('ana', 10, 5, 'soup'),
    ]
    expect(switches(between(2))).toBe(0)
    expect(switches(between(2.5))).toBe(2)
  })
})

const TWO: Problem = problemOf({
  activities: [
    { id: 'soup', label: 'soup', dish: 'soup', modes: hands(300) },
    { id: 'pie', label: 'pie', dish: 'pie', modes: hands(300) },
  ],
  objective: ['makespan', 'switches'],
  allowance: { makespan: 120 },
})
function hands(seconds: number) {
  return [
    {
      id: 'm',
      needs: [],
      phases: [{ seconds: [seconds, seconds] as [number, number], hands: {} }],
    },
  ]
}

const plan = (pie: number, change: Partial<Plan> = {}): Plan => ({
  format: 'cadrum/plan@1',
  problem: TWO.name,
  status: 'feasible',
  makespan: pie + 300,
  shortest: 600,
  bound: 600,
  seed: 1,
  elapsedMs: 0,
  choices: {},
  activities: [0, pie].map((start, k) => ({
    id: ['soup', 'pie'][k]!,
    mode: 'm',
    start,
    end: start + 300,
    stations: [],
    phases: [{ from: start, to: start + 300, cook: TWO.cooks[0]!.id }],
  })),
  holds: [],
  chores: [],
  heats: [],
  reasons: [],
  ...change,
})

describe('an allowance', () => {
  const said = (p: Plan) => checkPlan(TWO, p).map((b) => b.message)

  it('lets a plan be so much longer than the shortest that was found', () => {
    expect(said(plan(300))).toEqual([])
    expect(said(plan(420))).toEqual([])
    expect(said(plan(421)).join()).toContain('has a makespan of 721, 121 from the best of 600')
  })

  it('has the shortest, not the plan, meet the bound where it is called optimal', () => {
    expect(said(plan(360, { status: 'optimal' }))).toEqual([])
    expect(said(plan(360, { status: 'optimal', bound: 500 })).join()).toContain('called optimal')
    expect(said(plan(300, { shortest: 500, bound: 550 })).join()).toContain(
      'its best makespan 500 beats',
    )
    expect(said(plan(300, { shortest: 700 })).join()).toContain('says that 700 is the best')
  })

  it('counts as equal what it allows, and comes last', () => {
    expect(objectiveValue(TWO, plan(420), 'switches')).toBe(1)
    expect(comparePlans(TWO, plan(300), plan(420))).toBeLessThan(0)
    // Of one cook that is one change less: one of the two is somebody else's.
    const shared = plan(420)
    const problem = { ...TWO, cooks: [...TWO.cooks, { ...TWO.cooks[0]!, id: 'bo' }] }
    shared.activities[1]!.phases[0]!.cook = 'bo'
    expect(comparePlans(problem, shared, plan(300))).toBeLessThan(0)
    expect(
      comparePlans({ ...problem, allowance: { makespan: 119 } }, shared, plan(300)),
    ).toBeGreaterThan(0)
  })
})
