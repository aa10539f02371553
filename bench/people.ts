import { objectiveValue, type Plan } from '../core/plan'
import type { Problem } from '../core/problem'
import { quantile, rehearse, steadiest, withRoom, type Policy } from '../core/rehearsal'
import { withCalm } from '../core/session'
import { startSolving } from '../core/solver'
import { homeSession } from './sessions'

/** Dishes of the sessions that are rehearsed, and how many there are of each: 24 in all. */
export const SESSIONS: readonly (readonly [dishes: number, count: number])[] = [
  [4, 10],
  [9, 10],
  [18, 4],
]
/** How much longer than the shortest the calm and the robust plan may be, in percent. */
const CALM = 3
/** Of the time for the robust plan, the share that goes into one with room before its longest waits. */
const ROOM = 0.3
/** Runs in the plan's order, and planned anew, each of which is planned some thirty times. */
const RUNS = { follow: 500, replan: 2 } as const

export interface PeopleRow {
  dishes: number
  seed: number
  kind: 'shortest' | 'calm' | 'robust'
  /** Seconds by the plan, and changes of dish. */
  planned: number
  switches: number
  policies: Record<
    keyof typeof RUNS,
    { half: number; eighty: number; ninety: number; broken: number }
  >
}

/** The three plans of one session, so many seconds for each, and how they go with people. */
export function measurePeople(dishes: number, seed: number, seconds: number): PeopleRow[] {
  const strict = homeSession(dishes, seed)
  const calm = withCalm(strict, CALM)
  const clock = () => performance.now()
  const better: Plan[] = []
  const solve = (problem: Problem, share = 1) => {
    const run = startSolving(problem, {
      seconds: seconds * share,
      clock,
      onImprovement: (p) => void better.push(p),
    })
    while (run.advance(Infinity));
    return run.plan()
  }
  const shortest = solve(strict)
  const calmest = solve(calm)
  better.length = 0
  const found = solve(calm, 1 - ROOM)
  const latest = better.slice(-4)
  const robust = steadiest(calm, found, [...latest, solve(withRoom(calm), ROOM)])!.plan
  const row = (kind: PeopleRow['kind'], plan: Plan): PeopleRow => {
    const policy = (name: keyof typeof RUNS & Policy) => {
      const { finishes, brokenPerHundred } = rehearse(strict, plan, {
        runs: RUNS[name],
        policy: name,
      })
      const [half, eighty, ninety] = [0.5, 0.8, 0.9].map((q) => quantile(finishes, q))
      return { half: half!, eighty: eighty!, ninety: ninety!, broken: brokenPerHundred }
    }
    return {
      dishes,
      seed,
      kind,
      planned: plan.makespan,
      switches: objectiveValue(strict, plan, 'switches'),
      policies: { follow: policy('follow'), replan: policy('replan') },
    }
  }
  return [row('shortest', shortest), row('calm', calmest), row('robust', robust)]
}

/** Means of some rows of a kind against those of the shortest plans, as shares. */
export function against(rows: readonly PeopleRow[], kind: PeopleRow['kind']) {
  const pairs = rows
    .filter((r) => r.kind === kind)
    .map(
      (r) =>
        [
          r,
          rows.find((o) => o.kind === 'shortest' && o.dishes === r.dishes && o.seed === r.seed)!,
        ] as const,
    )
  const mean = (of: (r: PeopleRow) => number) =>
    pairs.reduce((sum, [r, s]) => sum + of(r) / Math.max(1, of(s)), 0) / Math.max(1, pairs.length)
  const total = (of: (r: PeopleRow) => number) =>
    pairs.reduce((sum, [r]) => sum + of(r), 0) /
    Math.max(
      1,
      pairs.reduce((sum, [, s]) => sum + of(s), 0),
    )
  return {
    planned: mean((r) => r.planned),
    switches: total((r) => r.switches),
    half: mean((r) => r.policies.replan.half),
    ninety: mean((r) => r.policies.replan.ninety),
    broken: total((r) => r.policies.replan.broken),
    ninetyInOrder: mean((r) => r.policies.follow.ninety),
    brokenInOrder: total((r) => r.policies.follow.broken),
  }
}
