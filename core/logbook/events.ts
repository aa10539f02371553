import { z } from 'zod'
import { INSTRUCTION_KINDS } from '../guide'
import { MOST_BATCHES } from '../session'

const id = z.string().min(1)
/** Milliseconds since the epoch. */
const time = z.int().min(0)
/** Seconds since the session began. */
const second = z.int().min(0)

const base = { id, at: time, cook: id.optional() }
const of = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
  z.strictObject({ ...base, kind: z.literal(kind), ...shape })

/**
 * One thing that happened while a session was cooked. Nothing is ever changed or taken out: what was
 * wrong is undone or set right by a later event, and both stay.
 */
export const eventSchema = z.discriminatedUnion('kind', [
  /** A line was ticked off: when it was begun and when it was done. */
  of('done', {
    key: id,
    is: z.enum(INSTRUCTION_KINDS),
    text: z.string(),
    from: second,
    to: second,
    activity: id.optional(),
    /** Which instants of the activity `from` and `to` are: 0 its beginning, k the end of its k-th phase. */
    points: z.tuple([z.int().min(0), z.int().min(0)]).optional(),
    /** What was washed, or the oven that was set, and to how many degrees. */
    station: id.optional(),
    celsius: z.number().optional(),
    /** It was left out. */
    skipped: z.literal(true).optional(),
  }),
  /** What goes on wants so many seconds more, counted from now. */
  of('more', { activity: id, phase: z.int().min(0), until: second }),
  /** Not yet: it is begun at that second at the soonest. */
  of('later', { activity: id, until: second }),
  /** Somebody else does it. */
  of('handed', { activity: id, to: id, from: second }),
  /** A place cannot be used any more, or can be used again. */
  of('out', { station: id }),
  of('back', { station: id }),
  /** Somebody has heard that it has come to its end. */
  of('heard', { activity: id, phase: z.int().min(0), second }),
  /** A dish is given up: what has not begun is not made, and what is under way ends here. */
  of('given-up', { dish: id, second }),
  /** One more of a dish, or another dish, as a dish of its own; its recipe is kept with the session. */
  of('extra', { dish: id, recipe: id, batches: z.number().min(0.5).max(MOST_BATCHES) }),
  /** What goes on is done another way from here, low become high, and is over at that second. */
  of('turned', { activity: id, phase: z.int().min(0), mode: id, second, until: second }),
  /** Something that goes into a dish is not there: left out, or something else goes in instead. */
  of('missing', { dish: id, item: z.string().min(1).max(300), instead: z.string().max(300) }),
  of('paused', {}),
  of('resumed', {}),
  /** The ingredient with this number in the line is in. */
  of('added', { key: id, amount: z.int().min(0) }),
  of('temperature', { dish: id, activity: id.optional(), celsius: z.number().min(-60).max(400) }),
  of('note', { text: z.string().min(1).max(2000) }),
  /** From here on it goes by another plan: which of those kept with the session. */
  of('planned', { plan: z.int().min(1), words: z.string() }),
  /** An earlier event did not happen. */
  of('undone', { event: id }),
  /** An earlier event was at another time. */
  of('corrected', { event: id, from: second, to: second }),
])

export type Event = z.output<typeof eventSchema>
export type EventOf<K extends Event['kind']> = Extract<Event, { kind: K }>

/** What counts: without what was undone, each thing once, at the time at which it was set right. */
export function counting(events: readonly Event[]): Event[] {
  const undone = new Set<string>()
  const right = new Map<string, EventOf<'corrected'>>()
  // Whether an event counts is known once all later ones are.
  for (const e of events.toReversed()) {
    if (undone.has(e.id)) continue
    if (e.kind === 'undone') undone.add(e.event)
    if (e.kind === 'corrected' && !right.has(e.event)) right.set(e.event, e)
  }
  const seen = new Set<string>()
  return events.flatMap((e): Event[] => {
    if (undone.has(e.id) || seen.has(e.id) || e.kind === 'undone' || e.kind === 'corrected')
      return []
    seen.add(e.id)
    const better = right.get(e.id)
    return [better && e.kind === 'done' ? { ...e, from: better.from, to: better.to } : e]
  })
}

/** All that counts of one kind. */
export const ofKind = <K extends Event['kind']>(events: readonly Event[], kind: K): EventOf<K>[] =>
  events.filter((e): e is EventOf<K> => e.kind === kind)

/** What cannot go on as it was told once it has happened, however little anything is late. */
export const FORCED: ReadonlySet<Event['kind']> = new Set([
  'out',
  'back',
  'later',
  'handed',
  'given-up',
  'extra',
  'turned',
])

/** What changes nothing that a plan goes by. */
const MERE: ReadonlySet<Event['kind']> = new Set(['heard', 'added', 'note', 'missing'])
/** Whether a plan that does not know of an event is out of date. */
export const isFact = ({ kind }: Event): boolean => !MERE.has(kind)
