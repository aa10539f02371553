import type { Plan } from '../plan'
import type { Problem } from '../problem'
import { leastBad, seeded, solve } from '../solver'
import { Luck } from './draws'
import { factsAt } from './facts'
import { brokenIn, finishOf, follow, type Course } from './follow'
import { networkOf, type Network } from './network'
import { DISTRACTED, USUAL_TIMES, type Times } from './times'

/** What the cooks do when things turn out otherwise than planned. */
export const POLICIES = ['follow', 'replan', 'distracted'] as const
export type Policy = (typeof POLICIES)[number]

export interface RehearsalOptions {
  runs?: number
  seed?: number
  times?: Times
  policy?: Policy
  /** How much of the usual spread there is: 0 for none. */
  noise?: number
}

export interface Rehearsal {
  policy: Policy
  runs: number
  /** Seconds by the plan. */
  planned: number
  /** When everything was finished, in seconds, from the earliest run to the latest. */
  finishes: number[]
  /** By dish: by the plan, and in half and in nine of ten runs by. */
  dishes: { dish: string; planned: number; half: number; most: number }[]
  /** Steps that make it late: seconds on average, and in what share of runs they hold it up. */
  late: { activity: string; seconds: number; share: number }[]
  /** Waits that were too long: between which activities, in what share of runs, by how much on average. */
  waits: { between: [string, string]; share: number; seconds: number }[]
  /** Waits that were too long in a hundred runs. */
  brokenPerHundred: number
  /** How often a run was planned anew, on average, and how often that came to nothing. */
  replans: number
  stuck: number
}

/** Seconds by which something is late or early before it is planned anew, and between two plans at least. */
const NOTICED = 120
const PAUSE = 300
/** Plans of one run at most, and decodes for each. */
const MOST_PLANS = 100
const DECODES = 40
/** How often such a search for the plan that breaks least looks whether its time is up. */
const LEAST_BAD = 300

/** So many runs of a session with times that vary; with no variation it ends as planned, to the second. */
export function rehearse(problem: Problem, plan: Plan, options: RehearsalOptions = {}): Rehearsal {
  const going = startRehearsal(problem, plan, options)
  going.advance(options.runs ?? 1000)
  return going.result()
}

/** A rehearsal that can be carried on run by run, so that a worker can hear a stop in between. */
export function startRehearsal(
  problem: Problem,
  plan: Plan,
  { seed = 1, policy = 'follow', noise = 1, ...options }: RehearsalOptions = {},
): { advance: (runs: number) => void; result: () => Rehearsal } {
  const times = options.times ?? (policy === 'distracted' ? DISTRACTED : USUAL_TIMES)
  const net = networkOf(problem, plan)
  const counted = net.runs.filter((r) => !r.activity.aside)
  const dishes = [...new Set(counted.flatMap((r) => r.activity.dish ?? []))]
  const finishes: number[] = []
  const byDish = new Map(dishes.map((d) => [d, [] as number[]]))
  const late = new Map<string, { seconds: number; runs: number }>()
  const waits = new Map<string, { between: [string, string]; runs: number; seconds: number }>()
  const count = { broken: 0, replans: 0, stuck: 0 }

  function run(k: number): void {
    const luck = new Luck(seeded(seed * 1_000_003 + k), times, noise)
    const done: Done =
      policy === 'replan'
        ? replanned(problem, plan, luck, seed + k)
        : { net, course: follow(net, luck), replans: 0, stuck: 0 }
    count.replans += done.replans
    count.stuck += done.stuck
    finishes.push(finishOf(done.net, done.course))
    for (const [dish, list] of byDish) list.push(finishOfDish(done.net, done.course, dish))
    for (const { limit, over } of broken(done)) {
      const { between } = limit
      const key = between.join(' ')
      const entry = waits.get(key) ?? { between, runs: 0, seconds: 0 }
      waits.set(key, { between, runs: entry.runs + 1, seconds: entry.seconds + over })
      count.broken++
    }
    for (const [id, seconds] of delays(done.net, done.course)) {
      const entry = late.get(id) ?? { seconds: 0, runs: 0 }
      late.set(id, { seconds: entry.seconds + seconds, runs: entry.runs + 1 })
    }
  }

  function result(): Rehearsal {
    const runs = finishes.length
    return {
      policy,
      runs,
      planned: plan.makespan,
      finishes: finishes.toSorted((a, b) => a - b),
      dishes: dishes.map((dish) => {
        const list = byDish.get(dish)!.toSorted((a, b) => a - b)
        const ends = counted.filter((r) => r.activity.dish === dish)
        const planned = Math.max(...ends.map((r) => net.planned[r.end]!))
        return { dish, planned, half: quantile(list, 0.5), most: quantile(list, 0.9) }
      }),
      late: [...late]
        .map(([activity, l]) => ({ activity, seconds: l.seconds / runs, share: l.runs / runs }))
        .filter((l) => l.seconds > 0)
        .sort((a, b) => b.seconds - a.seconds),
      waits: [...waits.values()]
        .map((w) => ({ between: w.between, share: w.runs / runs, seconds: w.seconds / w.runs }))
        .sort((a, b) => b.share - a.share),
      brokenPerHundred: (100 * count.broken) / runs,
      replans: count.replans / runs,
      stuck: count.stuck / runs,
    }
  }

  return {
    advance: (runs) => {
      for (let k = 0; k < runs; k++) run(finishes.length)
    },
    result,
  }
}

