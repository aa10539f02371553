import { z } from 'zod'

/** One thing for a cook to do, at its time in the plan. */
export interface Task {
  key: string
  cook: string
  /** Seconds from the start of the session in which it takes hands. */
  from: number
  to: number
}

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

export interface CookView<T extends Task = Task> {
  now: T | undefined
  /** When `now` could be begun: after the last thing that this cook finished. */
  since: number
  /** Seconds left of `now` at its planned length; negative when it runs over. */
  left: number
  /** Seconds until `now` is due to begin by the plan; 0 once it is. */
  startsIn: number
  next: T[]
}

/** What one cook has in hand at an instant, from the plan's work and what is done of it. */
export function cookView<T extends Task>(
  work: readonly T[],
  cooking: Cooking,
  cook: string,
  at: number,
): CookView<T> {
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

/**
 * The log with the cook's current work finished at `at`; the same log if there is none or, with
 * `key`, if it is another by now: a second tap finishes nothing else.
 */
export function finish(
  work: readonly Task[],
  cooking: Cooking,
  cook: string,
  at: number,
  key?: string,
): Cooking {
  const view = cookView(work, cooking, cook, at)
  if (!view.now || (key !== undefined && view.now.key !== key)) return cooking
  // A clock that was set back makes nothing end before what was done already.
  const endedAt = cooking.done.reduce(
    (last, d) => Math.max(last, d.endedAt),
    Math.max(at, cooking.startedAt),
  )
  const startedAt = Math.min(view.since, endedAt)
  const done = { key: view.now.key, cook, startedAt, endedAt }
  return { ...cooking, done: [...cooking.done, done] }
}

/** The log without the last thing that the cook finished. */
export function undo(cooking: Cooking, cook: string): Cooking {
  const last = cooking.done.findLastIndex((d) => d.cook === cook)
  return last < 0 ? cooking : { ...cooking, done: cooking.done.filter((_, i) => i !== last) }
}
