import { z } from 'zod'
import { simulatedLabel } from '../devices/labelPrinter'

const wanted = z.strictObject({
  labels: z
    .array(z.array(z.string().max(300)).min(1).max(30))
    .min(1)
    .max(200),
})

/** What the simulated label printer prints; a real one would be told here in its place. */
export default defineEventHandler(async (event) => {
  const body = wanted.safeParse(await readBody(event))
  if (!body.success)
    throw createError({ statusCode: 400, statusMessage: 'labels, each of lines, are wanted' })
  return { drawings: body.data.labels.map(simulatedLabel), simulated: true }
})
