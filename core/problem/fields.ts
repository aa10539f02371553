import { z } from 'zod'

/** Longest time the formats accept, in seconds (about 115 days): keeps sums in exact integers. */
export const LONGEST = 10_000_000

export const id = z.string().min(1).max(200)
export const text = z.string().max(2000)
/** Whole seconds from the start of the session. */
export const instant = z.int().min(0).max(LONGEST)
/** A signed distance between two instants, whole seconds. */
export const lag = z.int().min(-LONGEST).max(LONGEST)
export const celsius = z.number().min(-60).max(600)

/** `[from, to]` with `from` not after `to`. */
export const span = z
  .tuple([instant, instant])
  .refine(([from, to]) => from <= to, { message: 'the end comes before the start' })
