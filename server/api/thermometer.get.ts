import { z } from 'zod'
import { simulatedProbe } from '../devices/thermometer'

const asked = z.object({
  start: z.coerce.number().min(-30).max(250),
  surroundings: z.coerce.number().min(-30).max(300),
  seconds: z.coerce.number().min(0).max(172_800),
})

/** What the simulated probe reads; a real one would be asked here in its place. */
export default defineEventHandler((event) => {
  const reading = asked.safeParse(getQuery(event))
  if (!reading.success)
    throw createError({
      statusCode: 400,
      statusMessage: 'start and surroundings in °C, and seconds, are wanted',
    })
  const { start, surroundings, seconds } = reading.data
  return { celsius: simulatedProbe(start, surroundings, seconds), simulated: true }
})
