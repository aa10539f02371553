import type { Instruction } from '../guide'
import type { Plan } from '../plan'
import type { FoodWait } from '../session'
import type { Phase, Problem, Progress } from '../problem'
import {
  brokenIn,
  coursePlan,
  factsAt,
  finishOf,
  follow,
  networkOf,
  type Course,
  type Network,
} from '../rehearsal'
import { counting, ofKind, type Event } from './events'
import { givenUp, remaining } from './givenUp'

/** The plan that is gone by, and everything that happened since the session began. */
export interface Running {
  /** Without facts of its own: those are in the events. */
  problem: Problem
  plan: Plan
  /** What is told by that plan. */
  lines: readonly Instruction[]
  events: readonly Event[]
  /** Where food goes from one activity to another. */
  links: readonly Pick<FoodWait, 'from' | 'to'>[]
}

/** Where a session stands at an instant, and how it goes on if everybody keeps to the plan's order. */
export interface Standing {
  now: number
  /** The problem without what was given up. */
  problem: Problem
  net: Network
  /** Stretches in which everybody stood still. */
  pauses: readonly Stretch[]
  /** Instants that have not come before somebody says so, and nobody has. */
  untold: ReadonlySet<number>
  course: Course
  /** The plan with everything when it came, or will come. */
  plan: Plan
  /** When all is finished, in seconds from the beginning. */
  finish: number
  /** Waits that are too long already or will be, by how many seconds. */
  waits: { between: [string, string]; over: number }[]
}

/** From when to when, in seconds from the beginning. */
export type Stretch = readonly [from: number, to: number]

const ENDLESS = Number.MAX_SAFE_INTEGER

/** Stretches in which everybody stood still; one that goes on has no end yet. */
export function pausesIn(events: readonly Event[], startedAt: number): Stretch[] {
  const out: [number, number][] = []
  const second = (at: number) => Math.max(0, Math.round((at - startedAt) / 1000))
  for (const e of counting(events)) {
    const open = out.at(-1)?.[1] === ENDLESS
    if (e.kind === 'paused' && !open) out.push([second(e.at), ENDLESS])
    if (e.kind === 'resumed' && open) out.at(-1)![1] = second(e.at)
  }
  return out
}

/** For how long everybody stood still between two instants, in seconds. */
export const stoodStill = (pauses: readonly Stretch[], from: number, to: number): number =>
  pauses.reduce((sum, [a, b]) => sum + Math.max(0, Math.min(b, to) - Math.max(a, from)), 0)

/** The instants that events have told, by activity: [its beginning, the end of its first phase, …]. */
function toldInstants(
  events: readonly Event[],
  { problem, plan }: { problem: Problem; plan: Plan },
  gone: ReadonlyMap<string, number>,
): Map<string, (number | undefined)[]> {
  const runs = new Map(plan.activities.map((a) => [a.id, a]))
  const told = new Map<string, (number | undefined)[]>()
  for (const { activity, points, from, to } of ofKind(events, 'done')) {
    const run = activity === undefined ? undefined : runs.get(activity)
    if (!run || !points) continue
    const instants = told.get(run.id) ?? []
    told.set(run.id, instants)
    const [first, last] = points
    if (first > last || last > run.phases.length) continue
    const planned = (k: number) => (k === 0 ? run.start : run.phases[k - 1]!.to)
    const whole = planned(last) - planned(first)
    // Between the two, phases take the same share of the time as in the plan.
    for (let k = first; k <= last; k++)
      instants[k] =
        k === last
          ? to
          : whole > 0
            ? Math.round(from + ((to - from) * (planned(k) - planned(first))) / whole)
            : from
  }
  const dishOf = new Map(problem.activities.map((a) => [a.id, a.dish]))
  for (const run of gone.size ? plan.activities : []) {
    const second = gone.get(dishOf.get(run.id) ?? '')
    if (second === undefined) continue
    const instants = told.get(run.id) ?? []
    told.set(run.id, instants)
    for (let k = 0; k <= run.phases.length; k++) instants[k] ??= second
  }
  return told
}

/**
 * Where the session stands `now`, in seconds from its beginning. What was told stays; what hands are
 * at is not over before it is told; what goes by itself goes on as it was to, or as long as was asked
 * for; and whatever comes after waits for it, in the order of the plan.
 */
