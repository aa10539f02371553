import { z } from 'zod'
import { kitchenSchema } from '../kitchen'
import { recipeSchema } from '../recipe'
import { sessionSchema } from '../session'
import { planSchema, type Plan } from '../plan'
import { progress } from '../problem'
import type { Instruction } from '../guide'
import { counting, eventSchema, ofKind, type Event } from './events'

/** What older versions kept of one piece of hands work: milliseconds since the epoch. */
const done = z.strictObject({
  key: z.string().min(1),
  cook: z.string().min(1),
  startedAt: z.int().min(0),
  endedAt: z.int().min(0),
})

/** A plan that the session went by from some instant on. */
const planned = z.strictObject({ plan: planSchema, progress: progress.optional() })

/** What was wanted, where and from which recipes, as it stood when the session began. */
const snapshot = z.strictObject({
  session: sessionSchema,
  kitchen: kitchenSchema,
  recipes: z.array(recipeSchema),
})

/**
 * A session being cooked: when it began, what it goes by, and everything that happened. The first plan
 * is the one it began with; an event says when it went over to each of the others.
 */
export const cookingSchema = z.strictObject({
  session: z.string().min(1),
  startedAt: z.int().min(0),
  events: z.array(eventSchema).default([]),
  plans: z.array(planned).default([]),
  done: z.array(done).optional(),
  /** Whatever is changed in the household meanwhile, this goes on; older sessions have none. */
  snapshot: snapshot.optional(),
  /** When people were to be finished, as it was foretold at the beginning: in half and in nine of ten runs. */
  foretold: z.strictObject({ half: z.number().min(0), most: z.number().min(0) }).optional(),
})

export type Cooking = z.output<typeof cookingSchema>

/** What happened, also where an older version kept only which lines were done, and when. */
export function eventsOf(
  { events, done, startedAt }: Cooking,
  lines: readonly Instruction[],
): Event[] {
  if (events.length || !done?.length) return events
  const second = (at: number) => Math.max(0, Math.round((at - startedAt) / 1000))
  return done.flatMap((d, k): Event[] => {
    const line = lines.find((l) => l.key === d.key)
    if (!line) return []
    return [
      {
        id: `older-${k}`,
        at: d.endedAt,
        kind: 'done',
        cook: d.cook,
        key: d.key,
        is: line.kind,
        text: line.text,
        from: second(d.startedAt),
        to: second(d.endedAt),
        ...(line.activity === undefined ? {} : { activity: line.activity }),
        ...(line.points ? { points: line.points } : {}),
        ...(line.kind === 'wash' ? { station: line.places[0]! } : {}),
      },
    ]
  })
}

/** The plan that a session goes by now: the latest that was taken up. */
export function planGoneBy({ plans, events }: Cooking): Plan | undefined {
  const last = ofKind(counting(events), 'planned').at(-1)
  return plans[last?.plan ?? 0]?.plan
}
