import { describe, expect, it } from 'vitest'
import { breachText, checkPlan, type Plan } from '../plan'
import { readProblem, type Problem } from '../problem'
import { seeded, solve } from '../solver'
import { problemOf } from '../testing/problemOf'
import { randomProblem } from '../testing/randomProblem'
import { Luck } from './draws'
import { factsAt } from './facts'
import { finishOf, follow, type Course } from './follow'
import { networkOf, type Network } from './network'
import { DISTRACTED, played, quantile, rehearse, steadiest, USUAL_TIMES, withRoom } from './index'

/** Random problems of all features with a plan of each. */
const planned = (count: number): [number, Problem, Plan][] =>
  Array.from({ length: count }, (_, i) => i + 1).flatMap((seed) => {
    const problem = randomProblem(seed, 4 + (seed % 8))
    const plan = solve(problem, { iterations: 40, seed })
    return plan.activities.length ? [[seed, problem, plan] as [number, Problem, Plan]] : []
  })
const ALL = planned(120)
/** In these problems a second is what a minute is in a kitchen. */
const WILD = { ...USUAL_TIMES, person: 0.4, step: 0.5, checked: 0.4, reaction: 4, mishapSeconds: 9 }
const luck = (seed: number, noise = 1) => new Luck(seeded(seed), WILD, noise)

describe('a rehearsal', () => {
  it('is the plan, to the second, where nothing varies', () => {
    expect(ALL.length).toBeGreaterThan(80)
    for (const [seed, problem, plan] of ALL) {
      const net = networkOf(problem, plan)
      const { at } = follow(net, luck(seed, 0))
      expect([seed, ...at]).toEqual([seed, ...net.planned])
      expect(played(problem, plan, { noise: 0 })).toEqual(plan)
      const { finishes, late, waits } = rehearse(problem, plan, { runs: 2, noise: 0 })
      expect(finishes).toEqual([plan.makespan, plan.makespan])
      expect([late, waits]).toEqual([[], []])
    }
  })

  it('never has a cook in two places, nor too much in one, whatever happens', () => {
    let moved = 0
    for (const [seed, problem, plan] of ALL) {
      const net = networkOf(problem, plan)
      for (let run = 0; run < 5; run++) {
        const course = follow(net, luck(seed * 100 + run))
        if (finishOf(net, course) !== plan.makespan) moved++
        expect(clashes(problem, plan, net, course), `seed ${seed}, run ${run}`).toEqual([])
      }
    }
    expect(moved).toBeGreaterThan(100)
  })

  it('says of any instant what has happened, so that what is left can be planned', () => {
    let planned = 0
    for (const [seed, problem, plan] of ALL.slice(0, 60)) {
      if (problem.progress) continue
      const net = networkOf(problem, plan)
      const course = follow(net, luck(seed))
      const now = Math.ceil(finishOf(net, course) / 2)
      const reading = readProblem({
        ...problem,
        progress: factsAt(problem, plan, net, course, now),
      })
      if (!reading.ok) throw new Error(`seed ${seed}: ${JSON.stringify(reading.issues)}`)
      const anew = solve(reading.value, { iterations: 30, previous: plan })
      if (!anew.activities.length) continue
      planned++
      expect(checkPlan(reading.value, anew).map(breachText), `seed ${seed}`).toEqual([])
      // What lies behind is as it was, and the rest is followed from there.
      const again = networkOf(reading.value, anew)
      const goesOn = follow(again, luck(seed))
      for (let i = 0; i < again.planned.length; i++)
        if (again.fixed[i]) expect(goesOn.at[i]).toBe(again.planned[i])
        else expect(goesOn.at[i]).toBeGreaterThanOrEqual(now)
    }
    expect(planned).toBeGreaterThan(25)
  })

  it('gives the same for the same seed, and more spread with more noise', () => {
    const [, problem, plan] = ALL.find(([, , p]) => p.makespan > 40)!
    const of = (noise: number, seed = 1) =>
      rehearse(problem, plan, { runs: 300, seed, noise, times: WILD })
    expect(of(1)).toEqual(of(1))
    expect(of(1).finishes).not.toEqual(of(1, 2).finishes)
    const width = (noise: number) => {
      const { finishes } = of(noise)
      return quantile(finishes, 0.9) - quantile(finishes, 0.1)
    }
    expect(width(0.2)).toBeLessThan(width(1))
  })
})

const hands = (seconds: number) => ({ seconds: [seconds, seconds], hands: {} })
const step = (id: string, dish: string, ...phases: object[]) => ({
  id,
  label: id,
  dish,
  modes: [{ id: 'm', needs: [], phases }],
})
/** Something boils for ten minutes and may stand for two; somebody else keeps its cook for eleven. */
const BOIL = problemOf({
  activities: [
    step('boil', 'eggs', { seconds: [600, 600] }),
    step('peel', 'eggs', hands(300)),
    step('knead', 'bread', hands(590)),
  ] as never,
  relations: [{ from: 'boil', to: 'peel', kind: 'FS', min: 0, max: 120 }],
})

