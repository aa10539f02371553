import { z } from 'zod'
import { UNITS } from '../quantity'
import { WORK_KINDS } from './work'

const id = z.string().regex(/^[a-z0-9-]+$/, { message: 'may hold only a to z, 0 to 9 and -' })
const line = z.string().min(1).max(300)
const minute = z.number().min(0).max(14_400)

/** More than a home kitchen serves from one batch, or takes of anything in whatever unit. */
const MOST_SERVED = 500
const MOST_AMOUNT = 100_000

/** Least, usual and most minutes; the plan counts on the usual and allows the most. */
const minutes = z
  .tuple([minute, minute, minute])
  .refine(([least, usual, most]) => least <= usual && usual <= most, {
    message: 'the order is least, usual, most',
  })

const equipment = z.strictObject({
  kind: z.string().min(1).max(60),
  tags: z.array(z.string().min(1)).optional(),
  minSize: z.number().positive().optional(),
  /** How much of a shared place one batch takes: oven shelves, litres. */
  amount: z.number().positive().optional(),
  /** What is in it; the same contents twice need no washing between. */
  contents: z.string().min(1).optional(),
})

const heat = z.strictObject({
  celsius: z.tuple([z.number().min(0).max(350), z.number().min(0).max(350)]),
  method: z.enum(['bake', 'grill']).default('bake'),
  /** The one heat that a text states: what is on either side of it only serves two dishes in one oven. */
  stated: z.number().min(0).max(350).optional(),
})

const pack = z.strictObject({ amount: z.number().positive(), unit: z.enum(['g', 'kg', 'ml', 'l']) })

/** One way to do a step: with what, for how long, at what heat. */
const way = z.strictObject({
  id,
  label: line.optional(),
  minutes,
  on: z.array(equipment).default([]),
  heat: heat.optional(),
  /** Goes on at other heats without leaving the oven: what is said of each, and for how long. */
  then: z
    .array(z.strictObject({ step: id.optional(), do: line, minutes, heat }))
    .max(6)
    .optional(),
  /** Minutes of hands to put it on and to take it off. */
  load: minute.optional(),
  unload: minute.optional(),
})

const after = z.strictObject({
  step: id,
  /** Minutes that must lie between the end of that step and the start of this one. */
  least: minute.optional(),
  /** Minutes that may lie in between; null: any. Without it what the food is decides. */
  most: minute.nullable().optional(),
  /** False where only the order counts, and no food of that step goes into this one. */
  food: z.literal(false).optional(),
})

export const step = z.strictObject({
  id,
  /** What to do, as one would say it. */
  do: line,
  work: z.enum(WORK_KINDS),
  hygiene: z.enum(['raw', 'ready', 'produce', 'neutral']).optional(),
  ways: z.array(way).min(1),
  after: z.array(after).default([]),
  /** Shared bases this step takes from, and how much for each batch of the dish. */
  takes: z
    .array(
      z.strictObject({
        base: id,
        batches: z.number().positive(),
        /** Minutes that must and that may lie in between; without a most it is two hours, null: any. */
        least: minute.optional(),
        most: minute.nullable().optional(),
      }),
    )
    .default([]),
  uses: z.array(id).default([]),
  /** How the time grows: `each` with the batches, `pot` by half of that, `once` not at all. */
  scale: z.enum(['each', 'pot', 'once']).default('once'),
  /** Browned a panful at a time: pieces in a batch, and how many a 28 cm pan takes. */
  panfuls: z.strictObject({ pieces: z.int().positive(), per28: z.int().positive() }).optional(),
  /** Whether the food is still in its vessel afterwards, where the words do not say so. */
  stays: z.boolean().optional(),
  caution: line.optional(),
  /** What comes of it can be made so many days before, and how it keeps till then. */
  ahead: z.strictObject({ days: z.int().min(1).max(365), how: line.optional() }).optional(),
  /** Runs on after everybody has stopped, and does not count as the session. */
  aside: z.boolean().default(false),
  /** Food of an earlier sitting that it takes up, and in what state it is. */
  brings: z
    .strictObject({
      uses: z.array(id),
      is: z.array(z.enum(['raw', 'flesh', 'part', 'cooked', 'cold', 'dough'])),
    })
    .optional(),
  /** It goes on since before the session began, or when that is over: another sitting takes it up. */
  since: z.literal(true).optional(),
  beyond: z.literal(true).optional(),
  /** What the cook still has to look at, left from reading a text. */
  doubts: z.array(line).default([]),
})

export const recipeSchema = z.strictObject({
  format: z.literal('cadrum/recipe@1'),
  id,
  name: line,
  /** Two letters that stand for the dish beside its colour. */
  mark: z.string().regex(/^[A-Z][a-z]$/),
  /** A base is made for other dishes and joins a session on its own. */
  base: z.boolean().default(false),
  /** A meal by itself where nothing is said; a part to combine with others; or beside a meal. */
  role: z.enum(['meal', 'part', 'extra']).optional(),
  serves: z.number().positive().max(MOST_SERVED),
  ingredients: z.array(
    z.strictObject({
      id,
      item: line,
      amount: z.number().positive().max(MOST_AMOUNT),
      unit: z.enum(UNITS),
      /** What is counted of it: cloves, sprigs, sticks. */
      counted: z.string().min(1).max(40).optional(),
      note: line.optional(),
      /** What it is bought in: a tin, a bag. */
      pack: pack.optional(),
      /** What could stand in for it. */
      instead: line.optional(),
      /** The dish is still the dish without it. */
      optional: z.literal(true).optional(),
    }),
  ),
  steps: z.array(step).min(1),
  /** Vessels kept over several steps. */
  keeps: z
    .array(
      z.strictObject({
        id,
        vessel: equipment,
        /** Litres it must hold for one batch, where that decides its size. */
        litres: z.number().positive().optional(),
        from: id,
        to: id,
      }),
    )
    .default([]),
  /** Ways of cooking the dish that change its steps. */
  routes: z
    .array(
      z.strictObject({
        id,
        options: z.array(z.strictObject({ id, label: line, steps: z.array(id) })).min(2),
      }),
    )
    .default([]),
  /** From this step on it is several, each with a share: seasonings, a milder part. */
  variants: z
    .strictObject({
      step: id,
      kinds: z
        .array(z.strictObject({ name: line, share: z.number().positive().max(1) }))
        .min(2)
        .max(6),
    })
    .optional(),
  /** What is left of it that other dishes can use: bones, trimmings, cooking liquid. */
  leaves: z
    .array(
      z.strictObject({
        item: line,
        /** Of one batch. */
        amount: z.number().positive(),
        unit: z.enum(UNITS),
        /** Days that it keeps in the fridge. */
        days: z.int().min(0).max(365),
        /** The step that leaves it; without one it is there when the dish is done. */
        step: id.optional(),
      }),
    )
    .max(20)
    .optional(),
  /** What was noted when it was made, the latest first. */
  notes: z
    .array(z.strictObject({ day: z.iso.date(), text: line }))
    .max(100)
    .optional(),
  store: z
    .strictObject({
      place: z.enum(['fridge', 'freezer', 'shelf']),
      litres: z.number().positive(),
      days: z.int().positive(),
    })
    .optional(),
})

export type Recipe = z.output<typeof recipeSchema>
export type RecipeInput = z.input<typeof recipeSchema>
export type Step = z.output<typeof step>
export type Way = z.output<typeof way>
export type Equipment = z.output<typeof equipment>
