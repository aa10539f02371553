import { z } from 'zod'
import { celsius, id, instant, lag, LONGEST, span, text } from './fields'
import { progress } from './progress'

export const cook = z.strictObject({
  id,
  attention: z.number().min(0).max(1000).default(100),
  skills: z.array(id).optional(),
  unavailable: z.array(span).default([]),
})

export const wash = z.strictObject({
  seconds: instant,
  skill: id.optional(),
  between: z.record(id, z.record(id, instant)).optional(),
})

export const oven = z.strictObject({
  min: celsius,
  max: celsius,
  start: celsius,
  heatSecondsPerDegree: z.number().min(0).max(1000),
  coolSecondsPerDegree: z.number().min(0).max(1000),
  methods: z.array(id).min(1),
})

export const station = z.strictObject({
  id,
  kind: id,
  capacity: z.number().positive().max(1_000_000).default(1),
  tags: z.array(id).default([]),
  size: z.number().min(0).optional(),
  unavailable: z.array(span).default([]),
  wash: wash.optional(),
  oven: oven.optional(),
})

export const need = z.strictObject({
  kind: id,
  tags: z.array(id).default([]),
  minSize: z.number().min(0).optional(),
  amount: z.number().positive().max(1_000_000).default(1),
  contents: id.optional(),
})

export const phase = z.strictObject({
  seconds: z.tuple([instant, instant.nullable()]),
  hands: z
    .strictObject({
      /** What whoever does it must be able to do: one skill, or every one of a list. */
      skill: z.union([id, z.array(id)]).optional(),
      attention: z.number().min(0).max(1000).default(100),
    })
    .optional(),
  watch: z.number().min(1).max(100).optional(),
  heat: z
    .strictObject({ need: z.int().min(0), celsius: z.tuple([celsius, celsius]), method: id })
    .optional(),
})

export const mode = z.strictObject({
  id,
  needs: z.array(need).default([]),
  phases: z.array(phase).min(1),
})

export const activity = z.strictObject({
  id,
  dish: id.optional(),
  label: text,
  aside: z.boolean().default(false),
  hygiene: id.default('neutral'),
  release: instant.optional(),
  due: instant.optional(),
  modes: z.array(mode).min(1),
})

export const choice = z.strictObject({
  id,
  options: z
    .array(
      z.strictObject({
        id,
        label: text.optional(),
        activities: z.array(id),
        cost: z.number().min(-1e9).max(1e9).default(0),
      }),
    )
    .min(1),
})

export const relation = z.strictObject({
  from: id,
  to: id,
  kind: z.enum(['FS', 'SS', 'FF', 'SF']),
  min: lag.default(0),
  max: lag.optional(),
})

export const hold = z.strictObject({ id, need, from: id, to: id.nullable() })

export const pin = z.strictObject({
  activity: id,
  start: span.optional(),
  mode: id.optional(),
  cook: id.optional(),
  stations: z.array(id).optional(),
})

export const objectiveName = z.enum([
  'makespan',
  'handsFree',
  'handsSpread',
  'cost',
  'heatChanges',
  'lateStart',
  'switches',
])

/** The planning problem, `cadrum/problem@1`: what has to happen, with what, by whom. */
export const problemSchema = z.strictObject({
  format: z.literal('cadrum/problem@1'),
  name: text,
  // Nearly twice what the largest session in a large kitchen has: above that no time asked for can be held.
  cooks: z.array(cook).max(40),
  stations: z.array(station).max(300),
  activities: z.array(activity).max(500),
  choices: z.array(choice).max(400).default([]),
  relations: z.array(relation).max(8000).default([]),
  holds: z.array(hold).max(500).default([]),
  hygiene: z.record(id, z.record(id, instant)).default({}),
  deadline: instant.max(LONGEST).optional(),
  pins: z.array(pin).optional(),
  progress: progress.optional(),
  objective: z.array(objectiveName).min(1).default(['makespan', 'handsFree', 'handsSpread']),
  /** By how much a plan may be worse in an objective than the best found, for those behind it. */
  allowance: z.partialRecord(objectiveName, z.number().min(0).max(LONGEST)).optional(),
})

export type Problem = z.output<typeof problemSchema>
/** A problem as it may be written in a file: fields with defaults may be left out. */
export type ProblemInput = z.input<typeof problemSchema>
export type Cook = z.output<typeof cook>
export type Station = z.output<typeof station>
export type Need = z.output<typeof need>
export type Phase = z.output<typeof phase>
export type Mode = z.output<typeof mode>
export type Activity = z.output<typeof activity>
export type Choice = z.output<typeof choice>
export type Relation = z.output<typeof relation>
export type Hold = z.output<typeof hold>
export type Pin = z.output<typeof pin>
export type ObjectiveName = z.output<typeof objectiveName>
