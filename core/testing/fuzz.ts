import { checkPlan, objectiveValue, progressAt, wantsMore, type Plan } from '../plan'
import { objectiveName, readProblem, type Problem } from '../problem'
import { below, seeded, solve } from '../solver'
import { randomProblem } from './randomProblem'

/** Something false that the engine said of a problem, with the problem, to be made a test. */
export interface Fault {
  seed: number
  what: string
  problem: unknown
  /** A plan that shows it, where there is one. */
  plan?: Plan | undefined
}

export interface FuzzResult {
  problems: number
  /** Plans found, and those of them called optimal; problems called infeasible. */
  plans: number
  optimal: number
  infeasible: number
  faults: Fault[]
}

/** Names that an object of JavaScript has without anybody giving it any. */
const AWKWARD = ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf']
const RENAMED = ['a1', 'way', 'raw', 'pan', 'one', 'c0', 'm0', 'h0']

/** Decodes for a problem, and for each of its copies. */
const DECODES = 60

/**
 * Solves so many random problems of all features, and copies of them of which a plan is known from
 * elsewhere: by another seed, with limits drawn tight around it, or cut through at an instant. Whatever
 * is claimed is held against what is known, by the contract's checker.
 */
export function fuzz(from: number, count: number): FuzzResult {
  const result: FuzzResult = { problems: 0, plans: 0, optimal: 0, infeasible: 0, faults: [] }
  for (let seed = from; seed < from + count; seed++) fuzzOne(seed, result)
  return result
}

function fuzzOne(seed: number, result: FuzzResult): void {
  const random = seeded(seed * 40503 + 7)
  const chance = (p: number) => random() < p
  let problem = randomProblem(seed, 3 + below(random, 8))
  if (chance(0.4)) problem = { ...problem, objective: shuffled(random) }
  if (chance(0.1)) {
    const renamed = awkward(problem, random)
    if (!renamed) {
      result.faults.push({ seed, what: 'names are refused or lost', problem })
      return
    }
    problem = renamed
  }
  const known = judged(seed, problem, [], result)
  const other = judged(seed, problem, known, result, seed + 7919)
  const [plan] = [...other, ...known]
  if (!plan) return
  const now = below(random, Math.max(1, plan.makespan + 1))
  const tight = tightened(problem, plan, random)
  if (checkPlan(tight, plan).length === 0) judged(seed, tight, [plan], result)
  const cut = readProblem({ ...problem, progress: progressAt(problem, plan, now) })
  if (!cut.ok) result.faults.push({ seed, what: `cut at ${now} it is unusable`, problem, plan })
  else if (checkPlan(cut.value, plan).length === 0) judged(seed, cut.value, [plan], result)
}

/** Solves a problem and holds what is said of it against plans that are known; the plan, if there is one. */
function judged(
  seed: number,
  problem: Problem,
  known: readonly Plan[],
  result: FuzzResult,
  solveSeed = seed,
): Plan[] {
  result.problems++
  const fault = (what: string, plan?: Plan) => result.faults.push({ seed, what, problem, plan })
  let plan: Plan
  try {
    plan = solve(problem, { iterations: DECODES, seed: solveSeed })
  } catch (error) {
    fault(`it throws ${error instanceof Error ? error.message : String(error)}`)
    return []
  }
  const breaches = checkPlan(problem, plan)
  if (breaches.length) fault(`the checker refuses its plan: ${breaches[0]!.message}`, plan)
  if (plan.status === 'infeasible') {
    result.infeasible++
    if (known[0]) fault('called infeasible, and there is a plan', known[0])
  }
  const first = problem.objective[0]!
  for (const k of known) {
    const value = objectiveValue(problem, k, first)
    const beaten = wantsMore(first) ? value > plan.bound : value < plan.bound
    if (plan.status !== 'infeasible' && plan.status !== 'unknown' && beaten)
      fault(`a plan with ${first} ${value} beats the bound of ${plan.bound} (${plan.status})`, k)
  }
  if (!plan.activities.length && plan.status !== 'optimal') return []
  result.plans++
  if (plan.status === 'optimal') result.optimal++
  return [plan]
}

function shuffled(random: () => number): Problem['objective'] {
  const names = [...objectiveName.options]
  for (let i = names.length - 1; i > 0; i--) {
    const j = below(random, i + 1)
    ;[names[i], names[j]] = [names[j]!, names[i]!]
  }
  return names.slice(0, 1 + below(random, 3))
}

/** The same problem with limits that this plan just keeps. */
function tightened(problem: Problem, plan: Plan, random: () => number): Problem {
  const last = Math.max(plan.makespan, ...plan.chores.map((c) => c.to))
  const ends = plan.activities.map((a) => a.end)
  const pins = plan.activities
    .filter(() => random() < 0.3)
    .map((a) => ({ activity: a.id, start: [a.start, a.start] as [number, number], mode: a.mode }))
  const free = new Set((problem.pins ?? []).map((p) => p.activity))
  return {
    ...problem,
    ...(random() < 0.7 ? { deadline: Math.max(last, ...ends) } : {}),
    pins: [...(problem.pins ?? []), ...pins.filter((p) => !free.has(p.activity))],
  }
}

/** The problem with some of its ids replaced by awkward ones; undefined where that cannot be read. */
function awkward(problem: Problem, random: () => number): Problem | undefined {
  let text = JSON.stringify(problem)
  const names = [...AWKWARD]
  for (const id of RENAMED) {
    if (!names.length) break
    if (random() < 0.5) continue
    const [name] = names.splice(below(random, names.length), 1)
    text = text.replaceAll(`"${id}"`, `"${name!}"`)
  }
  const reading = readProblem(JSON.parse(text))
  return reading.ok ? reading.value : undefined
}
