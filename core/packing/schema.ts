import { z } from 'zod'
import { daySchema, idSchema } from '../session'
import { PLACES } from '../stock'

/** More than any household packs of one thing. */
export const MOST_PORTIONS = 500
const portions = z.number().positive().max(MOST_PORTIONS)
const line = z.string().min(1).max(300)

/** A second of local time, `2027-03-20T18:05:30`: what happened, in its order. */
const moment = z
  .string()
  .refine(
    (text) =>
      daySchema.safeParse(text.slice(0, 10)).success &&
      /^T([01]\d|2[0-3]):[0-5]\d(?::[0-5]\d)?$/.test(text.slice(10)),
    { message: 'is not a date and time like 2027-03-20T18:05:30' },
  )

/** Why food was not eaten. */
export const WHY_THROWN = ['past its day', 'too much', 'went bad', 'warmed and left'] as const

/** What happened to a pack, with when. */
const move = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('moved'),
    at: moment,
    place: z.enum(PLACES),
    where: line.optional(),
  }),
  z.strictObject({
    kind: z.literal('eaten'),
    at: moment,
    portions,
    /** It was past its day, and somebody ate it all the same. */
    anyway: z.literal(true).optional(),
  }),
  z.strictObject({
    kind: z.literal('thrown'),
    at: moment,
    portions,
    why: z.enum(WHY_THROWN),
  }),
  z.strictObject({ kind: z.literal('given'), at: moment, portions }),
  /** It went into another dish. */
  z.strictObject({ kind: z.literal('used'), at: moment, portions, into: line.optional() }),
])
export type Move = z.output<typeof move>

/** One box, bag or tray of a dish, from when it was filled, with all that became of it. */
export const packSchema = z.strictObject({
  format: z.literal('cadrum/pack@1'),
  id: idSchema,
  /** The id of its recipe, and of the session that made it. */
  dish: idSchema,
  session: idSchema.optional(),
  name: line,
  mark: z.string().min(1).max(4),
  /** Which kind of the dish, where there are several. */
  variant: line.optional(),
  /** Portions that went in. */
  portions,
  /** Whether it is ready to eat, or still to be cooked. */
  is: z.enum(['cooked', 'raw']),
  /** The day on which the oldest of its parts was cooked. */
  cooked: daySchema,
  /** When it was filled, and where it went. */
  at: moment,
  place: z.enum(PLACES),
  where: line.optional(),
  /** Days from the day it was cooked that it keeps in each place, and who says so. */
  keeps: z.strictObject({
    fridge: z.int().min(0),
    freezer: z.int().min(0),
    shelf: z.int().min(0),
  }),
  because: line,
  litres: z.number().min(0).max(500),
  /** The evening that it was meant for when it was packed. */
  on: daySchema.optional(),
  /** The kitchen's box, bag or tray that it lies in. */
  box: idSchema.optional(),
  /** What went into it cost so much, in the smallest coin, where that is known. */
  cost: z.number().min(0).optional(),
  moves: z.array(move).max(400),
})
export type Pack = z.output<typeof packSchema>
