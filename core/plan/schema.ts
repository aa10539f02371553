import { z } from 'zod'
import type { phaseRun } from '../problem'
import { activityRun, choreRun, heatRun, holdRun, id, instant, text } from '../problem'

export const planStatus = z.enum(['optimal', 'feasible', 'infeasible', 'unknown'])

/** The plan, `cadrum/plan@1`: when, by whom and on what everything happens. */
export const planSchema = z.strictObject({
  format: z.literal('cadrum/plan@1'),
  problem: text,
  status: planStatus,
  makespan: instant,
  /** The best value found of the problem's first objective: with an allowance the plan may be worse. */
  shortest: z.number().optional(),
  /** A value of the problem's first objective that no plan can beat. */
  bound: z.number(),
  seed: z.int(),
  elapsedMs: z.number().min(0),
  choices: z.record(id, id),
  activities: z.array(activityRun),
  holds: z.array(holdRun),
  chores: z.array(choreRun),
  heats: z.array(heatRun),
  reasons: z.array(text),
})

export type Plan = z.output<typeof planSchema>
export type PlanStatus = z.output<typeof planStatus>
export type ActivityRun = z.output<typeof activityRun>
export type PhaseRun = z.output<typeof phaseRun>
export type HoldRun = z.output<typeof holdRun>
export type ChoreRun = z.output<typeof choreRun>
export type HeatRun = z.output<typeof heatRun>
