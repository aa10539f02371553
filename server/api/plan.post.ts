import { createError, defineEventHandler, readBody } from 'h3'
import { z } from 'zod'
import { checkPlan } from '../../core/plan'
import { readProblem } from '../../core/problem'
import { startSolving } from '../../core/solver'

const request = z.strictObject({
  problem: z.unknown(),
  seconds: z.number().min(0.1).max(20).default(5),
  seed: z.int().default(1),
})

/** Plans on the server, for devices too slow to: answers the plan and what its bound rests on. */
export default defineEventHandler(async (event) => {
  const body = request.safeParse(await readBody<unknown>(event))
  if (!body.success)
    throw createError({ statusCode: 400, message: 'wanted: { problem, seconds?, seed? }' })
  const reading = readProblem(body.data.problem)
  if (!reading.ok)
    throw createError({ statusCode: 422, message: 'unusable problem', data: reading.issues })
  const run = startSolving(reading.value, { seconds: body.data.seconds, seed: body.data.seed })
  // In slices, so that other requests are answered in between.
  while (run.advance(50)) await new Promise((resolve) => setImmediate(resolve))
  const plan = run.plan()
  if (checkPlan(reading.value, plan).length) throw createError({ statusCode: 500 })
  return { plan, boundBy: run.boundWords() }
})
