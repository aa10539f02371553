import { z } from 'zod'
import { kitchenSchema } from '../kitchen'
import { cookingSchema, recordSchema } from '../logbook'
import { planSchema } from '../plan'
import { measuresSchema } from '../quantity'
import { mealSchema } from '../eating'
import { packSchema } from '../packing'
import { recipeSchema } from '../recipe'
import { preparingSchema } from '../setout'
import { priceSchema } from '../shopping'
import { stockSchema } from '../stock'
import { menuSchema, rhythmSchema, sessionSchema } from '../session'

const limit = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('deadline') }),
  z.strictObject({ kind: z.literal('due'), activity: z.string() }),
  z.strictObject({ kind: z.literal('pin'), index: z.int().min(0) }),
  z.strictObject({ kind: z.literal('relation'), index: z.int().min(0) }),
])

/** A plan as it is kept: for which problem it was made, and what was measured beside it. */
export const keptPlanSchema = z.strictObject({
  session: z.string().min(1),
  /** Fingerprint of the problem it solves; another one means that it is out of date. */
  problem: z.string(),
  plan: planSchema,
  /** Where no plan keeps all limits: the one that breaks least, and the limits it breaks, in seconds. */
  least: z
    .strictObject({
      plan: planSchema,
      broken: z.array(z.strictObject({ limit, was: z.number(), now: z.number() })),
    })
    .optional(),
  /** The values of the problem's objectives in their order, less being better; old files have none. */
  values: z.array(z.number()).optional(),
  /** The same of the best plan without an allowance, and how much more the first value may be. */
  strict: z.array(z.number()).optional(),
  free: z.number().min(0).optional(),
  /** When people are finished in four of five runs, with this plan and with the one it was taken instead of. */
  steady: z
    .strictObject({ eighty: z.number(), otherwise: z.number(), of: z.int().min(1) })
    .optional(),
  /** What the bound rests on, in words. */
  boundBy: z.string(),
  /** Seconds that the same dishes take one after another, by the same engine. */
  oneByOne: z.number().min(0).nullable(),
})

/** Everything a household owns, as one file. */
export const householdSchema = z.strictObject({
  format: z.literal('cadrum/household@1'),
  savedAt: z.iso.datetime(),
  kitchens: z.array(kitchenSchema),
  recipes: z.array(recipeSchema),
  sessions: z.array(sessionSchema),
  plans: z.array(keptPlanSchema),
  cooking: z.array(cookingSchema),
  /** Menus that were kept; files from before there were any have none. */
  menus: z.array(menuSchema).default([]),
  /** Sessions that are over; older files have none. */
  records: z.array(recordSchema).default([]),
  /** Habits of cooking ahead; older files have none. */
  rhythms: z.array(rhythmSchema).default([]),
  /** What is in the house, what things cost, and what was ticked before sessions; older files have none. */
  stock: z.array(stockSchema).default([]),
  prices: z.array(priceSchema).default([]),
  preparing: z.array(preparingSchema).default([]),
  /** What was packed, and what is eaten on which evening; older files have none. */
  packs: z.array(packSchema).default([]),
  meals: z.array(mealSchema).default([]),
  /** How it measures and tells the time, where somebody has said so. */
  measures: measuresSchema.optional(),
})

export type Household = z.output<typeof householdSchema>
export type KeptPlan = z.output<typeof keptPlanSchema>
