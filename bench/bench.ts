import { breachText, checkPlan, objectiveValue, progressAt, type Plan } from '../core/plan'
import { readProblem, type Problem } from '../core/problem'
import { startSolving, type Contribution, type StrategyName } from '../core/solver'
import { jobShop, jobShopNames } from './jobShops'
import { everyFeature } from './everyFeature'
import { homeSession } from './sessions'

export { STRATEGIES } from '../core/solver'
export { bestOf, gapOf, summary } from './summary'

export interface Row {
  name: string
  activities: number
  /** Milliseconds to the first valid plan. */
  firstMs: number
  /** Makespan after so many seconds, and the least that was proven by then. */
  at: Record<string, number>
  boundAt: Record<string, number>
  makespan: number
  bound: number
  /** Seconds that cooks wait between their first and last hands work, summed (`handsSpread`). */
  idleS: number
  /** Seconds until the optimum was proven. */
  provenS: number | null
  /** The same once more in the same process, which knows the engine by then, with another seed. */
  again: { firstMs: number; after1S: number }
  /** Milliseconds to the first valid plan with the first half of this one done or under way. */
  replanMs: number | null
}

const MARKS = [1, 5, 10, 30]

/**
 * The benchmark's problems: job shops, and home sessions of two kinds and several sizes. Each is made
 * when it is asked for: what making thirty others leaves behind is cleared away in the first plan's time.
 */
export function problems(): [string, () => Problem][] {
  const sizes: [number, number][] = [
    [4, 4],
    [9, 4],
    [12, 2],
    [15, 2],
    [18, 4],
    [21, 2],
    [24, 2],
    [40, 2],
  ]
  const all = (name: string, make: (dishes: number, seed: number) => Problem) =>
    sizes.flatMap(([dishes, count]) =>
      Array.from({ length: count }, (_, i): [string, () => Problem] => [
        `${dishes} ${name}, ${i + 1}`,
        () => make(dishes, i + 1),
      ]),
    )
  return [
    ...jobShopNames.map((n): [string, () => Problem] => [
      `job shop ${n}`,
      () => jobShop(n).problem,
    ]),
    ...all('dishes', homeSession),
    ...all('dishes with every feature', everyFeature),
  ]
}

/** One problem for so many seconds, and again for one; throws where the checker finds anything. */
export function measure(name: string, problem: Problem, seconds: number): Row {
  const { plan, trail, bounds, provenS } = timed(name, problem, seconds, 1)
  const atMarks = (list: Trail) =>
    Object.fromEntries(MARKS.flatMap((m) => (m <= seconds ? [[m, valueAt(list, m)]] : [])))
  const again = timed(name, problem, 1, 2).trail
  return {
    name,
    replanMs: plan.activities.length ? replan(name, problem, plan) : null,
    activities: problem.activities.length,
    firstMs: firstOf(trail),
    at: atMarks(trail),
    boundAt: atMarks(bounds),
    makespan: plan.makespan,
    bound: plan.bound,
    idleS: objectiveValue(problem, plan, 'handsSpread'),
    provenS: provenS === null ? null : Math.round(provenS * 10) / 10,
    again: { firstMs: firstOf(again), after1S: valueAt(again, 1) },
  }
}

/** Seconds and makespan of each better plan, or seconds and bound. */
type Trail = [seconds: number, value: number][]

const firstOf = (trail: Trail) => (trail[0] ? Math.round(trail[0][0] * 1000) : -1)

const valueAt = (trail: Trail, seconds: number) =>
  trail.filter(([t]) => t <= seconds).at(-1)?.[1] ?? NaN

const clock = () => performance.now()

function timed(
  name: string,
  problem: Problem,
  seconds: number,
  seed: number,
  without: readonly StrategyName[] = [],
) {
  const began = performance.now()
  const elapsed = () => (performance.now() - began) / 1000
  const trail: Trail = []
  const run = startSolving(problem, {
    clock,
    seconds,
    seed,
    without,
    onImprovement: (plan) => trail.push([elapsed(), plan.makespan]),
  })
  let provenS: number | null = null
  const bounds: Trail = []
  for (let going = true; going;) {
    going = run.advance(100)
    const { status, bound } = run.plan()
    bounds.push([elapsed(), bound])
    if (status === 'optimal') provenS ??= elapsed()
  }
  const plan = run.plan()
  const breaches = checkPlan(problem, plan)
  if (breaches.length) throw new Error(`${name}: ${breaches.map(breachText).join('; ')}`)
  return { plan, trail, bounds, provenS, contributions: run.contributions() }
}

/** What leaving strategies out costs on one problem, and what each had done where none was. */
export interface Difference {
  name: string
  activities: number
  /** Makespan and bound at the end, with all strategies and without those. */
  all: [makespan: number, bound: number]
  without: [makespan: number, bound: number]
  contributions: [StrategyName, Contribution][]
}

export function difference(
  name: string,
  problem: Problem,
  seconds: number,
  without: readonly StrategyName[],
): Difference {
  const all = timed(name, problem, seconds, 1)
  const less = timed(name, problem, seconds, 1, without)
  return {
    name,
    activities: problem.activities.length,
    all: [all.plan.makespan, all.plan.bound],
    without: [less.plan.makespan, less.plan.bound],
    contributions: [...all.contributions],
  }
}

/** Milliseconds to a valid plan of what is left when half of the time has gone by as planned. */
function replan(name: string, problem: Problem, plan: Plan): number {
  const progress = progressAt(problem, plan, Math.ceil(plan.makespan / 2))
  const reading = readProblem({ ...problem, progress })
  if (!reading.ok) throw new Error(`${name}: ${JSON.stringify(reading.issues)}`)
  const began = performance.now()
  const run = startSolving(reading.value, { clock, seconds: 10, seed: 1 })
  while (!run.plan().activities.length && run.advance(1));
  const ms = performance.now() - began
  const breaches = checkPlan(reading.value, run.plan())
  if (breaches.length || !run.plan().activities.length)
    throw new Error(`${name}, half done: ${breaches.map(breachText).join('; ') || 'no plan'}`)
  return Math.round(ms)
}
