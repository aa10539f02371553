import { z } from 'zod'
import { idSchema } from '../session'
import { MOST_COST } from '../shopping'

const mark = z.string().min(1).max(400)

/** What was ticked before a session is cooked: in the shop, in the house, on the counter. */
export const preparingSchema = z.strictObject({
  format: z.literal('cadrum/preparing@1'),
  /** The id of its session. */
  id: idSchema,
  /** Lines that lie in the basket, with what was really bought and paid. */
  basket: z
    .array(
      z.strictObject({
        line: mark,
        item: z.string().min(1).max(300),
        amount: z.number().min(0).max(100_000),
        unit: z.enum(['g', 'ml', 'piece']),
        cost: z.int().min(0).max(MOST_COST).optional(),
        /** In packs of one size, of which so much is in each; or by weight. */
        pack: z.number().positive().optional(),
        loose: z.literal(true).optional(),
        shop: z.string().min(1).max(120).optional(),
      }),
    )
    .max(1000)
    .default([]),
  /** Lines that were to be looked for and are not enough. */
  lacking: z.array(mark).max(1000).default([]),
  /** Sizes that were not to be had. */
  notHad: z
    .array(z.strictObject({ line: mark, amount: z.number().positive() }))
    .max(1000)
    .default([]),
  /** What was seen to, laid out, written. */
  done: z.array(mark).max(3000).default([]),
  /** Labels that were written by hand, by their id, with what they would have said then. */
  labels: z
    .record(mark, z.strictObject({ text: z.string().max(600), was: z.string().max(4000) }))
    .default({}),
})
export type Preparing = z.output<typeof preparingSchema>

/** Nothing done yet. */
export const nothingReady = (session: string): Preparing =>
  preparingSchema.parse({ format: 'cadrum/preparing@1', id: session })
