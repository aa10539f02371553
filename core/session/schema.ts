import { z } from 'zod'

const id = z.string().regex(/^[a-z0-9-]+$/, { message: 'may hold only a to z, 0 to 9 and -' })

/** More of one dish than any home kitchen could pack away in a sitting. */
export const MOST_BATCHES = 8

export const sessionSchema = z.strictObject({
  format: z.literal('cadrum/session@1'),
  id,
  name: z.string().min(1).max(120),
  kitchen: id,
  /** Ids of the people of the kitchen who cook. */
  cooks: z.array(id),
  /** Local date and time, `2027-03-20T09:00`. */
  start: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, {
    message: 'is no date and time like 2027-03-20T09:00',
  }),
  /** Minutes within which everything should be done; a plan may take longer and says so. */
  limit: z.int().min(10).max(2880).optional(),
  dishes: z.array(
    z.strictObject({
      recipe: id,
      batches: z.number().min(0.5).max(MOST_BATCHES).multipleOf(0.5),
    }),
  ),
})

export type Session = z.output<typeof sessionSchema>
