import type { Problem } from '../../problem'
import type { FactRun, Facts } from './facts'

/** Later than anything the formats can say, and small enough for exact sums. */
export const NEVER = 1_000_000_000

export interface MNeed {
  /** Stations that could serve, the tightest fit first. */
  stations: number[]
  amount: number
  /** -1: no contents named, which always washes. */
  contents: number
}

export interface MPhase {
  min: number
  max: number
  hands: boolean
  watch: boolean
  attention: number
  cooks: number[]
  heat: { need: number; lo: number; hi: number; method: number } | null
}

export interface MMode {
  index: number
  needs: MNeed[]
  phases: MPhase[]
  min: number
  max: number
  heats: boolean
}

export interface MActivity {
  index: number
  hygiene: number
  aside: boolean
  /** Modes that something and somebody can serve; why the others cannot is in `impossible`. */
  modes: MMode[]
  min: number
  max: number
  release: number
  /** Earliest end with the oven as cold as it starts. */
  earliestEnd: number
  due: number
  latestStart: number
  choice: number
  /** Where it has begun: what is known of it. When it is over its only mode is its length. */
  fact: FactRun | undefined
}

/** Whether an activity lies behind: its start and its end are facts. */
export const isOver = (a: MActivity) => a.fact?.end != null

export interface MHold {
  index: number
  from: number
  /** -1: until everything has ended. */
  to: number
  need: MNeed
  /** Where it has begun; over where `to` is not null. */
  fact: { station: number; from: number; to: number | null } | undefined
}

export interface MStation {
  index: number
  capacity: number
  away: [number, number][]
  wash: { seconds: number; cooks: number[]; between: Map<number, number> } | null
  /** `start` is the temperature at the instant `from`; with `running` it stays so until now. */
  oven: {
    start: number
    from: number
    heat: number
    cool: number
    running: { from: number; method: number } | null
  } | null
}

export interface MCook {
  attention: number
  away: [number, number][]
}

/** `t[to] >= t[from] + weight`; node 2i is the start of activity i, 2i + 1 its end. */
export interface Edge {
  from: number
  to: number
  weight: number
  /** Index of the relation it comes from, -1 for a hold. */
  relation: number
}

/** The problem in numbers: ids are indices, eligibility is worked out, lags are edges. */
export interface Model {
  problem: Problem
  /** Index of each activity by its id. */
  indexOf: Map<string, number>
  activities: MActivity[]
  cooks: MCook[]
  stations: MStation[]
  holds: MHold[]
  edges: Edge[]
  /** Seconds of clean-up between hygiene classes, `[from * classes + to]`. */
  hygiene: number[]
  classes: number
  longestClean: number
  /** Names of oven methods, by number. */
  methods: string[]
  choices: { options: { members: Set<number>; cost: number; possible: boolean }[] }[]
  deadline: number
  impossible: Map<number, string[]>
  impossibleHolds: Map<number, string>
  /** What has happened already, where the session is under way. */
  facts: Facts | undefined
}

/** Marks what a session with these options consists of, and nothing else. */
export function markPresent(model: Model, options: ArrayLike<number>, present: Uint8Array): void {
  for (const { index, choice } of model.activities)
    present[index] =
      choice < 0 || model.choices[choice]!.options[options[choice]!]!.members.has(index) ? 1 : 0
}

/** Marks on everything outside choices, and on what one option of one choice brings (-1: none). */
export function presentWith({ activities, choices }: Model, choice: number, option: number) {
  return Uint8Array.from(activities, (a) =>
    a.choice < 0 || (a.choice === choice && choices[choice]!.options[option]!.members.has(a.index))
      ? 1
      : 0,
  )
}

/** Pairs of contents as one number, so that the table is one flat lookup. */
export const pairKey = (was: number, next: number) => was * 65536 + next

/** All steps of the dish that a step belongs to. */
export function dishOf(model: Model, i: number): number[] {
  const { activities } = model.problem
  const { dish } = activities[i]!
  return dish === undefined ? [i] : activities.flatMap((a, j) => (a.dish === dish ? [j] : []))
}

/** Whether the k-th phase of an activity has begun already. */
export const isBegun = (model: Model, activity: number, k: number) =>
  k < (model.activities[activity]!.fact?.phases.length ?? 0)
