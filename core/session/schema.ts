import { format } from 'date-fns'
import { z } from 'zod'
import { clockSchema } from '../kitchen'
import { UNITS } from '../quantity'
import { wishSchema } from './wishes'

export const idSchema = z
  .string()
  .regex(/^[a-z0-9-]+$/, { message: 'may hold only a to z, 0 to 9 and -' })

const id = idSchema

/** More of one dish than any home kitchen could pack away in a sitting. */
export const MOST_BATCHES = 8
/** The least of a dish that is cooked: half of what its recipe makes. */
export const LEAST_BATCHES = 0.5

export const daySchema = z.string().refine((text) => z.iso.date().safeParse(text).success, {
  message: 'is not a day like 2027-03-20',
})

const day = daySchema

/** The most that a plan may be longer for the sake of calm, in percent. */
export const MOST_CALM = 30

/** For the sake of what a plan may be a little longer. */
export const AIMS = ['dishes', 'hands', 'ovens'] as const
export type Aim = (typeof AIMS)[number]

/** Local date and time, `2027-03-20T09:00`. */
const instant = z
  .string()
  .refine(
    (text) =>
      daySchema.safeParse(text.slice(0, 10)).success &&
      /^T([01]\d|2[0-3]):[0-5]\d$/.test(text.slice(10)),
    { message: 'is not a date and time like 2027-03-20T09:00' },
  )
/** A date as a session writes it, in local time to the minute. */
export const instantOf = (date: Date): string => format(date, "yyyy-MM-dd'T'HH:mm")

/** The order of time, for whatever begins. */
export const byStart = (a: { start: string }, b: { start: string }): number =>
  a.start < b.start ? -1 : a.start > b.start ? 1 : 0

/** Minutes within which everything should be done; a plan may take longer and says so. */
const limit = z.int().min(10).max(2880)

const evening = z.strictObject({
  day,
  /** How much time there is to cook then: none but to warm up, or some. */
  time: z.enum(['short', 'long']),
  eaters: z.int().min(0).max(40),
  /** When they sit down to eat, where it is not the usual hour. */
  at: clockSchema.optional(),
  /** Who makes it ready, where it is not the first who may work with heat. */
  cooks: z.array(id).max(12).optional(),
})

/** When a family sits down to eat where nobody has said. */
export const USUAL_HOUR = '18:30'

/** What the session's own sitting is called; its others have ids of their own. */
export const MAIN = 'main'

/** Under which id what belongs to a sitting, or the evening of a day, is kept. */
export const keyOf = (session: string, sitting: string) =>
  sitting === MAIN ? session : `${session}--${sitting}`
/** The id of the session that what is kept under such an id belongs to. */
export const sessionOf = (key: string) => key.split('--')[0]!
/** The sitting, or the day of the evening, that it is. */
export const sittingOf = (key: string) => key.slice(sessionOf(key).length + 2) || MAIN

const sitting = z.strictObject({
  id: id.refine((text) => text !== MAIN && !/^\d{4}-\d\d-\d\d$/.test(text), {
    message: 'is the name of a sitting that is there anyway',
  }),
  name: z.string().min(1).max(60).optional(),
  start: instant,
  limit: limit.optional(),
  /** Ids of the people of the kitchen who cook then. */
  cooks: z.array(id),
})

export const dishSchema = z.strictObject({
  recipe: id,
  batches: z.number().min(LEAST_BATCHES).max(MOST_BATCHES).multipleOf(LEAST_BATCHES),
  /** Made in so many goes, each by itself, where one vessel does not hold it all. */
  goes: z.int().min(1).max(4).optional(),
  /** Where it goes when it is done, if not where the recipe says. */
  to: z.enum(['tonight', 'fridge', 'freezer']).optional(),
  /** Not to be left out when time runs short. */
  must: z.boolean().optional(),
  /** Steps that were done on an earlier day, with all that leads to them. */
  done: z.array(id).max(60).optional(),
  /** Made by itself: nothing of it is done together with other dishes. */
  alone: z.boolean().optional(),
  /** The days on which it is eaten. */
  on: z.array(day).max(31).optional(),
  /** When it is to be ready, and how soon it may be begun. */
  ready: instant.optional(),
  notBefore: instant.optional(),
  /** When its other steps are done, where these are only a part of it. */
  next: z.string().min(1).max(60).optional(),
  /** What goes in for some of its ingredients. */
  swaps: z
    .array(z.strictObject({ ingredient: id, item: z.string().min(1).max(300) }))
    .max(60)
    .optional(),
  /** Steps whose sitting the cook has said, by its id. */
  fixed: z
    .array(z.strictObject({ step: id, sitting: id }))
    .max(60)
    .optional(),
})

export const sessionSchema = z.strictObject({
  format: z.literal('cadrum/session@1'),
  id,
  name: z.string().min(1).max(120),
  kitchen: id,
  /** Ids of the people of the kitchen who cook. */
  cooks: z.array(id),
  /** When its main sitting begins. */
  start: instant,
  limit: limit.optional(),
  /** Other sittings that belong to it, like the evening before. */
  sittings: z.array(sitting).max(6).optional(),
  /** How its dishes are parted between the sittings, as it was worked out: dish, step, sitting. */
  parted: z.record(id, z.record(id, id)).optional(),
  /** When everything is to be ready. */
  ready: instant.optional(),
  /** How much longer than the shortest a plan may be so that cooks change dish less often, in percent. */
  calm: z.int().min(0).max(MOST_CALM).optional(),
  /** For the sake of what it may be longer: fewer changes of dish, hands free sooner, fewer changes of oven heat. */
  aim: z.enum(AIMS).optional(),
  /** Work that several dishes share and that is to be done for each of them apart, by its id. */
  apart: z.array(id).max(200).optional(),
  /** What the cook wants otherwise than it would be planned, in whatever sitting it is. */
  wishes: z.array(wishSchema).max(60).optional(),
  /** Evenings that the session cooks for, in their order. */
  evenings: z.array(evening).max(31).optional(),
  /** What its shopping may cost, in the smallest coin. */
  budget: z.int().min(0).max(100_000_000).optional(),
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
export type Sitting = NonNullable<Session['sittings']>[number]