export function standingAt(
  running: Running,
  now: number,
  pauses: readonly Stretch[] = [],
): Standing {
  const { lines } = running
  const { problem, plan } = remaining(running)
  const events = counting(running.events)
  const made = madeFor(problem, plan)
  const net = {
    ...made,
    planned: made.planned.slice(),
    fixed: made.fixed.slice(),
    arcFrom: made.arcFrom.slice(),
    arcLag: made.arcLag.slice(),
    spare: made.spare.slice(),
  }
  const told = toldInstants(events, { problem, plan }, givenUp(running))
  const pin = (instant: number, at: number) => {
    net.planned[instant] = at
    net.fixed[instant] = 1
  }
  const nodes = new Map(net.runs.map((r) => [r.activity.id, r]))
  for (const [id, instants] of told)
    instants.forEach((at, k) => at !== undefined && pin(nodes.get(id)!.start + k, at))
  // What something has been begun with is done, whether anybody said so or not.
  for (const { from, to, kind, min } of problem.relations) {
    const [before, after] = [nodes.get(from), nodes.get(to)]
    if (kind !== 'FS' || min < 0 || !before || !after || !net.fixed[after.start]) continue
    const latest = net.planned[after.start]!
    for (let i = before.start; i <= before.end; i++)
      if (!net.fixed[i]) pin(i, Math.min(made.planned[i]!, latest))
  }
  // Nothing ends before it began, and phases follow each other.
  for (const { start, end } of net.runs)
    for (let i = start, least = 0; i <= end; i++) {
      if (!net.fixed[i]) continue
      net.planned[i] = least = Math.max(least, net.planned[i]!)
    }
  for (const e of ofKind(events, 'done')) {
    const k = e.is !== 'wash' ? -1 : washOf(plan, e.station ?? '', e)
    if (k < 0) continue
    pin(net.chores[k]!.from, e.from)
    pin(net.chores[k]!.to, e.to)
  }

  /** What is not over before somebody says so. */
  const waitsToBeTold = new Set<number>()
  for (const { activity, points } of lines) {
    const run = activity === undefined || !points ? undefined : nodes.get(activity)
    if (!run) continue
    const [first, last] = points!
    // What is on the heat stays there until somebody takes it off; what rests has rested by itself.
    const taken = first === last && first > 0 && isHot(run.mode.phases[first - 1])
    if (last > first || taken) waitsToBeTold.add(run.start + last)
  }
  for (const { to } of net.chores) waitsToBeTold.add(to)
  const held = new Map<number, number>()
  for (const { activity, until } of ofKind(events, 'later')) {
    const run = nodes.get(activity)
    if (run) held.set(run.start, until)
  }
  // Whoever it is handed to has not begun it yet.
  for (const { activity, from } of ofKind(events, 'handed')) {
    const run = nodes.get(activity)
    if (run) held.set(run.start, Math.max(held.get(run.start) ?? 0, from + 1))
  }
  const still = pauses.map(([a, b]): Stretch => [a, b === ENDLESS ? Math.max(a, now) : b])
  // Meanwhile the cook goes on with what would have come after it.
  const setAside = new Set<number>()
  for (const { start, end } of net.runs)
    if ((held.get(start) ?? 0) > now && !net.fixed[start])
      for (let i = start; i <= end; i++) setAside.add(i)
  net.arcFrom.forEach((before, j) => {
    if (!net.arcInTurn[j] || !setAside.has(before)) return
    net.arcFrom[j] = 0
    net.arcLag[j] = 0
  })
  const wanted = new Map<number, number>()
  for (const { activity, phase, until } of ofKind(events, 'more')) {
    const run = nodes.get(activity)
    if (run) wanted.set(run.start + phase + 1, until)
  }
  // What goes on another way from some instant on takes what that way takes from there.
  const turned = new Map<string, number>()
  for (const { activity, phase, until } of ofKind(events, 'turned')) {
    const run = nodes.get(activity)
    if (!run || net.fixed[run.start + phase + 1]) continue
    const before = net.fixed[run.start + phase]
      ? net.planned[run.start + phase]!
      : made.planned[run.start + phase]!
    turned.set(net.draws[run.draw + phase]!.key, Math.max(0, until - before))
    net.spare[run.start + phase + 1] = 0
  }
  const from = (i: number): number =>
    Math.max(waitsToBeTold.has(i) ? now : 0, held.get(i) ?? 0, wanted.get(i) ?? 0)
  const course = follow(net, { of: (d) => [turned.get(d.key) ?? d.seconds, 0] }, { from, still })
  return {
    now,
    problem,
    net,
    pauses,
    untold: new Set([...waitsToBeTold].filter((i) => !net.fixed[i])),
    course,
    plan: coursePlan(problem, plan, net, course),
    finish: finishOf(net, course),
    waits: brokenIn(net, course).map(({ limit, over }) => ({
      between: net.limits[limit]!.between,
      over,
    })),
  }
}

const networks = new WeakMap<Plan, Network>()

/** The network of a plan, made once: a session is looked at every second. */
function madeFor(problem: Problem, plan: Plan): Network {
  const known = networks.get(plan)
  if (known) return known
  const made = networkOf(problem, plan)
  networks.set(plan, made)
  return made
}

const isHot = (phase: Phase | undefined) => phase?.watch !== undefined || phase?.heat !== undefined

/** The wash of a plan that was told, by when the plan had it or by when it was. */
function washOf(plan: Plan, station: string, { key, from }: { key: string; from: number }): number {
  const own = plan.chores.map((c, k) => ({ ...c, k })).filter((c) => c.station === station)
  return (
    own.find((c) => `wash ${station} ${c.from}` === key)?.k ??
    own.find((c) => c.from === from)?.k ??
    -1
  )
}

/** What has happened by now, as the contract words it. */
export function progressOf({ problem, net, course, now, plan }: Standing): Progress {
  const facts = factsAt(problem, plan, net, course, now)
  // Bakes that were left out leave no heat behind.
  return { ...facts, heats: facts.heats.filter((h) => h.to === null || h.to > h.from) }
}
