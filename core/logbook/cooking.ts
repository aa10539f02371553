import { z } from 'zod'
import type { Handwork } from '../board'

/** What really happened to one piece of hands work: milliseconds since the epoch. */
const done = z.strictObject({
  key: z.string().min(1),
  cook: z.string().min(1),
  startedAt: z.number().int().min(0),
  endedAt: z.number().int().min(0),
})

/** A session being cooked: when it began, and what is done. */
export const cookingSchema = z.strictObject({
  session: z.string().min(1),
  startedAt: z.number().int().min(0),
  done: z.array(done),
})

export type Cooking = z.output<typeof cookingSchema>

export interface CookView {
  now: Handwork | undefined
  /** When `now` could be begun: after the last thing that this cook finished. */
  since: number
  /** Seconds left of `now` at its planned length; negative when it runs over. */
  left: number
  /** Seconds until `now` is due to begin by the plan; 0 once it is. */
  startsIn: number
  next: Handwork[]
}

/** What one cook has in hand at an instant, from the plan's work and what is done of it. */
export function cookView(
  work: readonly Handwork[],
  cooking: Cooking,
  cook: string,
  at: number,
): CookView {
  const finished = new Set(cooking.done.map((d) => d.key))
  const left = work.filter((w) => w.cook === cook && !finished.has(w.key))
  const now = left[0]
  const lastEnd = cooking.done
    .filter((d) => d.cook === cook)
    .reduce((most, d) => Math.max(most, d.endedAt), cooking.startedAt)
  const planned = now ? cooking.startedAt + now.from * 1000 : lastEnd
  const since = Math.max(lastEnd, Math.min(planned, at))
  const begun = Math.max(lastEnd, planned)
  return {
    now,
    since,
    startsIn: Math.max(0, Math.ceil((begun - at) / 1000)),
    left: now ? Math.round(now.to - now.from - Math.max(0, at - begun) / 1000) : 0,
    next: left.slice(1, 3),
  }
}

/** The log with the cook's current work finished at `at`; the same log if there is none. */
export function finish(
  work: readonly Handwork[],
  cooking: Cooking,
  cook: string,
  at: number,
): Cooking {
  const view = cookView(work, cooking, cook, at)
  if (!view.now) return cooking
  const { key } = view.now
  const startedAt = Math.min(view.since, at)
  return { ...cooking, done: [...cooking.done, { key, cook, startedAt, endedAt: at }] }
}

/** The log without the last thing that the cook finished. */
export function undo(cooking: Cooking, cook: string): Cooking {
  const last = cooking.done.findLastIndex((d) => d.cook === cook)
  return last < 0 ? cooking : { ...cooking, done: cooking.done.filter((_, i) => i !== last) }
}
