import { z } from 'zod'
import { celsius, id, instant } from './fields'

const open = instant.nullable()

export const phaseRun = z.strictObject({ from: instant, to: instant, cook: id.optional() })
const openPhaseRun = phaseRun.extend({ to: open })

export const activityRun = z.strictObject({
  id,
  mode: id,
  start: instant,
  end: instant,
  stations: z.array(id),
  phases: z.array(phaseRun),
})
export const holdRun = z.strictObject({ id, station: id, from: instant, to: instant })
export const choreRun = z.strictObject({
  kind: z.literal('wash'),
  station: id,
  cook: id,
  from: instant,
  to: instant,
})
export const heatRun = z.strictObject({
  station: id,
  celsius,
  method: id,
  from: instant,
  to: instant,
})

/** What has happened so far: a plan whose last entries may still be open (`null`). */
export const progress = z.strictObject({
  now: instant,
  choices: z.record(id, id),
  activities: z.array(activityRun.extend({ end: open, phases: z.array(openPhaseRun) })),
  holds: z.array(holdRun.extend({ to: open })),
  chores: z.array(choreRun.extend({ to: open })),
  heats: z.array(heatRun.extend({ to: open })),
})

export type Progress = z.output<typeof progress>