describe('what a rehearsal says', () => {
  const plan = solve(BOIL, { iterations: 200 })
  const slow = { ...USUAL_TIMES, person: 0.5 }

  it('is which wait gets too long, and what made it late', () => {
    expect(plan).toMatchObject({ status: 'optimal', makespan: 900 })
    const { waits, late, dishes } = rehearse(BOIL, plan, { runs: 400, times: slow })
    expect(waits[0]).toMatchObject({ between: ['boil', 'peel'] })
    expect(waits[0]!.share).toBeGreaterThan(0.05)
    expect(late.map((l) => l.activity)).toContain('knead')
    expect(dishes.map((d) => [d.dish, d.planned])).toEqual([
      ['eggs', 900],
      ['bread', 600],
    ])
    for (const d of dishes) expect(d.most).toBeGreaterThan(d.half)
  })

  it('is later with somebody distracted', () => {
    const half = (policy: 'follow' | 'distracted') =>
      quantile(rehearse(BOIL, plan, { runs: 500, policy }).finishes, 0.5)
    expect(DISTRACTED.reaction).toBeGreaterThan(USUAL_TIMES.reaction)
    expect(half('distracted')).toBeGreaterThan(half('follow'))
  })

  it('is what planning anew changes: what stands is seen to before it has stood too long', () => {
    // Bread in four goes, of which the plan has the last before the eggs.
    const problem = problemOf({
      ...BOIL,
      activities: [
        ...BOIL.activities.slice(0, 2),
        ...[1, 2, 3, 4].map((k) => step(`knead ${k}`, 'bread', hands(150))),
      ] as never,
    })
    const plan = solve(problem, { iterations: 300 })
    const [follow, replan] = (['follow', 'replan'] as const).map((policy) =>
      rehearse(problem, plan, { runs: 60, policy, times: { ...slow, mishap: 0.3 } }),
    )
    expect(replan!.replans).toBeGreaterThan(0.2)
    expect(replan!.brokenPerHundred).toBeLessThan(follow!.brokenPerHundred)
  })
})

/** Hands that overlap, and places that hold more than they can: what no order of a plan may lead to. */
function clashes(problem: Problem, plan: Plan, net: Network, { at }: Course): string[] {
  const out: string[] = []
  const peak = (uses: { from: number; to: number; amount: number }[]) =>
    Math.max(
      0,
      ...uses.map((u) =>
        uses.filter((o) => o.from <= u.from && o.to > u.from).reduce((sum, o) => sum + o.amount, 0),
      ),
    )
  const phases = plan.activities.flatMap((run, i) =>
    run.phases.map((p, k) => {
      const { start, mode } = net.runs[i]!
      const planned = p.to - p.from
      return {
        cook: p.cook,
        planned,
        spec: mode.phases[k]!,
        from: at[start + k]!,
        to: at[start + k + 1]!,
      }
    }),
  )
  for (const cook of problem.cooks) {
    const own = phases.filter((p) => p.cook === cook.id)
    // What the plan gives no time takes no attention there, and so has no place in its order.
    if (own.some((p) => p.planned === 0 && p.to > p.from)) continue
    const hands = [
      ...own.filter((p) => p.spec.hands).map((p) => ({ ...p, amount: 1 })),
      ...plan.chores.flatMap((c, i) =>
        c.cook === cook.id
          ? [{ from: at[net.chores[i]!.from]!, to: at[net.chores[i]!.to]!, amount: 1 }]
          : [],
      ),
    ]
    if (!problem.progress && peak(hands) > 1) out.push(`${cook.id}: hands in two places`)
    const load = own.map((p) => ({ ...p, amount: p.spec.hands?.attention ?? p.spec.watch ?? 0 }))
    if (!problem.progress && peak(load) > cook.attention + 1e-6) out.push(`${cook.id}: too much`)
  }
  for (const station of problem.stations) {
    const uses = plan.activities.flatMap((run, i) =>
      run.stations.flatMap((id, k) => {
        const { start, end, mode } = net.runs[i]!
        return id === station.id
          ? [{ from: at[start]!, to: at[end]!, amount: mode.needs[k]!.amount }]
          : []
      }),
    )
    if (!problem.progress && peak(uses) > station.capacity + 1e-6)
      out.push(`${station.id}: too full`)
  }
  return out
}

describe('the steadiest plan', () => {
  it('is one within the allowance, with which people are finished soonest', () => {
    let gained = 0
    for (const [seed, plain] of ALL.slice(0, 60)) {
      const problem: Problem = { ...plain, objective: ['makespan'], allowance: { makespan: 12 } }
      const plans = [1, 2, 3].map((k) => solve(problem, { iterations: 25, seed: seed + k }))
      const roomy = solve(withRoom(problem), { iterations: 25, seed })
      if (!plans[0]!.activities.length) continue
      const found = steadiest(problem, plans[0]!, [...plans.slice(1), roomy])!
      expect(checkPlan(problem, found.plan).map(breachText), `seed ${seed}`).toEqual([])
      expect(found.plan.bound).toBe(plans[0]!.bound)
      const eighty = quantile(rehearse(problem, found.plan, { runs: 120 }).finishes, 0.8)
      expect(eighty).toBe(found.eighty)
      expect(found.eighty).toBeLessThanOrEqual(found.otherwise)
      if (found.eighty < found.otherwise) gained++
    }
    expect(gained).toBeGreaterThan(2)
  })

  it('has room before its longest waits in a copy whose plans are plans of the problem', () => {
    for (const [seed, problem] of ALL.slice(0, 40)) {
      const plan = solve(withRoom(problem), { iterations: 25, seed })
      if (!plan.activities.length) continue
      const claims = { ...plan, bound: 0, status: 'feasible' as const, shortest: plan.shortest! }
      if (problem.objective[0] !== 'makespan') continue
      expect(checkPlan(problem, claims).map(breachText), `seed ${seed}`).toEqual([])
    }
    const [tight] = withRoom(BOIL).relations
    expect(tight!.max).toBe(90)
  })
})
