import { z } from 'zod'
import { UNITS } from '../quantity'

export const idSchema = z
  .string()
  .regex(/^[a-z0-9-]+$/, { message: 'may hold only a to z, 0 to 9 and -' })

const id = idSchema

/** More of one dish than any home kitchen could pack away in a sitting. */
export const MOST_BATCHES = 8

export const daySchema = z.string().refine((text) => z.iso.date().safeParse(text).success, {
  message: 'is not a day like 2027-03-20',
})

const day = daySchema

/** The most that a plan may be longer for the sake of calm, in percent. */
export const MOST_CALM = 30

const evening = z.strictObject({
  day,
  /** How much time there is to cook then: none but to warm up, or some. */
  time: z.enum(['short', 'long']),
  eaters: z.int().min(0).max(40),
})

export const dishSchema = z.strictObject({
  recipe: id,
  batches: z.number().min(0.5).max(MOST_BATCHES).multipleOf(0.5),
  /** Made in so many goes, each by itself, where one vessel does not hold it all. */
  goes: z.int().min(1).max(4).optional(),
  /** Where it goes when it is done, if not where the recipe says. */
  to: z.enum(['tonight', 'fridge', 'freezer']).optional(),
  /** Not to be left out when time runs short. */
  must: z.boolean().optional(),
  /** Steps that were done on an earlier day, with all that leads to them. */
  done: z.array(id).max(60).optional(),
  /** The days on which it is eaten. */
  on: z.array(day).max(31).optional(),
})

export const sessionSchema = z.strictObject({
  format: z.literal('cadrum/session@1'),
  id,
  name: z.string().min(1).max(120),
  kitchen: id,
  /** Ids of the people of the kitchen who cook. */
  cooks: z.array(id),
  /** Local date and time, `2027-03-20T09:00`. */
  start: z
    .string()
    .refine(
      (text) =>
        daySchema.safeParse(text.slice(0, 10)).success &&
        /^T([01]\d|2[0-3]):[0-5]\d$/.test(text.slice(10)),
      { message: 'is not a date and time like 2027-03-20T09:00' },
    ),
  /** Minutes within which everything should be done; a plan may take longer and says so. */
  limit: z.int().min(10).max(2880).optional(),
  /** How much longer than the shortest a plan may be so that cooks change dish less often, in percent. */
  calm: z.int().min(0).max(MOST_CALM).optional(),
  /** Work that several dishes share and that is to be done for each of them apart, by its id. */
  apart: z.array(id).max(200).optional(),
  /** Evenings that the session cooks for, in their order. */
  evenings: z.array(evening).max(31).optional(),
  /** What is in the house and should be used soon. */
  useUp: z
    .array(
      z.strictObject({
        item: z.string().min(1).max(300),
        amount: z.number().positive(),
        unit: z.enum(UNITS),
        by: day.optional(),
      }),
    )
    .max(60)
    .optional(),
  dishes: z.array(dishSchema),
})

export type Session = z.output<typeof sessionSchema>
export type SessionDish = Session['dishes'][number]
export type Evening = NonNullable<Session['evenings']>[number]
