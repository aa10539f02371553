import type { Problem } from '../problem'
import type { Plan } from './schema'

/** A limit that only forbids, and may have to give way: by which instant, or how long at most. */
export type Limit =
  | { kind: 'deadline' }
  | { kind: 'due'; activity: string }
  | { kind: 'pin'; index: number }
  | { kind: 'relation'; index: number }

/** A limit that a plan breaks, in seconds: what it was, and what the plan makes of it. */
export interface Broken {
  limit: Limit
  was: number
  now: number
}

/** All limits of a problem that may give way, those first that are kept first. */
export function limitsOf(problem: Problem): Omit<Broken, 'now'>[] {
  return [
    ...problem.relations.flatMap((r, index) =>
      r.max === undefined ? [] : [{ limit: { kind: 'relation' as const, index }, was: r.max }],
    ),
    ...(problem.pins ?? []).flatMap((p, index) =>
      p.start === undefined ? [] : [{ limit: { kind: 'pin' as const, index }, was: p.start[1] }],
    ),
    ...problem.activities.flatMap((a) =>
      a.due === undefined ? [] : [{ limit: { kind: 'due' as const, activity: a.id }, was: a.due }],
    ),
    ...(problem.deadline === undefined
      ? []
      : [{ limit: { kind: 'deadline' as const }, was: problem.deadline }]),
  ]
}

/** What a plan makes of each limit that it breaks. */
export function brokenBy(problem: Problem, plan: Plan): Broken[] {
  const runs = new Map(plan.activities.map((a) => [a.id, a]))
  const last = Math.max(0, ...plan.activities.map((a) => a.end), ...plan.chores.map((c) => c.to))
  const valueOf = (limit: Limit): number => {
    switch (limit.kind) {
      case 'deadline':
        return last
      case 'due':
        return runs.get(limit.activity)?.end ?? 0
      case 'pin':
        return runs.get(problem.pins![limit.index]!.activity)?.start ?? 0
      case 'relation': {
        const { from, to, kind } = problem.relations[limit.index]!
        const [a, b] = [runs.get(from), runs.get(to)]
        if (!a || !b) return -Infinity
        return (kind[1] === 'S' ? b.start : b.end) - (kind[0] === 'S' ? a.start : a.end)
      }
    }
  }
  return limitsOf(problem).flatMap((l) => {
    const now = valueOf(l.limit)
    return now > l.was ? [{ ...l, now }] : []
  })
}

/** Stands for no limit at all. */
export const NONE = Infinity

/** The problem with some of its limits drawn elsewhere. */
export function relaxed(problem: Problem, broken: readonly Broken[]): Problem {
  const copy = {
    ...problem,
    activities: [...problem.activities],
    relations: [...problem.relations],
  }
  const pins = [...(problem.pins ?? [])]
  for (const { limit, now } of broken) {
    const at = now === NONE ? undefined : now
    switch (limit.kind) {
      case 'deadline':
        copy.deadline = at
        break
      case 'due': {
        const i = copy.activities.findIndex((a) => a.id === limit.activity)
        if (i >= 0) copy.activities[i] = { ...copy.activities[i]!, due: at }
        break
      }
      case 'pin': {
        const pin = pins[limit.index]
        if (!pin?.start) break
        const { start: _, ...rest } = pin
        pins[limit.index] = at === undefined ? rest : { ...pin, start: [pin.start[0], at] }
        break
      }
      case 'relation': {
        const relation = copy.relations[limit.index]
        if (relation) copy.relations[limit.index] = { ...relation, max: at }
        break
      }
    }
  }
  return problem.pins ? { ...copy, pins } : copy
}

/** Each broken limit in words, with ids in quotes; `time` says a number of seconds. */
export function brokenWords(
  problem: Problem,
  broken: readonly Broken[],
  time: (seconds: number) => string,
): string[] {
  return broken.map(({ limit, was, now }) => {
    const by = time(now - was)
    switch (limit.kind) {
      case 'deadline':
        return `everything is over ${by} too late`
      case 'due':
        return `"${limit.activity}" ends ${by} too late`
      case 'pin':
        return `"${problem.pins![limit.index]!.activity}" begins ${by} later than asked`
      case 'relation': {
        const { from, to } = problem.relations[limit.index]!
        return `"${to}" comes ${by} too long after "${from}": at most ${time(was)} would be right`
      }
    }
  })
}
