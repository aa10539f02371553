import { z } from 'zod'

const id = z.string().regex(/^[a-z0-9-]+$/, { message: 'may hold only a to z, 0 to 9 and -' })
const line = z.string().min(1).max(200)
const celsius = z.number().min(0).max(400)

const station = z.strictObject({
  id,
  name: line,
  kind: z.string().min(1).max(60),
  /** Which strand of the plan it belongs to. */
  zone: z.enum(['bench', 'hob', 'oven', 'appliance', 'vessel', 'cold']),
  capacity: z.number().positive().max(1000).default(1),
  tags: z.array(z.string().min(1)).default([]),
  size: z.number().positive().max(1000).optional(),
  /** Minutes to walk there: it stands apart, like a grill outdoors. */
  walk: z.number().min(0).max(30).optional(),
  /** Broken, lent or full today: plans do without it. */
  outOfUse: z.boolean().default(false),
  wash: z
    .strictObject({
      seconds: z.int().min(0).max(3600),
      between: z.record(z.string(), z.record(z.string(), z.int().min(0).max(3600))).optional(),
    })
    .optional(),
  oven: z
    .strictObject({
      min: celsius,
      max: celsius,
      start: celsius,
      heatSecondsPerDegree: z.number().min(0).max(60),
      coolSecondsPerDegree: z.number().min(0).max(60),
      methods: z.array(z.enum(['bake', 'grill'])).min(1),
    })
    .optional(),
})

/** A time of the day, `17:30`. */
export const clockSchema = z
  .string()
  .regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, { message: 'is not a time like 17:30' })

const person = z
  .strictObject({
    id,
    name: line,
    /** How much a cook can keep an eye on at once: practised 100, learning 80, helper 60. */
    practice: z.enum(['practised', 'learning', 'helper']),
    skills: z.array(z.enum(['knife', 'heat', 'raw', 'simple'])),
    /** Percent of the stated minutes that hands work takes them: 100 as stated, 130 slower. */
    pace: z.int().min(50).max(300).optional(),
    /** What their own sessions have taught: percent of the planned minutes, from so many pieces of work. */
    learned: z
      .array(
        z.strictObject({
          work: id,
          percent: z.int().min(30).max(300),
          pieces: z.int().min(1),
          /** Two of three pieces lie between these; what older versions learned has none. */
          between: z.tuple([z.int().min(1), z.int().min(1)]).optional(),
          /** It is not to be used. */
          refused: z.literal(true).optional(),
        }),
      )
      .max(60)
      .optional(),
    /** There from and until these times of the day; without them from the beginning to the end. */
    from: clockSchema.optional(),
    until: clockSchema.optional(),
    /** Times of the day at which they are away. */
    away: z
      .array(
        z
          .strictObject({ from: clockSchema, to: clockSchema })
          .refine((a) => a.from < a.to, { message: 'ends before it begins', path: ['to'] }),
      )
      .max(6)
      .optional(),
  })
  .refine((p) => p.from === undefined || p.until === undefined || p.from < p.until, {
    message: 'ends before it begins',
    path: ['until'],
  })

/** Minutes: longer breaks are no part of a session. */
export const MOST_BREATHER = 20
export const MOST_MEAL = 90

/** What a household always does in its own way; each costs or saves time, which the plan shows. */
const rules = z.strictObject({
  /** Everything that can be cut is cut before anything cooks, or shortly before it is wanted. */
  cutting: z.enum(['any', 'first', 'just-before']).default('any'),
  /** Raw meat, fish and egg are handled after all other cutting, or whenever it fits. */
  raw: z.enum(['any', 'last']).default('any'),
  /** Pots and pans are washed and used again, or left until the end while there are clean ones. */
  pans: z.enum(['wash', 'next-clean']).default('wash'),
  /** Above 32 °C in the kitchen: cooked food may stand one hour instead of two. */
  hot: z.boolean().default(false),
  /** Strict where somebody eats along for whom germs are worse: small children, the old, the ill. */
  cautions: z.enum(['usual', 'strict']).default('usual'),
  /** Minutes that each cook has to sit down in every hour, and for a meal in a session of four hours or more. */
  breather: z.int().min(0).max(MOST_BREATHER).default(0),
  meal: z.int().min(0).max(MOST_MEAL).default(0),
})
export const USUAL_RULES = rules.parse({})

/** What cooked food is packed in: so many of one size. */
const box = z.strictObject({
  id,
  name: line,
  kind: z.enum(['box', 'bag', 'tray', 'jar']),
  /** Litres that one holds when it is full to the rim. */
  litres: z.number().positive().max(50),
  count: z.int().min(0).max(500),
  /** Lids that are there, where not each has one. */
  lids: z.int().min(0).max(500).optional(),
})

export const kitchenSchema = z.strictObject({
  format: z.literal('cadrum/kitchen@1'),
  id,
  name: line,
  people: z.array(person).min(1),
  stations: z.array(station),
  rules: rules.optional(),
  /** Boxes, bags and trays for what is put away; without any nothing is said of them. */
  boxes: z.array(box).max(60).optional(),
  /** Seconds to wash hands on the way from one kind of food to another. */
  handWash: z.record(z.string(), z.record(z.string(), z.int().min(0).max(600))),
})

export type Kitchen = z.output<typeof kitchenSchema>
export type KitchenInput = z.input<typeof kitchenSchema>
export type KitchenStation = z.output<typeof station>
export type Person = z.output<typeof person>
export type Box = z.output<typeof box>
export type Zone = KitchenStation['zone']
export type HouseRules = z.output<typeof rules>
