import { z } from 'zod'
import { clockSchema } from '../kitchen'
import { daySchema, idSchema } from '../session'
import { MOST_PORTIONS } from '../packing'

/** So many portions of one pack. */
const part = z.strictObject({
  pack: idSchema,
  portions: z.number().positive().max(MOST_PORTIONS),
})

/** What is eaten on the evening of a day, out of what lies there. */
export const mealSchema = z.strictObject({
  format: z.literal('cadrum/meal@1'),
  /** The day. */
  id: daySchema,
  /** How many eat, where that is not what the session's evening says. */
  eaters: z.int().min(0).max(40).optional(),
  at: clockSchema.optional(),
  /** Without one it is what was packed for that day. */
  plate: z.array(part).max(60).optional(),
  /** The cook has said what there is: nothing else is put there. */
  fixed: z.literal(true).optional(),
  /** It is over: what was eaten of it is told by the packs. */
  over: z.literal(true).optional(),
})
export type Meal = z.output<typeof mealSchema>
export type Part = z.output<typeof part>
