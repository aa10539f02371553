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
  capacity: z.number().positive().default(1),
  tags: z.array(z.string().min(1)).default([]),
  size: z.number().positive().optional(),
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

const person = z.strictObject({
  id,
  name: line,
  /** How much a cook can keep an eye on at once: practised 100, learning 80, helper 60. */
  practice: z.enum(['practised', 'learning', 'helper']),
  skills: z.array(z.enum(['knife', 'heat', 'raw', 'simple'])),
})

export const kitchenSchema = z.strictObject({
  format: z.literal('cadrum/kitchen@1'),
  id,
  name: line,
  people: z.array(person).min(1),
  stations: z.array(station),
  /** Seconds to wash hands on the way from one kind of food to another. */
  handWash: z.record(z.string(), z.record(z.string(), z.int().min(0).max(600))),
})

export type Kitchen = z.output<typeof kitchenSchema>
export type KitchenInput = z.input<typeof kitchenSchema>
export type KitchenStation = z.output<typeof station>
export type Person = z.output<typeof person>
export type Zone = KitchenStation['zone']