/** The value that such a share of a sorted list is at most. */
export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))] ?? 0

interface Done {
  net: Network
  course: Course
  replans: number
  stuck: number
  /** What was broken before it was planned anew for the last time. */
  broken?: { between: [string, string]; over: number }[]
}

function broken({ net, course, broken: before = [] }: Done) {
  return [
    ...before.map(({ between, over }) => ({ limit: { between }, over })),
    ...brokenIn(net, course).map(({ limit, over }) => ({ limit: net.limits[limit]!, over })),
  ]
}

function finishOfDish(net: Network, { at }: Course, dish: string): number {
  let most = 0
  for (const r of net.runs)
    if (r.activity.dish === dish && !r.activity.aside) most = Math.max(most, at[r.end]!)
  return most
}

/** By how much each step on the way to the last end took longer than planned. */
function delays(net: Network, course: Course): Map<string, number> {
  const out = new Map<string, number>()
  let x = -1
  for (const r of net.runs)
    if (!r.activity.aside && (x < 0 || course.at[r.end]! > course.at[x]!)) x = r.end
  while (x > 0) {
    const before = course.because[x]!
    if (before < 0) break
    const run = net.runs.find((r) => x > r.start && x <= r.end)
    if (run && before === x - 1) {
      const planned = net.planned[x]! - net.planned[before]!
      const more = course.at[x]! - course.at[before]! - planned
      out.set(run.activity.id, (out.get(run.activity.id) ?? 0) + more)
    }
    x = before
  }
  return out
}

/** One run in which it is planned anew, from what is true then, whenever it differs by more than a little. */
function replanned(problem: Problem, plan: Plan, luck: Luck, seed: number): Done {
  let current = { problem, plan }
  let net = networkOf(problem, plan)
  let course = follow(net, luck)
  const before: { between: [string, string]; over: number }[] = []
  let [replans, stuck, last] = [0, 0, -PAUSE]
  while (replans < MOST_PLANS) {
    const now = noticed(net, course, last + PAUSE)
    if (now === undefined) break
    const progress = factsAt(current.problem, current.plan, net, course, now)
    const asked: Problem = { ...problem, progress }
    const anew = plannedAnew(asked, current.plan, seed)
    replans++
    last = now
    if (!anew) {
      stuck++
      continue
    }
    for (const { limit, over } of brokenIn(net, course))
      if (course.at[net.limits[limit]!.to]! <= now)
        before.push({ between: net.limits[limit]!.between, over })
    current = { problem: asked, plan: anew }
    net = networkOf(asked, anew)
    course = follow(net, luck)
  }
  return { net, course, replans, stuck, broken: before }
}

/** A plan from the facts on; where none keeps all limits any more, the one that breaks least. */
function plannedAnew(problem: Problem, previous: Plan, seed: number): Plan | undefined {
  const plan = solve(problem, { iterations: DECODES, seed, previous })
  if (plan.activities.length) return plan
  let asked = 0
  return leastBad(problem, { seed, expired: () => ++asked > LEAST_BAD })?.plan
}

/** When somebody notices that something begins or ends by more than a little otherwise than planned. */
function noticed(net: Network, { at }: Course, from: number): number | undefined {
  let soonest = Infinity
  for (let i = 1; i < at.length; i++) {
    if (net.fixed[i]) continue
    const off = at[i]! - net.planned[i]!
    const seen = off > NOTICED ? net.planned[i]! + NOTICED : off < -NOTICED ? at[i]! : Infinity
    if (seen >= Infinity) continue
    soonest = Math.min(soonest, Math.max(seen, from, net.now + 1))
  }
  // Once everything has begun there is nothing left to plan.
  const left = net.runs.some((r) => at[r.start]! >= soonest)
  return soonest < Infinity && left ? Math.ceil(soonest) : undefined
}
