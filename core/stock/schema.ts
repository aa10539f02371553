import { z } from 'zod'
import { UNITS } from '../quantity'
import { daySchema, idSchema } from '../session'

/** Where things are kept that are no dish yet. */
export const PLACES = ['fridge', 'freezer', 'shelf'] as const
export type StockPlace = (typeof PLACES)[number]

/** More of one thing than any household keeps. */
const MOST = 100_000

/** One thing that is in the house. */
export const stockSchema = z.strictObject({
  id: idSchema,
  item: z.string().min(1).max(300),
  amount: z.number().min(0).max(MOST),
  unit: z.enum(UNITS),
  place: z.enum(PLACES),
  /** The drawer or shelf that it lies in. */
  where: z.string().min(1).max(60).optional(),
  /** The last day on which it should be used. */
  by: daySchema.optional(),
  /** When it was last counted or put there. */
  counted: daySchema.optional(),
  /** Litres of the place that it takes, where that is known better than by its weight. */
  litres: z.number().min(0).max(500).optional(),
})
export type Stock = z.output<typeof stockSchema>
