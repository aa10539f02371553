import {
  ownValue,
  type Activity,
  type Choice,
  type Hold,
  type Mode,
  type Problem,
  type Progress,
  type Station,
} from '../../problem'
import type { ActivityRun, Plan } from '../schema'

/** One broken rule: which of the eight, whose activity (or station, cook, hold), when, and why. */
export interface Breach {
  rule: 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8
  subject: string
  from?: number
  to?: number
  message: string
}

export interface Placed {
  activity: Activity
  mode: Mode
  run: ActivityRun
}

/** What the rules are checked against: lookups over problem and plan, and where breaches go. */
export interface Context {
  problem: Problem
  plan: Plan
  stations: Map<string, Station>
  placed: Map<string, Placed>
  present: Set<string>
  holds: Map<string, Hold>
  facts: Facts
  report: (breach: Breach) => void
}

/** What has happened already, of which no rule is judged; asked by ids. */
export interface Facts {
  progress: Progress | undefined
  begun: (activity: string) => boolean
  ended: (activity: string) => boolean
  /** Whether this phase has begun: its beginning, its cook and its station are facts. */
  phase: (activity: string, k: number) => 'done' | 'running' | undefined
}

export function factsOf(problem: Problem): Facts {
  const { progress } = problem
  const runs = new Map(progress?.activities.map((r) => [r.id, r]))
  return {
    progress,
    begun: (id) => runs.has(id),
    ended: (id) => runs.get(id)?.end != null,
    phase: (id, k) => {
      const phase = runs.get(id)?.phases[k]
      return phase && (phase.to === null ? 'running' : 'done')
    },
  }
}

/** Whether the activity is there under the options the plan takes. */
export function presentActivities(problem: Problem, plan: Plan): Set<string> {
  const present = new Set(problem.activities.map((a) => a.id))
  for (const choice of problem.choices) for (const id of optional(choice)) present.delete(id)
  for (const choice of problem.choices)
    for (const option of choice.options)
      if (ownValue(plan.choices, choice.id) === option.id)
        for (const id of option.activities) present.add(id)
  return present
}

const optional = (choice: Choice) => choice.options.flatMap((o) => o.activities)

export const overlap = (a: number, b: number, c: number, d: number) => a < d && c < b

/** Absences that take any time; an empty one is nothing. */
export const absences = (spans: readonly (readonly [number, number])[]) =>
  spans.filter(([from, to]) => to > from)
