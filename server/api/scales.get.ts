import { z } from 'zod'
import { simulatedScales } from '../devices/scales'

const asked = z.object({
  grams: z.coerce.number().min(0).max(20_000),
  what: z.string().min(1).max(300),
  /** For which time it is weighed: a hand pours some off. */
  time: z.coerce.number().int().min(1).max(1000).default(1),
})

/** What the simulated scales read; real ones would be asked here in their place. */
export default defineEventHandler((event) => {
  const put = asked.safeParse(getQuery(event))
  if (!put.success)
    throw createError({ statusCode: 400, statusMessage: 'grams, and what they are of, are wanted' })
  return { grams: simulatedScales(put.data.grams, put.data.what, put.data.time), simulated: true }
})
