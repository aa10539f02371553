import { z } from 'zod'
import type { Kitchen } from '../kitchen'
import type { CompiledSession, Session } from '../session'
import { cookingSchema, type Cooking } from './cooking'
import { counting, ofKind } from './events'
import { pausesIn, stoodStill } from './standing'

const id = z.string().min(1)
const second = z.number().min(0)

/** What was to be done, as the first plan had it: enough to tell the story when the recipes are long changed. */
const step = z.strictObject({
  activity: id,
  dish: z.string(),
  step: z.string(),
  work: z.string(),
  text: z.string(),
  /** When each of its phases ends by the first plan, with its beginning first, in seconds. */
  planned: z.array(second).min(1),
  /** Factor on its time that had been learned by then. */
  learned: z.number().positive().optional(),
})

/** A session that is over, as it is kept. */
export const recordSchema = z.strictObject({
  format: z.literal('cadrum/record@1'),
  id,
  name: z.string().min(1).max(120),
  kitchen: id,
  /** Milliseconds since the epoch. */
  endedAt: z.int().min(0),
  cooking: cookingSchema,
  /** It was left before everything was done. */
  stopped: z.literal(true).optional(),
  people: z.array(z.strictObject({ id, name: z.string() })),
  dishes: z.array(z.strictObject({ id, name: z.string(), mark: z.string() })),
  steps: z.array(step),
})

export type CookedRecord = z.output<typeof recordSchema>

/** What is kept of a session that is over. */
export function recordOf(input: {
  cooking: Cooking
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  endedAt: number
  stopped?: boolean
}): CookedRecord {
  const { cooking, session, kitchen, compiled, endedAt } = input
  const [first] = cooking.plans
  return {
    format: 'cadrum/record@1',
    id: `${session.id} ${cooking.startedAt}`,
    name: session.name,
    kitchen: kitchen.id,
    endedAt,
    ...(input.stopped ? { stopped: true as const } : {}),
    // The plans on the way were for going on: what is kept is what it began with, and what came of it.
    cooking: { ...cooking, plans: first ? [first] : [] },
    people: session.cooks.map((c) => ({
      id: c,
      name: kitchen.people.find((p) => p.id === c)?.name ?? c,
    })),
    dishes: compiled.dishes.map((d) => ({ id: d.id, name: d.name, mark: d.mark })),
    steps: (first?.plan.activities ?? []).flatMap((run) => {
      const card = compiled.cards[run.id]
      if (!card || card.marker) return []
      return [
        {
          activity: run.id,
          dish: card.dish,
          step: card.step,
          work: card.work,
          text: card.text,
          planned: [run.start, ...run.phases.map((p) => p.to)],
          ...(card.learned === undefined ? {} : { learned: card.learned }),
        },
      ]
    }),
  }
}

/** One piece of work as it was planned and as it was, in seconds. */
export interface Piece {
  event: string
  activity: string
  text: string
  cook: string
  dish: string
  step: string
  work: string
  planned: number
  /** What `planned` would have been before anything was learned, as a factor on it. */
  learned: number
  /** What it took, without what everybody stood still. */
  real: number
  from: number
  to: number
  skipped: boolean
}

/** Every piece of hands work that was told, with what it was planned to take by the first plan. */
export function piecesOf(record: CookedRecord): Piece[] {
  const steps = new Map(record.steps.map((s) => [s.activity, s]))
  const pauses = pausesIn(record.cooking.events, record.cooking.startedAt)
  return ofKind(counting(record.cooking.events), 'done').map((e) => {
    const step = e.activity === undefined ? undefined : steps.get(e.activity)
    const [a, b] = e.points ?? [0, 0]
    const planned = step && e.points ? (step.planned[b] ?? 0) - (step.planned[a] ?? 0) : 0
    return {
      event: e.id,
      activity: e.activity ?? '',
      text: e.text,
      cook: e.cook ?? '',
      dish: step?.dish ?? '',
      step: step?.step ?? '',
      work: step?.work ?? e.is,
      planned: Math.max(0, planned),
      learned: step?.learned ?? 1,
      real: e.to - e.from - stoodStill(pauses, e.from, e.to),
      from: e.from,
      to: e.to,
      skipped: e.skipped === true,
    }
  })
}
