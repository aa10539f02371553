import { breachText, checkPlan, progressAt, type Plan } from '../core/plan'
import { readProblem, type Problem } from '../core/problem'
import { startSolving } from '../core/solver'
import { buildModel } from '../core/solver/buildModel'
import { valuesOfBody } from '../core/solver/objective'
import { jobShop, jobShopNames } from './jobShops'
import { everyFeature } from './everyFeature'
import { homeSession } from './sessions'

export interface Row {
  name: string
  activities: number
  /** Milliseconds to the first valid plan. */
  firstMs: number
  /** Makespan after so many seconds. */
  at: Record<string, number>
  makespan: number
  bound: number
  /** Seconds that cooks wait between their first and last hands work, summed (`handsSpread`). */
  idleS: number
  /** Seconds until the optimum was proven. */
  provenS: number | null
  /** Milliseconds to the first valid plan with the first half of this one done or under way. */
  replanMs: number | null
}

const MARKS = [1, 5, 10, 30]

/** The benchmark's problems: job shops, and home sessions of two kinds and several sizes. */
export function problems(): [string, Problem][] {
  const sizes: [number, number][] = [
    [4, 4],
    [9, 4],
    [18, 2],
    [40, 1],
  ]
  const all = (name: string, make: (dishes: number, seed: number) => Problem) =>
    sizes.flatMap(([dishes, count]) =>
      Array.from({ length: count }, (_, i): [string, Problem] => [
        `${dishes} ${name}, ${i + 1}`,
        make(dishes, i + 1),
      ]),
    )
  return [
    ...jobShopNames.map((n): [string, Problem] => [`job shop ${n}`, jobShop(n).problem]),
    ...all('dishes', homeSession),
    ...all('dishes with every feature', everyFeature),
  ]
}

/** One problem for so many seconds; throws where the checker finds anything. */
export function measure(name: string, problem: Problem, seconds: number): Row {
  const began = performance.now()
  let firstMs = -1
  const at: Record<string, number> = {}
  let provenS: number | null = null
  const trail: [number, number][] = []
  const run = startSolving(problem, {
    seconds,
    seed: 1,
    onImprovement: (plan) => {
      const now = performance.now() - began
      if (firstMs < 0) firstMs = now
      trail.push([now / 1000, plan.makespan])
    },
  })
  while (run.advance(100))
    if (provenS === null && run.plan().status === 'optimal')
      provenS = (performance.now() - began) / 1000
  const plan = run.plan()
  if (provenS === null && plan.status === 'optimal') provenS = (performance.now() - began) / 1000
  const breaches = checkPlan(problem, plan)
  if (breaches.length) throw new Error(`${name}: ${breaches.map(breachText).join('; ')}`)
  for (const mark of MARKS)
    if (mark <= seconds) {
      const before = trail.filter(([t]) => t <= mark)
      at[mark] = before[before.length - 1]?.[1] ?? NaN
    }
  return {
    name,
    replanMs: plan.activities.length ? replan(name, problem, plan) : null,
    activities: problem.activities.length,
    firstMs: Math.round(firstMs),
    at,
    makespan: plan.makespan,
    bound: plan.bound,
    idleS: valuesOfBody(buildModel({ ...problem, objective: ['handsSpread'] }), plan)[0]!,
    provenS: provenS === null ? null : Math.round(provenS * 10) / 10,
  }
}

/** Milliseconds to a valid plan of what is left when half of the time has gone by as planned. */
function replan(name: string, problem: Problem, plan: Plan): number {
  const progress = progressAt(problem, plan, Math.ceil(plan.makespan / 2))
  const reading = readProblem({ ...problem, progress })
  if (!reading.ok) throw new Error(`${name}: ${JSON.stringify(reading.issues)}`)
  const began = performance.now()
  const run = startSolving(reading.value, { seconds: 10, seed: 1 })
  while (!run.plan().activities.length && run.advance(1));
  const ms = performance.now() - began
  const breaches = checkPlan(reading.value, run.plan())
  if (breaches.length || !run.plan().activities.length)
    throw new Error(`${name}, half done: ${breaches.map(breachText).join('; ') || 'no plan'}`)
  return Math.round(ms)
}
