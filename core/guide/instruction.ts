import { z } from 'zod'

export const INSTRUCTION_KINDS = [
  'do',
  'start',
  'end',
  'oven',
  'wash',
  'wash-hands',
  'cold',
  'out',
  'stir',
  'check',
] as const

/** One line of what the cooks are told. */
export const instructionSchema = z.strictObject({
  /** The same in every plan that tells it. */
  key: z.string(),
  /** Seconds from the start of the session: when, and until when it goes on. */
  at: z.int(),
  until: z.int(),
  /** From when on the hands of whoever is told are free again; `at` where it takes no hands. */
  free: z.int(),
  /** Who is told. */
  cook: z.string(),
  kind: z.enum(INSTRUCTION_KINDS),
  dish: z.string().optional(),
  step: z.string().optional(),
  activity: z.string().optional(),
  /**
   * Which instants of its activity it goes from and to, where the cook's saying so tells that they have
   * come: 0 is the beginning, k the end of its k-th phase.
   */
  points: z.tuple([z.int(), z.int()]).optional(),
  text: z.string(),
  /** What goes in now, with its share of the amounts. */
  amounts: z.array(z.string()),
  /** Ids of the stations at which it happens. */
  places: z.array(z.string()),
  celsius: z.number().optional(),
  caution: z.string().optional(),
})

export type Instruction = z.output<typeof instructionSchema>

/** Whether a line is something to do: what goes on and only wants an eye is not ticked off. */
export const isTickedOff = (line: Instruction): boolean => !line.key.endsWith('#mind')
